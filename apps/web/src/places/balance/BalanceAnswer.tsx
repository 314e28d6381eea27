import {
  arcWords,
  GRAVITY,
  type ProfileDirection,
  type SweepCheck,
  type TippingProfile,
  wayWords,
  weakestArc,
} from '@aftersquall/core/balance';
import { contactName } from '@aftersquall/core/body';
import { type Contact } from '@aftersquall/core/model';
import type { ReactNode } from 'react';
import styles from './balance.module.scss';
import type { BalanceState } from './balanceState.ts';
import { SideView } from './SideView.tsx';
import { say } from './words.ts';

interface Props {
  profile: TippingProfile;
  direction: ProfileDirection;
  pushHeight: number;
  posts: BalanceState['posts'];
  /** The sweep it was opened from, judged. */
  sweep: { name: string; check: SweepCheck } | undefined;
  /** Both bodies, where a position is open. */
  picture: ReactNode;
}

/** Whether a limb of top's cannot come down. */
const isGone =
  (posts: BalanceState['posts']) =>
  (contact: Contact): boolean =>
    posts[contact] === 'blocked';

/** What it takes to send top one way: the pull, the view from the side, what is still free, and the verdict on the sweep. */
export function BalanceAnswer({ profile, direction, pushHeight, posts, sweep, picture }: Props) {
  const arc = weakestArc(profile);
  return (
    <section
      className={styles['balance-answer']}
      aria-label="What it takes"
      aria-live="polite"
      // biome-ignore lint/a11y/noNoninteractiveTabindex: it scrolls, so the keyboard has to reach it
      tabIndex={0}
    >
      <h2>
        Towards {wayWords(direction.degrees, isGone(posts))}{' '}
        <small className="soft">({direction.degrees}°)</small>
      </h2>
      <p className={arc.has(direction.degrees) ? styles.weakest : ''}>
        {arc.has(direction.degrees) ? 'This is where top is weakest: ' : 'Top is weaker towards '}
        {arcWords(arc, isGone(posts))}.
      </p>
      <Push direction={direction} profile={profile} posts={posts} />
      {picture}
      <SideView profile={profile} direction={direction} pushHeight={pushHeight} />
      {direction.reposts.length > 0 ? (
        <p>
          Still free:{' '}
          {direction.reposts
            .map(({ contact, reach }) => `${contactName(contact)} (reaches ${reach.toFixed(2)} m)`)
            .join(', ')}
          . With {direction.reposts.length > 1 ? 'them' : 'it'} down the edge is{' '}
          {(direction.guarded * 100).toFixed(0)} cm away.
        </p>
      ) : (
        <p>{say.topHasNothingLeft}</p>
      )}
      {sweep && (
        <div className="sweep-verdict">
          <h3>{sweep.name}</h3>
          <p className="mb-1">{sweep.check.verdict}</p>
          {sweep.check.setup.by.length > 0 && <p className="soft small mb-0">{heldWords(sweep.check)}</p>}
        </div>
      )}
    </section>
  );
}

/** What bottom's holds do to top's posts: a hand is taken, a foot cannot step, a knee bears nothing. */
function heldWords({ setup }: SweepCheck): string {
  const does = (post: Contact) =>
    post.startsWith('hand')
      ? 'cannot be put down'
      : setup.blocked.some(({ contact }) => contact === post)
        ? 'bears nothing'
        : 'stays where it is and cannot step';
  const posts = [...new Set(setup.by.map(({ post }) => post))];
  return `By holds: ${posts.map((post) => `top's ${contactName(post)} ${does(post)}`).join('; ')}.`;
}

/** The push in plain words, with newtons beside. */
function Push({ direction, profile, posts }: Pick<Props, 'direction' | 'profile' | 'posts'>) {
  if (direction.margin < -1e-6) return <p className={styles.big}>{say.topAlreadyFallingWay}</p>;
  if (direction.margin <= 0) {
    const fall = profile.directions.reduce((a, b) => (b.margin < a.margin ? b : a));
    return (
      <p className={styles.big}>Top falls without a push, towards {wayWords(fall.degrees, isGone(posts))}.</p>
    );
  }
  return (
    <>
      <p className={styles.big}>
        about {Math.max(1, Math.round(direction.force / GRAVITY))} kg of pull{' '}
        <small className="soft">{direction.force.toFixed(0)} N</small>
      </p>
      <dl className="numbers">
        <dt>to the edge</dt>
        <dd>{(direction.margin * 100).toFixed(0)} cm</dd>
        <dt>tips at</dt>
        <dd>{direction.tipAngle.toFixed(0)}°</dd>
        <dt>lift over it</dt>
        <dd>{direction.energy.toFixed(0)} J</dd>
      </dl>
      {direction.slides && <p className="hazard">{say.pushHigherLowTop}</p>}
    </>
  );
}

import type { GuardMap } from '@aftersquall/core/model';
import type { WeighOptions } from '@aftersquall/core/weigh';
import { Link } from 'react-router';
import { classAddress } from '../../components/addresses.ts';
import { PositionPicture } from '../../components/PositionPicture.tsx';
import { useRoundStory } from '../../workers/weighQuestions.ts';
import { monthFocus } from './monthFocus.ts';
import styles from './tonight.module.scss';
import { say } from './words.ts';

/** The one thing to work on this month, with its reason, its picture, and what to do about it. */
export function ThisMonth({ map, options }: { map: GuardMap; options: WeighOptions }) {
  const story = useRoundStory(map, options, undefined);
  const focus = story && monthFocus(map, story);
  return (
    <section className={styles.month} aria-label="This month" aria-busy={!story}>
      <h2>Work on this month</h2>
      {!story && <p className="soft">{say.weighing}</p>}
      {story && !focus && <p>{say.nothingHurts}</p>}
      {focus && (
        <>
          <PositionPicture position={focus.position} width={230} />
          <p className={styles.what}>{focus.what}</p>
          <p className="soft">{focus.cost}</p>
          <p className={styles.links}>
            <Link className="btn btn-plain btn-sm" to={`${classAddress()}?root=${focus.position.id}`}>
              Plan a class of it
            </Link>
            <Link className="btn btn-plain btn-sm" to={focus.answer.address}>
              {focus.answer.words}
            </Link>
          </p>
        </>
      )}
    </section>
  );
}

import type { Hold } from '@aftersquall/core/model';
import styles from './bodyPlan.module.scss';
import { type Body, contactAt, type Point, targetAt } from './geometry.ts';

interface Props {
  hold: Hold;
  body: Body;
  words: string;
  /** It is pointed at, here or in the picture. */
  pointed: boolean;
}

/** A hold: a line from each contact to what it holds, or a stroke on the mat. */
export function HoldLines({ hold, body, words, pointed }: Props) {
  return hold.contacts.map((contact) => {
    const from = contactAt(body, contact);
    const at = targetAt(hold.target);
    const to: Point = at ?? [from[0] + (from[0] < 160 ? -20 : 20), from[1] + 14];
    const bend: Point = [
      (from[0] + to[0]) / 2 + (to[1] - from[1]) * 0.12,
      (from[1] + to[1]) / 2 - (to[0] - from[0]) * 0.12,
    ];
    return (
      <g
        key={contact}
        className={`${styles.hold} ${body} ${hold.depth ?? 'set'} ${pointed ? styles.pointed : ''}`}
      >
        <title>{words}</title>
        <path d={`M${from.join(' ')} Q${bend.join(' ')} ${to.join(' ')}`} />
        {at ? <circle cx={to[0]} cy={to[1]} r="4" /> : <path d={`M${to[0] - 8} ${to[1]} h16`} />}
        {hold.keep && <rect x={to[0] - 6} y={to[1] - 6} width="12" height="12" className={styles.keep} />}
      </g>
    );
  });
}

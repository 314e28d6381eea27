import { OUTCOME_GOOD } from '@aftersquall/core/body';
import { ENDS, type End } from '@aftersquall/core/weigh';

type Side = 'own' | 'even' | 'top';

/** Whom an end is good for. */
const sideOf = (end: End): Side => (end === 'time' || end === 'stuck' ? 'even' : OUTCOME_GOOD[end]);

const ORDER: Side[] = ['own', 'even', 'top'];

export interface HundredPart {
  end: End;
  side: Side;
  rounds: number;
}

/**
 * What becomes of a hundred rounds, in whole rounds that sum to a hundred: bottom's good ends first, the likeliest first,
 * top's last. What is lost by rounding goes to those that lose most.
 */
export function hundredOf(chances: Record<End, number>): HundredPart[] {
  const parts = ENDS.flatMap((end) =>
    chances[end] > 0 ? [{ end, side: sideOf(end), share: chances[end] }] : [],
  );
  parts.sort((a, b) => ORDER.indexOf(a.side) - ORDER.indexOf(b.side) || b.share - a.share);
  const whole = parts.map(({ share }) => Math.floor(share * 100 + 1e-9));
  const left =
    Math.round(parts.reduce((sum, { share }) => sum + share * 100, 0)) - whole.reduce((a, b) => a + b, 0);
  const most = parts
    .map(({ share }, i) => ({ i, rest: share * 100 - whole[i]! }))
    .sort((a, b) => b.rest - a.rest || a.i - b.i)
    .slice(0, left);
  for (const { i } of most) whole[i]!++;
  return parts
    .map(({ end, side }, i) => ({ end, side, rounds: whole[i]! }))
    .filter(({ rounds }) => rounds > 0);
}

import type { Softness } from '../../game/logitStage.ts';
import { CLUB_LEVEL, type PlayLevel } from '../../model/playLevel.ts';

/** Points by which one answer is better: at `sharp` a reaction one point better is taken 12 times as often, at `club` 3 times, at `new` 1.5 times. */
const TOP: Record<PlayLevel['top'], number> = { 'knows best': 0, sharp: 0.4, club: 0.9, new: 2.5 };
/** Half a point better is taken twelve times as often. */
const KEEPS_TO_THE_PLAN = 0.2;
/** Outside of these a level is not computed; none at all is two who know best. */
const RANGE = [0.02, 10] as const;

/** A level in points: a choice worth d points more is taken e^(d/τ) times as often; against a top who knows best both do. */
export function softnessOf({ top, bottom }: PlayLevel): Softness {
  const human = TOP[top];
  if (human === 0) return { top: 0, bottom: 0 };
  return { top: human, bottom: bottom === 'like the opponent' ? human : KEEPS_TO_THE_PLAN };
}

export const CLUB_SOFTNESS: Softness = softnessOf(CLUB_LEVEL);
export const KNOW_BEST: Softness = { top: 0, bottom: 0 };

/**
 * Whether both know best, which is the game solved by itself.
 * @throws RangeError for a level that is neither that nor from 0.02 to 10 points
 */
export function bothKnowBest({ top, bottom }: Softness): boolean {
  if (top === 0 && bottom === 0) return true;
  for (const softness of [bottom, top])
    if (!(softness >= RANGE[0] && softness <= RANGE[1]))
      throw new RangeError(`give a level from ${RANGE[0]} to ${RANGE[1]} points, or perfect play`);
  return false;
}

import type { Moment } from '../body/followSteps.ts';
import type { GuardMap } from '../model/map.ts';
import { signOf } from '../model/signs.ts';
import { momentSimilarity, type Nearest, nearestPositions, sidedNearest } from './nearestPositions.ts';

/** A position that a reaction leads to is at least so like what is held and seen then. */
const ALIKE = 0.8;
/** So alike is enough where top stands, kneels or sits otherwise than before, as in the position it leads to. */
const ALIKE_BY_STANCE = 0.7;
/** So much more like it than the position one was in: what makes no difference leads nowhere. */
const NEARER = 0.02;
const STANCE = 'top.stance';

/**
 * The position that a reaction leads to by itself: the one most like the moment after it, on either side, whose stance
 * of top is the moment's and which lacks nothing it rests on. Undefined where one is still where one was.
 */
export function becomes(map: GuardMap, from: Nearest, after: Moment): Nearest | undefined {
  const here = sidedNearest(from);
  const stance = signOf(after.signs, STANCE);
  const changed = stance !== signOf(here.signs, STANCE);
  const still = momentSimilarity(after, here);
  const found = nearestPositions(map, after, map.positions.length * 2).find(
    ({ position, lacking }) => lacking.length === 0 && signOf(position.signs, STANCE) === stance,
  );
  if (!found || (found.position === from.position && found.mirrored === from.mirrored)) return undefined;
  const { similarity } = found;
  const moved = similarity >= ALIKE && similarity > still + NEARER;
  return moved || (changed && similarity >= ALIKE_BY_STANCE) ? found : undefined;
}

import { afterReaction } from '../body/afterReaction.ts';
import type { Moment } from '../body/followSteps.ts';
import { sided } from '../body/mirror.ts';
import { indexMap } from '../model/indexMap.ts';
import type { GuardMap } from '../model/map.ts';
import type { Move } from '../model/move.ts';
import type { Position } from '../model/position.ts';

/** The moments in which a move may begin: its position as it is, and after each reaction it has an answer to. */
export function momentsBefore(map: GuardMap, position: Position, move: Move): Moment[] {
  const index = indexMap(map);
  const start: Moment = { holds: position.holds, topHolds: position.topHolds, signs: position.signs };
  const met = index.exchangesOf(move.id).flatMap(({ reaction }) => {
    if (reaction === 'none') return [];
    const known = index.reaction.get(reaction.id);
    return known ? [afterReaction(start, sided('reaction', known, reaction.mirrored)).moment] : [];
  });
  return [start, ...met];
}

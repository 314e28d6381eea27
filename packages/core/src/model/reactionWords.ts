import { indexMap } from './indexMap.ts';
import type { GuardMap } from './map.ts';
import type { Move } from './move.ts';
import { type ReactionRef, reactionKey } from './reaction.ts';

/** How a reaction is felt and given where a move meets it: in its look's own words, else in the catalogue's. */
export function reactionWords(
  map: GuardMap,
  move: Pick<Move, 'position' | 'look'>,
  ref: ReactionRef,
): { feel: string; script: string } {
  const index = indexMap(map);
  const look = index.position.get(move.position)?.looks.find(({ id }) => id === move.look);
  const own = look?.reactions.find((one) => reactionKey(one) === reactionKey(ref));
  const general = index.reaction.get(ref.id);
  return { feel: own?.feel || general?.feel || '', script: own?.script || general?.script || '' };
}

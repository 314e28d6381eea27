import { indexMap } from '../model/indexMap.ts';
import type { GuardMap } from '../model/map.ts';
import type { Move } from '../model/move.ts';
import type { Look, Position } from '../model/position.ts';
import { type ReactionRef, reactionKey } from '../model/reaction.ts';

/** A listed reaction that one of the look's moves has no exchange for. */
export interface Hole {
  position: Position;
  look: Look;
  move: Move;
  reaction: ReactionRef;
}

/** Every hole of the map, by position, look, move and reaction in the map's order. */
export function holes(map: GuardMap): Hole[] {
  const index = indexMap(map);
  return map.positions.flatMap((position) => {
    const moves = index.movesOf(position.id);
    return position.looks.flatMap((look) =>
      moves.filter((move) => move.look === look.id).flatMap((move) => holesOf(map, move)),
    );
  });
}

/** The holes of one move. */
export function holesOf(map: GuardMap, move: Move): Hole[] {
  const index = indexMap(map);
  const position = index.position.get(move.position);
  const look = position?.looks.find(({ id }) => id === move.look);
  if (!position || !look) return [];
  const answered = new Set(index.exchangesOf(move.id).map(({ reaction }) => reactionKey(reaction)));
  return look.reactions
    .filter((reaction) => !answered.has(reactionKey(reaction)))
    .map((reaction): Hole => ({ position, look, move, reaction }));
}

import { afterReaction } from '../body/afterReaction.ts';
import type { Moment } from '../body/followSteps.ts';
import { sided } from '../body/mirror.ts';
import { indexMap } from '../model/indexMap.ts';
import type { GuardMap } from '../model/map.ts';
import type { Move } from '../model/move.ts';
import type { Position } from '../model/position.ts';
import type { ReactionRef } from '../model/reaction.ts';

const startOf = (position: Position): Moment => ({
  holds: position.holds,
  topHolds: position.topHolds,
  signs: position.signs,
});

/** A position once top has reacted; undefined where the reaction is not in the map. */
function after(map: GuardMap, start: Moment, { id, mirrored }: ReactionRef): Moment[] {
  const known = indexMap(map).reaction.get(id);
  return known ? [afterReaction(start, sided('reaction', known, mirrored)).moment] : [];
}

/** The moments in which a move may begin: its position as it is, and after each reaction it has an answer to. */
export function momentsBefore(map: GuardMap, position: Position, move: Move): Moment[] {
  const start = startOf(position);
  const met = indexMap(map)
    .exchangesOf(move.id)
    .flatMap(({ reaction }) => (reaction === 'none' ? [] : after(map, start, reaction)));
  return [start, ...met];
}

/** Every moment that a position knows of: as it is, and after each reaction that any of its looks or answers names. */
export function momentsAt(map: GuardMap, position: Position): Moment[] {
  const index = indexMap(map);
  const start = startOf(position);
  const named = new Map<string, ReactionRef>();
  const name = (ref: ReactionRef) => named.set(`${ref.mirrored ? '~' : ''}${ref.id}`, ref);
  for (const look of position.looks) for (const ref of look.reactions) name(ref);
  for (const move of index.movesOf(position.id)) {
    for (const { reaction } of index.exchangesOf(move.id)) if (reaction !== 'none') name(reaction);
  }
  return [start, ...[...named.values()].flatMap((ref) => after(map, start, ref))];
}

/** The moment in which an exchange's steps begin: the position, after the reaction that the exchange meets. */
export function momentOf(map: GuardMap, position: Position, reaction: ReactionRef | 'none'): Moment {
  const start = startOf(position);
  return reaction === 'none' ? start : (after(map, start, reaction)[0] ?? start);
}

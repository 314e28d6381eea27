import { indexMap } from '../../model/indexMap.ts';
import type { GuardMap } from '../../model/map.ts';
import type { Move } from '../../model/move.ts';
import { isOutcome, type Landing } from '../../model/outcome.ts';
import type { Position } from '../../model/position.ts';
import type { GuardBook } from './parseGuardBook.ts';

/**
 * Some systems of a book with all that they speak of. Positions of other systems to which they lead come along with
 * their holds and signs, without moves; where a map has such a position already, it is that one.
 * @param known ids of positions that the map has
 */
export function pickSystems(
  book: GuardBook,
  systems: readonly string[],
  known: ReadonlySet<string> = new Set(),
): GuardBook {
  const index = indexMap(book as GuardMap);
  const chosen = book.positions.filter((position) => position.systems.some((id) => systems.includes(id)));
  const inside = new Set(chosen.map(({ id }) => id));
  const moves = chosen.flatMap(({ id }) => index.movesOf(id));
  const exchanges = moves.flatMap(({ id }) => index.exchangesOf(id));
  const landings = [
    ...exchanges.flatMap(({ to, otherwise }) => [to, otherwise]),
    ...chosen.map(({ drift }) => drift),
  ];
  const beyond = new Set(landings.flatMap((landing) => positionIn(landing) ?? []));
  const bare = book.positions
    .filter(({ id }) => beyond.has(id) && !inside.has(id) && !known.has(id))
    .map(
      ({ drift, entry: _, systems: __, ...position }): Position => ({
        ...position,
        systems: [],
        looks: [],
        ...(drift && isOutcome(drift) && { drift }),
      }),
    );
  const positions = [...chosen.map((position) => within(position, systems)), ...bare];
  const there = new Set([...positions.map(({ id }) => id), ...known]);
  const taken = new Set(moves.map(({ id }) => id));
  const used = new Set(moves.flatMap(({ mechanics }) => mechanics));
  const isThere = (need: Move['requires'][number]): boolean =>
    'position' in need
      ? there.has(need.position)
      : 'move' in need
        ? taken.has(need.move)
        : used.has(need.mechanic);
  const met = new Set(
    [
      ...positions.flatMap(({ looks }) => looks.flatMap(({ reactions }) => reactions)),
      ...exchanges.flatMap(({ reaction }) => (reaction === 'none' ? [] : reaction)),
    ].map(({ id }) => id),
  );
  return {
    systems: book.systems.filter(({ id }) => systems.includes(id)),
    mechanics: book.mechanics.filter(({ id }) => used.has(id)),
    reactions: book.reactions.filter(({ id }) => met.has(id)),
    positions,
    moves: moves.map((move) => ({ ...move, requires: move.requires.filter(isThere) })),
    exchanges,
  };
}

const positionIn = (landing: Landing | undefined): string | undefined =>
  landing && !isOutcome(landing) ? landing.position : undefined;

/** A position in the picked systems only. */
const within = (position: Position, systems: readonly string[]): Position => ({
  ...position,
  systems: position.systems.filter((id) => systems.includes(id)),
});

import { indexMap } from '../../model/indexMap.ts';
import type { GuardMap } from '../../model/map.ts';
import type { Move } from '../../model/move.ts';
import type { Fault } from '../../model/notes.ts';
import { isOutcome, type Landing } from '../../model/outcome.ts';
import type { Position } from '../../model/position.ts';
import type { GuardBook } from './parseGuardBook.ts';

/**
 * Some systems of a book with all that they speak of. Positions of other systems to which they lead come along with
 * their holds and signs, without moves; where the map has such a position already, it is that one.
 * @param into the map into which they come: what it has may be spoken of, and is left as it is
 */
export function pickSystems(book: GuardBook, systems: readonly string[], into?: GuardBook): GuardBook {
  const index = indexMap(book as GuardMap);
  const chosen = book.positions.filter((position) => position.systems.some((id) => systems.includes(id)));
  const inside = idsOf(chosen);
  const moves = chosen.flatMap(({ id }) => index.movesOf(id));
  const exchanges = moves.flatMap(({ id }) => index.exchangesOf(id));
  const landings = [
    ...exchanges.flatMap(({ to, otherwise }) => [to, otherwise]),
    ...chosen.map(({ drift }) => drift),
  ];
  const beyond = new Set(landings.flatMap((landing) => positionIn(landing) ?? []));
  const known = idsOf(into?.positions);
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
  const named = new Set([...systems, ...idsOf(into?.systems)]);
  const positions = [...chosen.map((position) => within(position, named)), ...bare];
  const positionsThere = new Set([...idsOf(positions), ...known]);
  const movesThere = new Set([...idsOf(moves), ...idsOf(into?.moves)]);
  const isThere = (need: Move['requires'][number]): boolean => {
    if ('position' in need) return positionsThere.has(need.position);
    return 'move' in need ? movesThere.has(need.move) : true;
  };
  const used = new Set(
    moves.flatMap(({ mechanics, requires }) => [
      ...mechanics,
      ...requires.flatMap((need) => ('mechanic' in need ? need.mechanic : [])),
    ]),
  );
  const met = idsOf([
    ...positions.flatMap(({ looks }) => looks.flatMap(({ reactions }) => reactions)),
    ...exchanges.flatMap(({ reaction }) => (reaction === 'none' ? [] : reaction)),
  ]);
  const reactionsThere = new Set([...met, ...idsOf(into?.reactions)]);
  /** What a fault lets through is said only of reactions that there are. */
  const letting = <T extends { faults: Fault[] }>(thing: T): T =>
    thing.faults.some(({ lets }) => lets?.some((id) => !reactionsThere.has(id)))
      ? { ...thing, faults: thing.faults.map((fault) => lettingOf(fault, reactionsThere)) }
      : thing;
  return {
    systems: book.systems.filter(({ id }) => systems.includes(id)),
    mechanics: book.mechanics.filter(({ id }) => used.has(id)).map(letting),
    reactions: book.reactions.filter(({ id }) => met.has(id)),
    positions: positions.map(letting),
    moves: moves.map(letting).map((move) => ({
      ...move,
      requires: move.requires.filter(isThere),
      escapes: move.escapes.filter((id) => movesThere.has(id)),
    })),
    exchanges,
    endings: endingsOf(book, { outcomes: outcomesIn(landings), moves: movesThere }),
  };
}

function lettingOf({ lets, ...fault }: Fault, there: ReadonlySet<string>): Fault {
  const left = lets?.filter((id) => there.has(id)) ?? [];
  return left.length > 0 ? { ...fault, lets: left } : fault;
}

const outcomesIn = (landings: readonly (Landing | undefined)[]): Set<string> =>
  new Set(landings.flatMap((landing) => (landing && isOutcome(landing) ? landing.outcome : [])));

/** The endings of some outcomes, without moves that there will not be; one that is only for those stays behind. */
const endingsOf = (
  { endings }: GuardBook,
  there: { outcomes: ReadonlySet<string>; moves: ReadonlySet<string> },
): GuardBook['endings'] =>
  endings.flatMap((ending) => {
    const moves = ending.moves.filter((id) => there.moves.has(id));
    const nobodys = ending.moves.length > 0 && moves.length === 0;
    return there.outcomes.has(ending.outcome) && !nobodys ? { ...ending, moves } : [];
  });

const idsOf = (things: readonly { id: string }[] = []): Set<string> => new Set(things.map(({ id }) => id));

const positionIn = (landing: Landing | undefined): string | undefined =>
  landing && !isOutcome(landing) ? landing.position : undefined;

/** A position in those of its systems that there will be. */
const within = (position: Position, systems: ReadonlySet<string>): Position => ({
  ...position,
  systems: position.systems.filter((id) => systems.has(id)),
});

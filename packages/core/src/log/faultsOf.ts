import { indexMap } from '../model/indexMap.ts';
import type { GuardMap } from '../model/map.ts';
import type { SeenFault } from '../model/notes.ts';

/** Things of a map that have faults, by their ids. */
interface Bearers {
  moves?: readonly string[];
  positions?: readonly string[];
  mechanics?: readonly string[];
}

/** The faults that can be counted of some things: of moves first, then of positions and movements, then what only seems to work. */
export function faultsOf(
  map: GuardMap,
  { moves = [], positions = [], mechanics = [] }: Bearers,
): SeenFault[] {
  const index = indexMap(map);
  const known = moves.flatMap((id) => index.move.get(id) ?? []);
  const list = (
    of: SeenFault['of'],
    things: readonly { id: string; name: string; faults: readonly { text: string }[] }[],
  ): SeenFault[] =>
    things.flatMap(({ id, name, faults }) =>
      faults.map(({ text }) => ({ of, id, name, fault: text, falsePositive: false })),
    );
  return [
    ...list('move', known),
    ...list(
      'position',
      positions.flatMap((id) => index.position.get(id) ?? []),
    ),
    ...list(
      'mechanic',
      map.mechanics.filter(({ id }) => mechanics.includes(id)),
    ),
    ...known.flatMap(({ id, name, falsePositives }) =>
      falsePositives.map(({ text }) => ({ of: 'move' as const, id, name, fault: text, falsePositive: true })),
    ),
  ];
}

/** Every fault that a map knows. */
export const everyFault = (map: GuardMap): SeenFault[] =>
  faultsOf(map, {
    moves: map.moves.map(({ id }) => id),
    positions: map.positions.map(({ id }) => id),
    mechanics: map.mechanics.map(({ id }) => id),
  });

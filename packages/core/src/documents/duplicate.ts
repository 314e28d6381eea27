import { mirror, sided } from '../body/mirror.ts';
import { freshId } from '../model/freshId.ts';
import { indexMap } from '../model/indexMap.ts';
import type { GuardMap } from '../model/map.ts';
import { isOutcome, type Landing } from '../model/outcome.ts';
import { type BatchCommand, batch, type Command, put } from './command.ts';

/** What is new after a duplication, so that it can be shown. */
export interface Duplicate {
  command: BatchCommand;
  /** The id of the copy. */
  id: string;
}

/**
 * A copy of a position with its moves and their exchanges, under another name; `mirrored`, it is written on the other
 * side. What led to itself leads to the copy; everything else leads where it led.
 * @throws Error when there is no such position.
 */
export function duplicatePosition(map: GuardMap, id: string, { mirrored = false } = {}): Duplicate {
  const position = indexMap(map).position.get(id);
  if (!position) throw new Error(`there is no position "${id}"`);
  const name = mirrored ? `${position.name}, mirrored`.slice(0, 120) : copyName(position.name);
  const { commands, ids } = copyPositions(map, [id], position.systems, { rename: () => name, mirrored });
  return { command: batch(commands, `Duplicate “${position.name}”`), id: ids.get(id)! };
}

/**
 * A copy of a guard system: its positions with their moves and exchanges, leading to each other as before, and
 * to what lies outside of the system as before.
 * @throws Error when there is no such system.
 */
export function duplicateSystem(map: GuardMap, id: string): Duplicate {
  const system = indexMap(map).system.get(id);
  if (!system) throw new Error(`there is no guard system "${id}"`);
  const copy = { ...system, id: freshId(id, indexMap(map).system.keys()), name: copyName(system.name) };
  const inside = map.positions.filter(({ systems }) => systems.includes(id)).map((position) => position.id);
  const { commands } = copyPositions(map, inside, [copy.id], {});
  return { command: batch([put('system', copy), ...commands], `Duplicate “${system.name}”`), id: copy.id };
}

const copyName = (name: string): string => `${name} (copy)`.slice(0, 120);

interface How {
  rename?: (name: string) => string;
  mirrored?: boolean;
}

function copyPositions(
  map: GuardMap,
  from: readonly string[],
  systems: string[],
  { rename = (name) => name, mirrored = false }: How,
) {
  const index = indexMap(map);
  const fresh = (taken: Iterable<string>) => {
    const used = new Set(taken);
    return (id: string) => {
      const next = freshId(id, used);
      used.add(next);
      return next;
    };
  };
  const [positionId, moveId, exchangeId] = [
    fresh(index.position.keys()),
    fresh(index.move.keys()),
    fresh(index.exchange.keys()),
  ];
  const ids = new Map(from.map((id) => [id, positionId(id)]));
  const moves = from.flatMap((id) => index.movesOf(id));
  const moveIds = new Map(moves.map(({ id }) => [id, moveId(id)]));
  /** The copy is on the other side as a whole: what leads from copy to copy stays on the side it is on. */
  const landing = (value: Landing): Landing => {
    if (isOutcome(value)) return value;
    const copy = ids.get(value.position);
    if (copy === undefined) return sided('landing', value, mirrored);
    return { ...value, position: copy };
  };
  const commands: Command[] = from.map((id) => {
    const { drift, ...written } = index.position.get(id)!;
    const position = sided('position', written, mirrored);
    return put('position', {
      ...position,
      id: ids.get(id)!,
      name: rename(position.name),
      systems,
      ...(drift && { drift: landing(drift) }),
    });
  });
  for (const written of moves) {
    const move = sided('move', written, mirrored);
    commands.push(
      put('move', {
        ...move,
        id: moveIds.get(move.id)!,
        position: ids.get(move.position)!,
        requires: move.requires.map((need) => {
          if ('position' in need) return { position: ids.get(need.position) ?? need.position };
          return 'move' in need ? { move: moveIds.get(need.move) ?? need.move } : need;
        }),
      }),
    );
  }
  for (const move of moves) {
    for (const { otherwise, to, ...written } of index.exchangesOf(move.id)) {
      const exchange = {
        ...written,
        reaction: mirrored ? mirror('exchange', { ...written, to }).reaction : written.reaction,
      };
      commands.push(
        put('exchange', {
          ...exchange,
          id: exchangeId(exchange.id),
          move: moveIds.get(move.id)!,
          to: landing(to),
          ...(otherwise && { otherwise: landing(otherwise) }),
        }),
      );
    }
  }
  return { commands, ids };
}

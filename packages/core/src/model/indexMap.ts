import type { Exchange } from './exchange.ts';
import type { GuardMap } from './map.ts';
import type { Move } from './move.ts';
import type { Position, System } from './position.ts';
import type { Reaction } from './reaction.ts';

/** Look-ups by id and by owner over one map. */
export interface MapIndex {
  system: ReadonlyMap<string, System>;
  reaction: ReadonlyMap<string, Reaction>;
  position: ReadonlyMap<string, Position>;
  move: ReadonlyMap<string, Move>;
  exchange: ReadonlyMap<string, Exchange>;
  /** Moves of a position, in the map's order; a position without any has an empty list. */
  movesOf(position: string): readonly Move[];
  exchangesOf(move: string): readonly Exchange[];
}

const cache = new WeakMap<GuardMap, MapIndex>();

/** The index of a map, built once for each document (maps are never changed in place). */
export function indexMap(map: GuardMap): MapIndex {
  const known = cache.get(map);
  if (known) return known;
  const byId = <T extends { id: string }>(list: readonly T[]) => new Map(list.map((item) => [item.id, item]));
  const moves = groupBy(map.moves, (move) => move.position);
  const exchanges = groupBy(map.exchanges, (exchange) => exchange.move);
  const index: MapIndex = {
    system: byId(map.systems),
    reaction: byId(map.reactions),
    position: byId(map.positions),
    move: byId(map.moves),
    exchange: byId(map.exchanges),
    movesOf: (position) => moves.get(position) ?? [],
    exchangesOf: (move) => exchanges.get(move) ?? [],
  };
  cache.set(map, index);
  return index;
}

function groupBy<T>(list: readonly T[], key: (item: T) => string): Map<string, T[]> {
  const groups = new Map<string, T[]>();
  for (const item of list) {
    const group = groups.get(key(item));
    if (group) group.push(item);
    else groups.set(key(item), [item]);
  }
  return groups;
}

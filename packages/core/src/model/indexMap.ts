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

/**
 * The index of a map. Its parts are built when they are first asked for and kept with the lists they are of (lists
 * are never changed in place), so that after an edit only the list that was edited is indexed anew.
 */
export function indexMap(map: GuardMap): MapIndex {
  const known = cache.get(map);
  if (known) return known;
  const index: MapIndex = {
    get system() {
      return byId(map.systems);
    },
    get reaction() {
      return byId(map.reactions);
    },
    get position() {
      return byId(map.positions);
    },
    get move() {
      return byId(map.moves);
    },
    get exchange() {
      return byId(map.exchanges);
    },
    movesOf: (position) => byPosition(map.moves).get(position) ?? [],
    exchangesOf: (move) => byMove(map.exchanges).get(move) ?? [],
  };
  cache.set(map, index);
  return index;
}

/** The same function, remembering what it made of each list. */
function kept<T extends object, R>(build: (list: readonly T[]) => R): (list: readonly T[]) => R {
  const made = new WeakMap<readonly T[], R>();
  return (list) => {
    const known = made.get(list);
    if (known) return known;
    const built = build(list);
    made.set(list, built);
    return built;
  };
}

const idsOf = kept((list: readonly { id: string }[]) => new Map(list.map((item) => [item.id, item])));
const byId = idsOf as <T extends { id: string }>(list: readonly T[]) => Map<string, T>;
const byPosition = kept((moves: readonly Move[]) => groupBy(moves, ({ position }) => position));
const byMove = kept((exchanges: readonly Exchange[]) => groupBy(exchanges, ({ move }) => move));

function groupBy<T>(list: readonly T[], key: (item: T) => string): Map<string, T[]> {
  const groups = new Map<string, T[]>();
  for (const item of list) {
    const group = groups.get(key(item));
    if (group) group.push(item);
    else groups.set(key(item), [item]);
  }
  return groups;
}

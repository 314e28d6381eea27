import type { Ending } from './ending.ts';
import type { Exchange } from './exchange.ts';
import type { GuardMap } from './map.ts';
import type { Mechanic } from './mechanic.ts';
import type { Move } from './move.ts';
import type { Position, System } from './position.ts';
import type { Reaction } from './reaction.ts';
import { remember } from './remember.ts';

/** Look-ups by id and by owner over one map. */
export interface MapIndex {
  system: ReadonlyMap<string, System>;
  mechanic: ReadonlyMap<string, Mechanic>;
  reaction: ReadonlyMap<string, Reaction>;
  position: ReadonlyMap<string, Position>;
  move: ReadonlyMap<string, Move>;
  exchange: ReadonlyMap<string, Exchange>;
  ending: ReadonlyMap<string, Ending>;
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
  let moves: Map<string, Move[]> | undefined;
  let exchanges: Map<string, Exchange[]> | undefined;
  const index: MapIndex = {
    get system() {
      return byId(map.systems);
    },
    get mechanic() {
      return byId(map.mechanics);
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
    get ending() {
      return byId(map.endings);
    },
    movesOf(position) {
      moves ??= byPosition(map.moves);
      return moves.get(position) ?? NONE;
    },
    exchangesOf(move) {
      exchanges ??= byMove(map.exchanges);
      return exchanges.get(move) ?? NONE;
    },
  };
  cache.set(map, index);
  return index;
}

/** The things of a list by id, made once for each list. */
export const byId = remember(
  (list: readonly { id: string }[]) => new Map(list.map((item) => [item.id, item])),
) as <T extends { id: string }>(list: readonly T[]) => Map<string, T>;
const byPosition = remember(groupsOf<Move>(({ position }) => position));
const byMove = remember(groupsOf<Exchange>(({ move }) => move));
/** What nothing belongs to; one list, so that it is the same every time. */
const NONE: never[] = [];

/**
 * Groups lists by a key. A group in which nothing has changed since the last list is the same array as before, so that
 * what was made of it still holds.
 */
function groupsOf<T extends object>(key: (item: T) => string): (list: readonly T[]) => Map<string, T[]> {
  let last = new Map<string, T[]>();
  return (list) => {
    const groups = new Map<string, T[]>();
    for (const item of list) {
      const group = groups.get(key(item));
      if (group) group.push(item);
      else groups.set(key(item), [item]);
    }
    for (const [name, group] of groups) {
      const before = last.get(name);
      if (before?.length === group.length && before.every((item, i) => item === group[i]))
        groups.set(name, before);
    }
    last = groups;
    return groups;
  };
}

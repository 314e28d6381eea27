import { indexMap } from '../model/indexMap.ts';
import type { GuardMap } from '../model/map.ts';
import type { Move } from '../model/move.ts';
import type { Position } from '../model/position.ts';
import type { Check, Finding } from './finding.ts';

/** Looks at one thing of the map. It may look at what `checkEach` is told that it rests on, and at nothing else. */
export type CheckOf<T> = (map: GuardMap, thing: T) => Finding[];
/** Looks at one move, with its position, its answers and the reactions. */
export type MoveCheck = CheckOf<Move>;
/** Looks at one position, with its moves, their answers and the reactions. */
export type PositionCheck = CheckOf<Position>;

/**
 * Checks of one thing at a time. A thing is looked at again only where something that it rests on has changed;
 * `restsOn` names those things, in the same order every time.
 */
export function checkEach<T extends object>(
  things: (map: GuardMap) => readonly T[],
  restsOn: (map: GuardMap) => (thing: T) => readonly unknown[],
  checks: readonly CheckOf<T>[],
): Check {
  const known = new WeakMap<T, { with: readonly unknown[]; findings: Finding[] }>();
  return (map) => {
    const rests = restsOn(map);
    const all: Finding[] = [];
    for (const thing of things(map)) {
      const now = rests(thing);
      let last = known.get(thing);
      if (!last?.with.every((one, i) => one === now[i])) {
        last = { with: now, findings: checks.flatMap((check) => check(map, thing)) };
        known.set(thing, last);
      }
      if (last.findings.length > 0) all.push(...last.findings);
    }
    return all;
  };
}

export const checkMoves = (...checks: MoveCheck[]): Check =>
  checkEach(
    ({ moves }) => moves,
    (map) => {
      const { position, exchangesOf } = indexMap(map);
      return (move) => [position.get(move.position), exchangesOf(move.id), map.reactions];
    },
    checks,
  );

export const checkPositions = (...checks: PositionCheck[]): Check =>
  checkEach(
    ({ positions }) => positions,
    (map) => {
      const { movesOf, exchangesOf } = indexMap(map);
      return ({ id }) => {
        const moves = movesOf(id);
        return [map.reactions, moves, ...moves.map((move) => exchangesOf(move.id))];
      };
    },
    checks,
  );

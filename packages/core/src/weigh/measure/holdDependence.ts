import type { HoldClass } from '../../model/hold.ts';
import type { GuardMap } from '../../model/map.ts';
import type { WeighOptions } from '../game/mapGame.ts';
import { type MapSolution, solveMap } from '../game/solveMap.ts';
import { playMap } from '../play/playMap.ts';

export interface Dependence {
  /** Value at the entries with everything, and without what rests on the thing taken away. */
  whole: number;
  without: number;
  /** Points a round that are lost; below nought where something of top's is taken away. */
  difference: number;
  /** Share of the game that is left; only where the whole is worth more than waiting. */
  left?: number;
}

/** What can be taken away from a game, beside what already is. */
export type TakenAway = Pick<
  WeighOptions,
  'forbiddenHolds' | 'forbiddenMoves' | 'forbiddenReactions' | 'sparedJoints'
>;

/** How much of the game is left without some things, between two of the level. Entry weights stay as they are. */
export function dependence(
  map: GuardMap,
  taken: TakenAway,
  options: WeighOptions = {},
  whole: MapSolution = solveMap(map, options),
): Dependence {
  const played = playMap(whole, options.level);
  const both = <T>(a: readonly T[] = [], b: readonly T[] = []): T[] => [...a, ...b];
  const left = solveMap(
    map,
    {
      ...options,
      forbiddenHolds: both(options.forbiddenHolds, taken.forbiddenHolds),
      forbiddenMoves: both(options.forbiddenMoves, taken.forbiddenMoves),
      forbiddenReactions: both(options.forbiddenReactions, taken.forbiddenReactions),
      sparedJoints: both(options.sparedJoints, taken.sparedJoints),
    },
    whole.values,
  );
  const without = playMap(left, options.level).entry;
  const rest = whole.game.rest;
  return {
    whole: played.entry,
    without,
    difference: played.entry - without,
    ...(played.entry > rest && { left: (without - rest) / (played.entry - rest) }),
  };
}

/** How much of the game is left without a class of holds. */
export const holdDependence = (map: GuardMap, holds: HoldClass, options: WeighOptions = {}): Dependence =>
  dependence(map, { forbiddenHolds: [holds] }, options);

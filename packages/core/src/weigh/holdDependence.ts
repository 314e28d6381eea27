import type { HoldPattern } from '../model/hold.ts';
import type { GuardMap } from '../model/map.ts';
import type { WeighOptions } from './mapGame.ts';
import { solveMap } from './solveMap.ts';

export interface Dependence {
  /** Value at the entries with everything, and without what rests on the hold. */
  whole: number;
  without: number;
  difference: number;
  /** Share of the game that is left; only where the whole is worth more than waiting. */
  left?: number;
}

/** How much of the game is left without a class of holds. Entry weights stay as they are. */
export function holdDependence(map: GuardMap, holds: HoldPattern, options: WeighOptions = {}): Dependence {
  const whole = solveMap(map, options);
  const without = solveMap(
    map,
    { ...options, forbiddenHolds: [...(options.forbiddenHolds ?? []), holds] },
    whole.values,
  ).entry;
  const rest = whole.game.rest;
  return {
    whole: whole.entry,
    without,
    difference: whole.entry - without,
    ...(whole.entry > rest && { left: (without - rest) / (whole.entry - rest) }),
  };
}

import '../jitless.ts';
import {
  bestChains,
  type GuardMap,
  type HoldPattern,
  holdDependence,
  type Outcome,
  solveMap,
  type WeighOptions,
  weighMap,
} from '@aftersquall/core';
import { expose } from 'comlink';

const weigher = {
  weigh: (map: GuardMap, options: WeighOptions, start: readonly number[] | undefined) =>
    weighMap(map, options, start),
  depend: (map: GuardMap, holds: HoldPattern, options: WeighOptions) => holdDependence(map, holds, options),
  chains: (map: GuardMap, options: WeighOptions, from: string, outcome: Outcome, count: number) =>
    bestChains(solveMap(map, options), { from, to: { outcome }, count }),
};
export type Weigher = typeof weigher;

expose(weigher);

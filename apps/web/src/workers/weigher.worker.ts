import '../jitless.ts';
import {
  bestChains,
  type GuardMap,
  type HoldPattern,
  holdDependence,
  type Outcome,
  seeded,
  simulateRounds,
  solveMap,
  type WeighOptions,
  weighMap,
} from '@aftersquall/core';
import { expose } from 'comlink';

const SEED = 1;

const weigher = {
  weigh: (map: GuardMap, options: WeighOptions, start: readonly number[] | undefined) =>
    weighMap(map, options, start),
  depend: (map: GuardMap, holds: HoldPattern, options: WeighOptions) => holdDependence(map, holds, options),
  chains: (map: GuardMap, options: WeighOptions, from: string, outcome: Outcome, count: number) =>
    bestChains(solveMap(map, options), { from, to: { outcome }, count }),
  /** Seeded, so that the same question has the same answer. */
  simulate: (map: GuardMap, options: WeighOptions, from: number, rounds: number) =>
    simulateRounds(solveMap(map, options), from, rounds, seeded(SEED)),
};
export type Weigher = typeof weigher;

expose(weigher);

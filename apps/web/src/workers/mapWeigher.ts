import {
  bestChains,
  dependence,
  type GuardMap,
  type Outcome,
  openWeighing,
  planFor,
  resolveHoles,
  seeded,
  simulateRounds,
  type TakenAway,
  type WeighedUp,
  type WeighOptions,
  weighedUp,
} from '@aftersquall/core';
import { optionsKey } from './optionsKey.ts';

const SEED = 1;

/** Weighs one map at a time, and solves it again only where a question needs that: another trust does not. */
export function mapWeigher() {
  let map: GuardMap;
  let last: { key: string; weighed: WeighedUp } | undefined;

  function solved(
    options: WeighOptions,
    start?: readonly number[],
    onProgress?: (share: number) => void,
  ): WeighedUp {
    const key = optionsKey({ ...options, trust: undefined });
    if (last?.key !== key) last = { key, weighed: weighedUp(map, options, start, onProgress) };
    return last.weighed;
  }
  const planned = (options: WeighOptions) => planFor(solved(options), options.trust);

  return {
    /** The map that all later questions are about. */
    open(next: GuardMap): void {
      map = next;
      last = undefined;
    },
    weigh(options: WeighOptions, start?: readonly number[], onProgress?: (share: number) => void) {
      const weighed = solved(options, start, onProgress);
      return openWeighing(map, weighed, planFor(weighed, options.trust));
    },
    holes: (options: WeighOptions, onHole?: (done: number, of: number) => void) =>
      resolveHoles(planned(options), onHole),
    depend: (taken: TakenAway, options: WeighOptions) => dependence(map, taken, options, planned(options)),
    chains: (options: WeighOptions, from: string, outcome: Outcome, count: number) =>
      bestChains(planned(options), { from, to: { outcome }, count }),
    /** Seeded, so that the same question has the same answer. */
    simulate: (options: WeighOptions, from: number, rounds: number) =>
      simulateRounds(planned(options), from, rounds, seeded(SEED)),
  };
}
export type MapWeigher = ReturnType<typeof mapWeigher>;

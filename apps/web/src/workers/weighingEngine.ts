import {
  bestChains,
  type Command,
  choosePlan,
  dependence,
  describeWeighing,
  type GuardMap,
  type Outcome,
  resolveHoles,
  seeded,
  simulateRounds,
  solveForTrusts,
  type TakenAway,
  type TrustSolutions,
  type WeighOptions,
} from '@aftersquall/core';
import { keepMap } from './mapMirror.ts';
import { optionsKey } from './optionsKey.ts';

const SEED = 1;

/** So many solved questions are kept: the one that is asked, the one beside it, and a few before. */
const MOST_SOLVED = 4;

/** Weighs one map at a time, and solves it again only where a question needs that: another trust does not. */
export function createWeighingEngine() {
  const { open, change, map } = keepMap();
  const solved = new Map<string, TrustSolutions>();

  function solve(
    options: WeighOptions,
    start?: readonly number[],
    onProgress?: (share: number) => void,
  ): TrustSolutions {
    const key = optionsKey({ ...options, trust: undefined });
    const solutions = solved.get(key) ?? solveForTrusts(map(), options, start, onProgress);
    // Asked last, forgotten last.
    solved.delete(key);
    solved.set(key, solutions);
    if (solved.size > MOST_SOLVED) solved.delete(solved.keys().next().value!);
    return solutions;
  }
  const planned = (options: WeighOptions) => choosePlan(solve(options), options.trust);

  return {
    /** The map that all later questions are about, and what has changed in it since. */
    open(next: GuardMap): void {
      open(next);
      solved.clear();
    },
    change(command: Command): void {
      change(command);
      solved.clear();
    },
    weigh(options: WeighOptions, start?: readonly number[], onProgress?: (share: number) => void) {
      const solutions = solve(options, start, onProgress);
      return describeWeighing(map(), solutions, choosePlan(solutions, options.trust));
    },
    holes: (options: WeighOptions, onHole?: (done: number, total: number) => void) =>
      resolveHoles(planned(options), onHole),
    depend: (taken: TakenAway, options: WeighOptions) => dependence(map(), taken, options, planned(options)),
    chains: (options: WeighOptions, from: string, outcome: Outcome, count: number) =>
      bestChains(planned(options), { from, to: { outcome }, count }),
    /** Seeded, so that the same question has the same answer. */
    simulate: (options: WeighOptions, from: number, rounds: number) =>
      simulateRounds(planned(options), from, rounds, seeded(SEED)),
  };
}
export type WeighingEngine = ReturnType<typeof createWeighingEngine>;

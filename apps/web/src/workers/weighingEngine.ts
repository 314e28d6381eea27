import {
  bestChains,
  type Command,
  choosePlan,
  dependence,
  describeWeighing,
  expectedOf,
  type GuardMap,
  type Outcome,
  playMap,
  resolveHoles,
  seeded,
  simulateRounds,
  solveForTrusts,
  type TakenAway,
  type TrustSolutions,
  tellRound,
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
    // Neither the trust nor the level changes what is solved.
    const key = optionsKey({ ...options, trust: undefined, level: undefined });
    const solutions = solved.get(key) ?? solveForTrusts(map(), options, start, onProgress);
    // Asked last, forgotten last.
    solved.delete(key);
    solved.set(key, solutions);
    if (solved.size > MOST_SOLVED) solved.delete(solved.keys().next().value!);
    return solutions;
  }
  const planned = (options: WeighOptions) => choosePlan(solve(options), options.trust);
  /** The plan, and how two of the level play it. */
  const played = (options: WeighOptions) => {
    const solution = planned(options);
    return { solution, play: playMap(solution, options.level) };
  };

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
      return describeWeighing(map(), solutions, choosePlan(solutions, options.trust), options.level);
    },
    holes: (options: WeighOptions, onHole?: (done: number, total: number) => void) => {
      const { solution, play } = played(options);
      return resolveHoles(solution, play, onHole);
    },
    /** What one would say first of a round, of the whole map or of one system. */
    story: (options: WeighOptions, system: string | undefined) => {
      const { solution, play } = played(options);
      return tellRound(map(), options, solution, play, system);
    },
    depend: (taken: TakenAway, options: WeighOptions) => dependence(map(), taken, options, planned(options)),
    chains: (options: WeighOptions, from: string, outcome: Outcome, count: number) => {
      const { solution, play } = played(options);
      const chained = { game: solution.game, positions: expectedOf(solution, play) };
      return bestChains(chained, { from, to: { outcome }, count });
    },
    /** Seeded, so that the same question has the same answer. */
    simulate: (options: WeighOptions, from: number, rounds: number) =>
      simulateRounds(played(options).play, from, rounds, seeded(SEED)),
  };
}
export type WeighingEngine = ReturnType<typeof createWeighingEngine>;

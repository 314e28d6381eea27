import { type Command } from '@aftersquall/core/documents';
import { seeded } from '@aftersquall/core/game';
import { type GuardMap, type Outcome } from '@aftersquall/core/model';
import {
  bestChains,
  choosePlan,
  dependence,
  describeWeighing,
  expectedOf,
  type LevelPlay,
  type MapSolution,
  playMap,
  resolveHoles,
  simulateRounds,
  solveForTrusts,
  type TakenAway,
  type TrustSolutions,
  tellRound,
  type WeighOptions,
} from '@aftersquall/core/weigh';
import { keepMap } from './mapMirror.ts';
import { optionsKey } from './optionsKey.ts';

const SEED = 1;

/** So many solved questions are kept: the one that is asked, the one beside it, and a few before. */
const MOST_SOLVED = 4;

interface Played {
  solution: MapSolution;
  play: LevelPlay;
}

/** Keeps an answer; what was asked last is forgotten last. */
function keep<T>(answers: Map<string, T>, key: string, answer: T): void {
  answers.delete(key);
  answers.set(key, answer);
  if (answers.size > MOST_SOLVED) answers.delete(answers.keys().next().value!);
}

/** Weighs one map at a time, and solves it again only where a question needs that: another trust does not. */
export function createWeighingEngine() {
  const { open, change, map } = keepMap();
  const solved = new Map<string, TrustSolutions>();
  const plays = new Map<string, Played>();

  function solve(
    options: WeighOptions,
    start?: readonly number[],
    onProgress?: (share: number) => void,
  ): TrustSolutions {
    // Neither the trust nor the level changes what is solved.
    const key = optionsKey({ ...options, trust: undefined, level: undefined });
    const solutions = solved.get(key) ?? solveForTrusts(map(), options, start, onProgress);
    keep(solved, key, solutions);
    return solutions;
  }
  /** The plan, and how two of the level play it: holes, chains, ends and the story ask about the same one. */
  function played(options: WeighOptions): Played {
    const key = optionsKey(options);
    let found = plays.get(key);
    if (!found) {
      const solution = choosePlan(solve(options), options.trust);
      found = { solution, play: playMap(solution, options.level) };
    }
    keep(plays, key, found);
    return found;
  }
  function forget(): void {
    solved.clear();
    plays.clear();
  }

  return {
    /** The map that all later questions are about, and what has changed in it since. */
    open(next: GuardMap): void {
      open(next);
      forget();
    },
    change(command: Command): void {
      change(command);
      forget();
    },
    weigh(options: WeighOptions, start?: readonly number[], onProgress?: (share: number) => void) {
      const solutions = solve(options, start, onProgress);
      const { solution, play } = played(options);
      return describeWeighing(map(), solutions, solution, play);
    },
    holes: (options: WeighOptions, onHole?: (done: number, total: number) => void) => {
      const { solution, play } = played(options);
      return resolveHoles(solution, play, { onHole });
    },
    /** What one would say first of a round, of the whole map or of one system. */
    story: (options: WeighOptions, system: string | undefined) => {
      const { solution, play } = played(options);
      return tellRound(map(), options, solution, play, system);
    },
    depend: (taken: TakenAway, options: WeighOptions) =>
      dependence(map(), taken, options, played(options).solution),
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

import { type Response, responseFor, responses, TRUSTS } from '../../game/restrictedResponse.ts';
import { type StochasticSolution, solveStochasticGame } from '../../game/solveStochasticGame.ts';
import type { GuardMap } from '../../model/map.ts';
import { type MapGame, mapGame, type WeighOptions, waitingWorth } from './mapGame.ts';
import { type MapStochasticGame, toStochasticGame } from './toStochasticGame.ts';

const TINY = 1e-9;

/** A map solved for every trust that is asked for: a plan is then only chosen. */
export interface TrustSolutions {
  game: MapGame;
  /** Of the positions, summing to one. */
  weights: number[];
  found: Response<MapStochasticGame>[];
}

/**
 * Solves a map once for every trust that can be asked for; once in all where no tendency is known.
 * @param start values to begin from
 * @param onProgress told how far the work is, in [0, 1]
 */
export function solveForTrusts(
  map: GuardMap,
  options: WeighOptions = {},
  start?: readonly number[],
  onProgress?: (share: number) => void,
): TrustSolutions {
  const weights = entryWeights(map);
  const game = mapGame(map, options);
  if (game.states.some(({ looks }) => looks.some(({ known }) => known))) {
    const found = responses((trust, near) => {
      const watch = progressOf(onProgress, TRUSTS.indexOf(trust), TRUSTS.length);
      return solveAsMapped(game, trust, near ?? start, watch);
    });
    return { game, weights, found };
  }
  const { game: built, solution } = solveAsMapped(game, 0, start, progressOf(onProgress, 0, 1));
  const { value } = solution;
  return { game, weights, found: [{ trust: 0, game: built, solution, gain: value, worst: value }] };
}

/** Reads residuals that shrink by shares as progress of the i-th of some solves; it never goes back. */
function progressOf(onProgress: ((share: number) => void) | undefined, i: number, of: number) {
  let first = 0;
  let far = 0;
  return (residual: number): void => {
    first = Math.max(first, residual);
    const share = first > TINY ? Math.log(first / residual) / Math.log(first / TINY) : 1;
    far = Math.max(far, Math.min(1, share));
    onProgress?.((i + far) / of);
  };
}

/** The plans made, with what they gain and risk at the entries. */
export const tradesOf = ({ found, weights }: TrustSolutions): Trade[] =>
  found.map(({ trust, gain, worst }) => ({
    trust,
    gain: entryValue(gain, weights),
    worst: entryValue(worst, weights),
  }));

/** The gain and the worst case of the plan that is chosen at each trust, in steps of a twentieth. */
export function tradeCurve(trades: readonly Trade[]): Trade[] {
  const found = trades.map(({ gain, worst }) => ({ gain: [gain], worst: [worst] }));
  return Array.from({ length: 21 }, (_, i) => {
    const { gain, worst } = responseFor(found, [1], i / 20);
    return { trust: i / 20, gain: gain[0]!, worst: worst[0]! };
  });
}

/** What a round is worth with these values of the positions. */
export const entryValue = (values: readonly number[], weights: readonly number[]): number =>
  weights.reduce((sum, weight, s) => sum + weight * values[s]!, 0);

/** What a plan is worth at the entries against an opponent's known tendencies, and against a perfect top. */
export interface Trade {
  trust: number;
  gain: number;
  worst: number;
}

/** Entry weights that sum to one. */
function entryWeights(map: GuardMap): number[] {
  const weights = map.positions.map(({ entry = 0 }) => entry);
  const total = weights.reduce((sum, weight) => sum + weight, 0);
  if (!(total > 0))
    throw new RangeError(
      'rounds can start nowhere: give at least one position a weight under “Rounds start here”',
    );
  return weights.map((weight) => weight / total);
}

/**
 * Solves the map with every hole worth the lesser of waiting and staying. Which of the two that is depends on the
 * values, so it is solved again with what the last values say, until nothing changes (at most five times).
 */
export function solveAsMapped(
  game: MapGame,
  trust: number,
  start: readonly number[] | undefined,
  onStage: (residual: number) => void,
): { game: MapStochasticGame; solution: StochasticSolution } {
  let staying: ReadonlySet<number> = new Set();
  for (let round = 0, near = start; ; round++) {
    const built = toStochasticGame(game, 'as-mapped', staying, trust);
    const solution = solveStochasticGame(built, { start: near, onStage });
    const worse = holesWorseThanWaiting(game, solution.value);
    if (round >= 5 || (worse.size === staying.size && [...worse].every((hole) => staying.has(hole))))
      return { game: built, solution };
    staying = worse;
    near = solution.value;
  }
}

/** The numbers of the holes in which staying is worth less than waiting. */
function holesWorseThanWaiting(game: MapGame, values: readonly number[]): Set<number> {
  return new Set(
    game.states.flatMap(({ position, looks }, s) => {
      const waiting = waitingWorth(game, values, position);
      return looks.flatMap(({ cells }) =>
        cells
          .flat()
          .flatMap(({ hole, gamma }) =>
            hole !== undefined && gamma * values[s]! < waiting - TINY ? [hole] : [],
          ),
      );
    }),
  );
}

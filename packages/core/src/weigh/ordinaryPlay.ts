import { type LogitStage, logitStage, type Softness, softmax } from '../game/logitStage.ts';
import type { StochasticLook } from '../game/stochasticGame.ts';
import { type MapSolution, stageOf } from './solveMap.ts';

/** How often the two pick the better answer: sharp to hesitant, in points (see `Softness`). */
export const TOP_LEVELS = { 'knows best': 0, sharp: 0.4, club: 0.9, new: 2.5 } as const;
/** Bottom at the plan: half a point better is taken twelve times as often. */
export const KEEPS_TO_THE_PLAN = 0.2;
/** Outside of these a level is not computed; none at all is two who know best. */
const LEVEL_RANGE = [0.02, 10] as const;

/** What two ordinary players make of a map: their choices, judged by what things are worth between two who know best. */
export interface OrdinaryPlay {
  /** Shares of the looks of each position, in their order, and of waiting behind them. */
  choice: number[][];
  /** What is played in each look of each position. */
  stages: LogitStage[][];
  /** True points of a round from each position under that play. */
  value: number[];
  /** The same at the entries. */
  entry: number;
  /** Discounted expected visits of a round, of positions and of exchanges. */
  visits: number[];
  exchanges: Map<string, number>;
  /** The largest gap of a stage, and how far the values are from satisfying themselves. */
  gap: number;
  residual: number;
}

/** One way a position may go: a cell of a look, or waiting, and how often. */
interface Way {
  share: number;
  payoff: number;
  next: readonly (readonly [number, number])[];
  exchange?: string | undefined;
}

/**
 * What two ordinary players make of a solved map: on every look the one logit saddle at the values of two who know
 * best, between the looks and waiting by what they bring in true points; then the true points of that play, exactly.
 * Holes are filled as the solution has them.
 * @throws RangeError for a level outside of 0.02 to 10 points
 */
export function ordinaryPlay(solution: MapSolution, level: Softness): OrdinaryPlay {
  for (const softness of [level.bottom, level.top])
    if (!(softness >= LEVEL_RANGE[0] && softness <= LEVEL_RANGE[1]))
      throw new RangeError(`a level lies between ${LEVEL_RANGE[0]} and ${LEVEL_RANGE[1]} points`);
  const { game, built, values } = solution;
  const stages = game.states.map(({ looks }, s) =>
    looks.map(({ look }, l) => logitStage(stageOf(built, values, s, l), level, look.timing)),
  );
  const waits = game.states.map((_, s) => waitOf(solution, s));
  const choice = stages.map((own, s) => {
    const ways = [
      ...own.map(({ value }, l) => ({ value, weight: game.states[s]!.looks[l]!.moves.length })),
      { value: worthOf(waits[s]!, values, built.discount), weight: 1 },
    ];
    return softmax(ways.map(({ value, weight }) => value / level.bottom + Math.log(weight)));
  });
  const ways = game.states.map((_, s) => waysOf(solution, s, stages[s]!, choice[s]!, waits[s]!));
  const { value, residual } = evaluate(ways, built.discount, values);
  const visits = visitsOf(ways, built.discount, solution.weights);
  const exchanges = new Map<string, number>();
  for (const [s, own] of ways.entries())
    for (const { exchange, share } of own)
      if (exchange !== undefined)
        exchanges.set(exchange, (exchanges.get(exchange) ?? 0) + visits[s]! * share);
  return {
    choice,
    stages,
    value,
    entry: solution.weights.reduce((sum, weight, s) => sum + weight * value[s]!, 0),
    visits,
    exchanges,
    gap: Math.max(0, ...stages.flatMap((own) => own.map(({ gap }) => Math.abs(gap)))),
    residual,
  };
}

/** Waiting: to rest where one is, or to drift on, which is the look behind those of the map. */
function waitOf({ game, built }: MapSolution, s: number): Pick<Way, 'payoff' | 'next'> {
  const { rest, looks } = built.states[s]!;
  if (rest !== undefined) return { payoff: rest, next: [] };
  const drift: StochasticLook = looks[game.states[s]!.looks.length]!;
  return { payoff: drift.payoff[0]![0]!, next: drift.next[0]![0]! };
}

const worthOf = (
  { payoff, next }: Pick<Way, 'payoff' | 'next'>,
  values: ArrayLike<number>,
  discount: number,
): number => next.reduce((sum, [to, p]) => sum + discount * p * values[to]!, payoff);

function waysOf(
  { game, built }: MapSolution,
  s: number,
  stages: readonly LogitStage[],
  choice: readonly number[],
  wait: Pick<Way, 'payoff' | 'next'>,
): Way[] {
  const cells = game.states[s]!.looks.flatMap(({ cells: lines, look }, l) => {
    const { row, column, reply } = stages[l]!;
    const { payoff, next } = built.states[s]!.looks[l]!;
    return lines.flatMap((line, m) =>
      line.map((cell, r): Way => {
        const shown = look.timing === 'seen' ? reply[r]![m]! : row[m]!;
        return {
          share: choice[l]! * shown * column[r]!,
          payoff: payoff[m]![r]!,
          next: next[m]![r]!,
          exchange: cell.exchange?.id,
        };
      }),
    );
  });
  return [...cells, { ...wait, share: choice.at(-1)! }];
}

/** So far from the fixed point a sweep may still move a value. */
const DONE = 1e-13;
const MOST_SWEEPS = 5000;

/** The true points of a play: (I − P)v = r, swept in place until nothing moves. */
function evaluate(
  ways: readonly (readonly Way[])[],
  discount: number,
  start: readonly number[],
): { value: number[]; residual: number } {
  const value = Float64Array.from(start);
  const sweep = () => {
    let moved = 0;
    for (const [s, own] of ways.entries()) {
      let sum = 0;
      for (const way of own) sum += way.share * worthOf(way, value, discount);
      moved = Math.max(moved, Math.abs(sum - value[s]!));
      value[s] = sum;
    }
    return moved;
  };
  for (let i = 0; i < MOST_SWEEPS && sweep() > DONE; i++);
  const residual = ways.reduce((most, own, s) => {
    const sum = own.reduce((total, way) => total + way.share * worthOf(way, value, discount), 0);
    return Math.max(most, Math.abs(sum - value[s]!));
  }, 0);
  return { value: [...value], residual };
}

/** Discounted expected visits: w(I − P)⁻¹. */
function visitsOf(ways: readonly (readonly Way[])[], discount: number, weights: readonly number[]): number[] {
  const flow = ways.map((own) => {
    const out = new Map<number, number>();
    for (const { share, next } of own)
      for (const [to, p] of next) out.set(to, (out.get(to) ?? 0) + share * p * discount);
    return [...out];
  });
  let visits = Float64Array.from(weights);
  for (let i = 0; i < MOST_SWEEPS; i++) {
    const after = Float64Array.from(weights);
    for (const [s, out] of flow.entries()) for (const [to, p] of out) after[to] = after[to]! + visits[s]! * p;
    let moved = 0;
    for (let s = 0; s < after.length; s++) moved = Math.max(moved, Math.abs(after[s]! - visits[s]!));
    visits = after;
    if (moved < DONE) break;
  }
  return [...visits];
}

import { type LogitStage, logitStage, type Softness, softmax } from '../../game/logitStage.ts';
import type { StochasticLook } from '../../game/stochasticGame.ts';
import {
  cellOf,
  createFlowSum,
  exchangeVisits,
  type Flow,
  flowsOf,
  type Play,
  type PlayedMap,
  valuesOf,
  visitsOf,
  WAITING,
} from '../game/plays.ts';
import { bothKnowBest } from '../game/softness.ts';
import { entryValue } from '../game/solveForTrusts.ts';
import { expectedMix, type MapSolution, stageOf } from '../game/solveMap.ts';

/** A look as two ordinary players play it; habits that are known of top are in what is expected. */
export interface OrdinaryStage extends LogitStage {
  /** What the choices are judged by: the look if both know best from there on. */
  judged: number[][];
  expected: number[];
}

/** What two ordinary players make of a map: their choices, judged by what things are worth between two who know best. */
export interface OrdinaryPlay extends PlayedMap {
  /** Shares of the looks of each position, in their order, and of waiting behind them. */
  choice: number[][];
  /** What is played in each look of each position. */
  stages: OrdinaryStage[][];
  /** True points of a round under that play, at the entries. */
  entry: number;
  /** The same where top follows the habits that are known of it; and where top knows best, bottom keeping to this play. */
  gain: number;
  worst: number;
  /** The largest gap of a stage, and how far the values are from satisfying themselves. */
  gap: number;
  residual: number;
}

type Solved = Pick<MapSolution, 'game' | 'built' | 'values' | 'weights' | 'trust'>;

/**
 * What two ordinary players make of a solved map: on every look the one logit saddle at the values of two who know
 * best, between the looks and waiting by what they bring in true points; then the true points of that play, exactly.
 * Holes are filled as the solution has them.
 * @throws RangeError for a level outside of 0.02 to 10 points
 */
export function ordinaryPlay(solution: Solved, level: Softness): OrdinaryPlay {
  const { choice, stages, plays, flows, values, residual } = valuedPlay(solution, level);
  const { game, built, weights } = solution;
  const positionVisits = visitsOf(flows, weights);
  return {
    game,
    built,
    weights,
    choice,
    stages,
    plays,
    values,
    positionVisits,
    visits: exchangeVisits(game, plays, positionVisits),
    entry: entryValue(values, weights),
    gain: followingHabits(solution, choice, stages, values),
    worst: worstCase(solution, choice, stages, values),
    gap: Math.max(0, ...stages.flatMap((own) => own.map(({ gap }) => Math.abs(gap)))),
    residual,
  };
}

/** The true points of ordinary play alone, from every position. */
export const ordinaryValues = (solution: Solved, level: Softness): number[] =>
  valuedPlay(solution, level).values;

function valuedPlay(solution: Solved, level: Softness) {
  if (bothKnowBest(level)) throw new RangeError('two who know best play the solution itself');
  const each = solution.game.states.map((_, s) => playAt(solution, level, s));
  const plays = each.map((one) => one.plays);
  const flows = flowsOf(solution.built, plays);
  const { value: values, residual } = valuesOf(flows, solution.values);
  return {
    choice: each.map((one) => one.choice),
    stages: each.map((one) => one.stages),
    plays,
    flows,
    values,
    residual,
  };
}

/** What two ordinary players do in one position. */
export function playAt(solution: Solved, level: Softness, s: number) {
  const stages = solution.game.states[s]!.looks.map((_, l) => ordinaryStage(solution, level, s, l));
  const choice = choiceOf(solution, level.bottom, s, stages);
  return { stages, choice, plays: playsOf(solution, s, stages, choice) };
}

/** One look: bottom goes by A' = λ·(A·q)·1ᵀ + (1 − λ)·A where habits q are known, and top is expected at λq + (1 − λ)y. */
function ordinaryStage(
  { game, built, values, trust }: Solved,
  level: Softness,
  s: number,
  l: number,
): OrdinaryStage {
  const { known } = game.states[s]!.looks[l]!;
  const { timing, against } = built.states[s]!.looks[l]!;
  const matrix = stageOf(built, values, s, l);
  const trusted = against?.trust ?? 0;
  const stage = timing === 'seen' ? seenStage() : logitStage(met(), level);
  return { ...stage, judged: matrix, expected: expectedMix(known, stage.column, trust) };

  /** On a seen look the habits leave top less to choose: (1 − λ)·W. */
  function seenStage(): LogitStage {
    return logitStage(matrix, { bottom: level.bottom, top: level.top / (1 - trusted) }, 'seen');
  }
  function met(): number[][] {
    if (trusted === 0) return matrix;
    return matrix.map((line) => {
      const expected = against!.column.reduce((sum, q, j) => sum + q * line[j]!, 0);
      return line.map((a) => trusted * expected + (1 - trusted) * a);
    });
  }
}

/** Between the looks and waiting: as often as they have moves, and by what they bring in true points. */
function choiceOf(
  { game, built, values }: Solved,
  bottom: number,
  s: number,
  stages: readonly OrdinaryStage[],
): number[] {
  const worths = stages.map((stage, l) => {
    const look = built.states[s]!.looks[l]!;
    let brought = 0;
    for (const [r, y] of stage.expected.entries())
      for (const [m, x] of rowAgainst(stage, look, r).entries()) brought += x * y * stage.judged[m]![r]!;
    return brought / bottom + Math.log(game.states[s]!.looks[l]!.moves.length);
  });
  const { payoff, next } = cellOf(built, s, { look: WAITING, m: 0, r: 0, share: 1 });
  const wait = next.reduce((sum, [to, p]) => sum + built.discount * p * values[to]!, payoff);
  return softmax([...worths, wait / bottom]);
}

/** What bottom does about a reaction: on a seen look it has been felt. */
const rowAgainst = (stage: LogitStage, { timing }: Pick<StochasticLook, 'timing'>, r: number): number[] =>
  timing === 'seen' ? stage.reply[r]! : stage.row;

function playsOf(
  { game, built }: Solved,
  s: number,
  stages: readonly OrdinaryStage[],
  choice: readonly number[],
): Play[] {
  const plays: Play[] = [];
  for (const [look, stage] of stages.entries())
    for (let r = 0; r < stage.expected.length; r++) {
      const row = rowAgainst(stage, built.states[s]!.looks[look]!, r);
      for (let m = 0; m < row.length; m++)
        plays.push({ look, m, r, share: choice[look]! * row[m]! * stage.expected[r]! });
    }
  return [...plays, { look: WAITING, m: 0, r: 0, share: choice[game.states[s]!.looks.length]! }];
}

/** So far from its fixed point a sweep may still move a value, and so many sweeps are made. */
const DONE = 1e-10;
const MOST_SWEEPS = 5000;

/** What the play is worth at the entries where top follows its known habits for certain. */
function followingHabits(
  solution: Solved,
  choice: readonly (readonly number[])[],
  stages: readonly (readonly OrdinaryStage[])[],
  start: readonly number[],
): number {
  const { game, built, weights } = solution;
  if (!game.states.some(({ looks }) => looks.some(({ known }) => known))) return entryValue(start, weights);
  const plays = stages.map((own, s) => {
    const met = own.map((stage, l) => ({
      ...stage,
      expected: game.states[s]!.looks[l]!.known ?? stage.column,
    }));
    return playsOf(solution, s, met, choice[s]!);
  });
  return entryValue(valuesOf(flowsOf(built, plays), start).value, weights);
}

/** What bottom's play is worth at the entries against a top who knows best: in every look the reaction that leaves least. */
function worstCase(
  { built, weights }: Solved,
  choice: readonly (readonly number[])[],
  stages: readonly (readonly OrdinaryStage[])[],
  start: readonly number[],
): number {
  // Every column of every look with bottom's answer mixed in; and waiting.
  const sum = createFlowSum(built);
  const states = choice.map((shares, s) => {
    const looks = stages[s]!.map((stage, l) => {
      const look = built.states[s]!.looks[l]!;
      const columns: Flow[] = [];
      for (let r = 0; r < stage.column.length; r++) {
        const row = rowAgainst(stage, look, r);
        for (let m = 0; m < row.length; m++)
          sum.add(row[m]!, { payoff: look.payoff[m]![r]!, next: look.next[m]![r]! });
        columns.push(sum.take());
      }
      return { share: shares[l]!, columns };
    });
    sum.add(1, cellOf(built, s, { look: WAITING, m: 0, r: 0, share: 1 }));
    return [...looks, { share: shares.at(-1)!, columns: [sum.take()] }];
  });
  const value = Float64Array.from(start);
  for (let sweep = 0; sweep < MOST_SWEEPS; sweep++) {
    let moved = 0;
    for (let s = 0; s < states.length; s++) {
      let sum = 0;
      let stays = 0;
      for (const { share, columns } of states[s]!) {
        let least = Number.POSITIVE_INFINITY;
        let own = 0;
        for (const { payoff, to, p } of columns) {
          let worth = payoff;
          let back = 0;
          for (let i = 0; i < to.length; i++) {
            worth += p[i]! * value[to[i]!]!;
            if (to[i] === s) back += p[i]!;
          }
          if (worth < least) {
            least = worth;
            own = back;
          }
        }
        sum += share * least;
        stays += share * own;
      }
      // What leads back to where it is is solved for at once.
      const next = value[s]! + (sum - value[s]!) / (1 - stays);
      moved = Math.max(moved, Math.abs(next - value[s]!));
      value[s] = next;
    }
    if (moved < DONE) break;
  }
  return entryValue([...value], weights);
}

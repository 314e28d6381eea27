import { solveMatrixGame } from '../game/solveMatrixGame.ts';
import { type StochasticGame, solveStochasticGame } from '../game/solveStochasticGame.ts';
import type { GuardMap } from '../model/map.ts';
import type { ReactionRef } from '../model/reaction.ts';
import { type MapGame, mapGame, restOf, toStochasticGame, type WeighOptions } from './mapGame.ts';

export interface Share<T> {
  what: T;
  share: number;
}

/** One look of a position, played as well as both can. */
export interface LookPlan {
  look: string;
  name: string;
  timing: 'hidden' | 'seen';
  value: number;
  /** What bottom shows, with shares; on a `seen` look the best move against each reaction is in `replies`. */
  moves: Share<string>[];
  /** What top does about it. */
  reactions: Share<ReactionRef>[];
  /** On a `seen` look, the best move against every reaction. */
  replies: { reaction: ReactionRef; move: string }[];
  /** How much the mix is worth over the best single move. */
  overSingle: number;
}

export interface PositionValue {
  position: string;
  value: number;
  ifAnswered: number;
  /** The best look; undefined where waiting is best or nothing can be done. */
  best?: string;
  looks: LookPlan[];
  /** Discounted expected visits of a round. */
  visits: number;
}

export interface MapSolution {
  positions: PositionValue[];
  /** Value at the entries, their weights normalised. */
  entry: number;
  entryIfAnswered: number;
  /** Discounted expected visits of every exchange under the plan. */
  visits: Map<string, number>;
  residual: number;
  game: MapGame;
  /** The values by place, for a warm start. */
  values: number[];
}

const TINY = 1e-9;

/**
 * What every position is worth, the plan that gets it, and what a perfect top does about it: as mapped, where a hole
 * gains nothing, and if answered, where it is as good as the rest of its row.
 * @throws RangeError where no position is an entry, or continuation is not between 0 and 1.
 */
export function solveMap(map: GuardMap, options: WeighOptions = {}, start?: readonly number[]): MapSolution {
  const game = mapGame(map, options);
  const weights = entryWeights(map);
  const { solved, built } = solveAsMapped(game, start);
  const answered = solveStochasticGame(toStochasticGame(game, 'if-answered', new Set()), {
    start: solved.value,
  });
  const value = solved.value;
  const plans = game.states.map((_, s) => lookPlans(game, built, value, s));
  const { visits, exchanges } = visitRates(game, built, solved, weights);
  return {
    positions: game.states.map(({ position }, s) => {
      const at = solved.look[s]!;
      const best = at >= 0 ? game.states[s]!.looks[at]?.look.id : undefined;
      return {
        position: position.id,
        value: value[s]!,
        ifAnswered: answered.value[s]!,
        ...(best !== undefined && { best }),
        looks: plans[s]!,
        visits: visits[s]!,
      };
    }),
    entry: weights.reduce((sum, weight, s) => sum + weight * value[s]!, 0),
    entryIfAnswered: weights.reduce((sum, weight, s) => sum + weight * answered.value[s]!, 0),
    visits: exchanges,
    residual: Math.max(solved.residual, answered.residual),
    game,
    values: value,
  };
}

/** Entry weights that sum to one. */
export function entryWeights(map: GuardMap): number[] {
  const weights = map.positions.map(({ entry = 0 }) => entry);
  const total = weights.reduce((sum, weight) => sum + weight, 0);
  if (!(total > 0))
    throw new RangeError('no position is one where a round can start: give at least one an entry weight');
  return weights.map((weight) => weight / total);
}

/** A hole is worth the lesser of waiting and staying; which of them that is shows once the values are known. */
function solveAsMapped(game: MapGame, start: readonly number[] | undefined) {
  let self = new Set<number>();
  for (let round = 0; ; round++) {
    const built = toStochasticGame(game, 'as-mapped', self);
    const solved = solveStochasticGame(built, start ? { start } : {});
    const worse = new Set(
      game.states.flatMap(({ position }, s) => {
        if (position.rest === undefined && position.drift) return [];
        return game.paceGamma * solved.value[s]! < restOf(game, position) - TINY ? [s] : [];
      }),
    );
    if (round >= 5 || (worse.size === self.size && [...worse].every((s) => self.has(s))))
      return { solved, built };
    self = worse;
  }
}

/** The stage of a look at the values given. */
export function stageOf(built: StochasticGame, value: readonly number[], s: number, l: number): number[][] {
  const { payoff, next } = built.states[s]!.looks[l]!;
  return payoff.map((line, m) =>
    line.map((a, r) => a + built.discount * next[m]![r]!.reduce((sum, [to, p]) => sum + p * value[to]!, 0)),
  );
}

function lookPlans(game: MapGame, built: StochasticGame, value: readonly number[], s: number): LookPlan[] {
  return game.states[s]!.looks.map(({ look, moves, reactions }, l): LookPlan => {
    const matrix = stageOf(built, value, s, l);
    const single = Math.max(...matrix.map((line) => Math.min(...line)));
    if (look.timing === 'seen') {
      const best = matrix[0]!.map((_, r) =>
        matrix.reduce((b, line, m) => (line[r]! > matrix[b]![r]! ? m : b), 0),
      );
      const worst = best.reduce((w, m, r) => (matrix[m]![r]! < matrix[best[w]!]![w]! ? r : w), 0);
      const seen = matrix[best[worst]!]![worst]!;
      return {
        look: look.id,
        name: look.name,
        timing: 'seen',
        value: seen,
        moves: [{ what: moves[best[worst]!]!.id, share: 1 }],
        reactions: reactions[worst] ? [{ what: reactions[worst]!, share: 1 }] : [],
        replies: reactions.map((reaction, r) => ({ reaction, move: moves[best[r]!]!.id })),
        overSingle: seen - single,
      };
    }
    const solved = solveMatrixGame(matrix);
    return {
      look: look.id,
      name: look.name,
      timing: 'hidden',
      value: solved.value,
      moves: shares(
        moves.map(({ id }) => id),
        solved.row,
      ),
      reactions: shares(reactions, solved.column),
      replies: [],
      overSingle: solved.value - single,
    };
  });
}

const shares = <T>(list: readonly T[], mix: readonly number[]): Share<T>[] =>
  list.flatMap((what, i) => (mix[i]! > TINY ? [{ what, share: mix[i]! }] : []));

interface Solved {
  look: number[];
  row: number[][];
  column: number[][];
}

/** Discounted expected visits of states and exchanges: bottom plays the plan, top its own mix. */
function visitRates(game: MapGame, built: StochasticGame, solved: Solved, weights: readonly number[]) {
  const n = game.states.length;
  const flow = game.states.map((_, s) => {
    const l = solved.look[s]!;
    const out = new Map<number, number>();
    if (l < 0) return out;
    const { next } = built.states[s]!.looks[l]!;
    for (const [m, x] of solved.row[s]!.entries())
      for (const [r, y] of solved.column[s]!.entries())
        for (const [to, p] of next[m]![r]!) out.set(to, (out.get(to) ?? 0) + x * y * p * built.discount);
    return out;
  });
  let visits = Float64Array.from(weights);
  for (let sweep = 0; sweep < 5000; sweep++) {
    const after = Float64Array.from(weights);
    for (let s = 0; s < n; s++) for (const [to, p] of flow[s]!) after[to] = after[to]! + visits[s]! * p;
    let moved = 0;
    for (let s = 0; s < n; s++) moved = Math.max(moved, Math.abs(after[s]! - visits[s]!));
    visits = after;
    if (moved < 1e-12) break;
  }
  const exchanges = new Map<string, number>();
  for (const [s, { looks }] of game.states.entries()) {
    const look = looks[solved.look[s]!];
    if (!look) continue;
    for (const [m, x] of solved.row[s]!.entries())
      for (const [r, y] of solved.column[s]!.entries()) {
        const id = look.cells[m]?.[r]?.exchange?.id;
        if (id !== undefined && x * y > 0) exchanges.set(id, (exchanges.get(id) ?? 0) + visits[s]! * x * y);
      }
  }
  return { visits: [...visits], exchanges };
}

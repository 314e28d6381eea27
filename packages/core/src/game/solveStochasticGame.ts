import { solveMatrixGame } from './solveMatrixGame.ts';

export interface StochasticLook {
  /** `hidden`: both choose at once. `seen`: the row is chosen knowing the column. */
  timing?: 'hidden' | 'seen' | undefined;
  payoff: readonly (readonly number[])[];
  /** For every cell the states it leads to with their probabilities; they may sum to less than 1. */
  next: readonly (readonly (readonly (readonly [state: number, probability: number])[])[])[];
}
export interface StochasticGame {
  /** In (0, 1). */
  discount: number;
  states: readonly { rest?: number | undefined; looks: readonly StochasticLook[] }[];
}
export interface StochasticSolution {
  value: number[];
  /** The best look of each state; −1 where resting is best. */
  look: number[];
  /** The mixes in that look; on a `seen` look the row is the best one against the column that is chosen. */
  row: number[][];
  column: number[][];
  /** Sup norm of what one more step would change. */
  residual: number;
  iterations: number;
}
export interface SolveOptions {
  /** Largest residual; 1e-9 when absent. |V − V*| ≤ residual/(1 − discount). */
  tolerance?: number;
  /** A value to begin from, for instance that of a game that differs a little. */
  start?: readonly number[];
  maxIterations?: number;
}

interface Policy {
  look: Int32Array;
  row: number[][];
  column: number[][];
}

/**
 * The value of a finite discounted stochastic game (L. S. Shapley, "Stochastic Games", PNAS 39, 1953) by a safeguarded
 * Newton scheme: with both mixes fixed the values are a linear system, solved by sparse sweeps; the step is taken if it
 * brings the residual down, else one step of value iteration is, which always does.
 * @throws RangeError where the discount is not in (0, 1), a state has neither a look nor a rest, or probabilities are none.
 */
export function solveStochasticGame(game: StochasticGame, options: SolveOptions = {}): StochasticSolution {
  check(game);
  const { tolerance = 1e-9, maxIterations = 5000 } = options;
  const { states } = game;
  let value: Float64Array = Float64Array.from({ length: states.length }, (_, i) => options.start?.[i] ?? 0);
  let stage = step(game, value);
  let iterations = 1;
  while (stage.residual > tolerance && iterations < maxIterations) {
    const newton = fixedPoint(game, stage.policy, stage.value, tolerance / 4);
    const tried = step(game, newton);
    iterations++;
    if (tried.residual < stage.residual * 0.5) {
      value = newton;
      stage = tried;
      continue;
    }
    value = stage.value;
    stage = step(game, value);
    iterations++;
  }
  return {
    value: [...stage.value],
    look: [...stage.policy.look],
    row: stage.policy.row,
    column: stage.policy.column,
    residual: stage.residual,
    iterations,
  };
}

function check({ discount, states }: StochasticGame): void {
  if (!(discount > 0 && discount < 1)) throw new RangeError('the discount has to lie between 0 and 1');
  for (const [s, { rest, looks }] of states.entries()) {
    if (looks.length === 0 && rest === undefined)
      throw new RangeError(`state ${s} has neither a look nor a rest`);
    for (const { next } of looks) {
      for (const cell of next.flat()) {
        let sum = 0;
        for (const [state, probability] of cell) {
          if (!(probability >= 0) || !states[state])
            throw new RangeError(`a cell of state ${s} leads nowhere`);
          sum += probability;
        }
        if (sum > 1 + 1e-9) throw new RangeError(`probabilities of a cell of state ${s} sum to more than 1`);
      }
    }
  }
}

/** One step of value iteration, with the policy that is best against the values given. */
function step(
  game: StochasticGame,
  value: Float64Array,
): { value: Float64Array; policy: Policy; residual: number } {
  const n = game.states.length;
  const next = new Float64Array(n);
  const policy: Policy = { look: new Int32Array(n).fill(-1), row: new Array(n), column: new Array(n) };
  let residual = 0;
  for (let s = 0; s < n; s++) {
    const { rest, looks } = game.states[s]!;
    let best = rest ?? Number.NEGATIVE_INFINITY;
    let mixes: { row: number[]; column: number[] } = { row: [], column: [] };
    for (const [l, look] of looks.entries()) {
      const matrix = stageMatrix(look, value, game.discount);
      const solved = look.timing === 'seen' ? seenStage(matrix) : solveMatrixGame(matrix);
      if (solved.value > best) {
        best = solved.value;
        policy.look[s] = l;
        mixes = solved;
      }
    }
    policy.row[s] = mixes.row;
    policy.column[s] = mixes.column;
    next[s] = best;
    residual = Math.max(residual, Math.abs(best - value[s]!));
  }
  return { value: next, policy, residual };
}

function stageMatrix(look: StochasticLook, value: Float64Array, discount: number): number[][] {
  return look.payoff.map((line, i) =>
    line.map((payoff, j) => {
      let future = 0;
      for (const [state, probability] of look.next[i]![j]!) future += probability * value[state]!;
      return payoff + discount * future;
    }),
  );
}

/** The column comes first and is seen: the row player takes the best row in it, the column player the worst such column. */
function seenStage(matrix: readonly (readonly number[])[]): {
  value: number;
  row: number[];
  column: number[];
} {
  let least = Number.POSITIVE_INFINITY;
  let at = [0, 0];
  for (let j = 0; j < matrix[0]!.length; j++) {
    let best = 0;
    for (let i = 1; i < matrix.length; i++) if (matrix[i]![j]! > matrix[best]![j]!) best = i;
    if (matrix[best]![j]! < least) {
      least = matrix[best]![j]!;
      at = [best, j];
    }
  }
  return {
    value: least,
    row: matrix.map((_, i) => (i === at[0] ? 1 : 0)),
    column: matrix[0]!.map((_, j) => (j === at[1] ? 1 : 0)),
  };
}

/** The values of a fixed policy: a sparse linear system, swept until nothing moves. */
function fixedPoint(
  game: StochasticGame,
  policy: Policy,
  start: Float64Array,
  tolerance: number,
): Float64Array {
  const n = game.states.length;
  const reward = new Float64Array(n);
  const from = new Int32Array(n + 1);
  const targets: number[] = [];
  const weights: number[] = [];
  for (let s = 0; s < n; s++) {
    const l = policy.look[s]!;
    const { rest = 0, looks } = game.states[s]!;
    if (l < 0) reward[s] = rest;
    else {
      const look = looks[l]!;
      const [row, column] = [policy.row[s]!, policy.column[s]!];
      const ahead = new Map<number, number>();
      for (const [i, x] of row.entries()) {
        if (x === 0) continue;
        for (const [j, y] of column.entries()) {
          if (y === 0) continue;
          reward[s] = reward[s]! + x * y * look.payoff[i]![j]!;
          for (const [state, probability] of look.next[i]![j]!)
            ahead.set(state, (ahead.get(state) ?? 0) + x * y * probability * game.discount);
        }
      }
      for (const [state, weight] of ahead) {
        targets.push(state);
        weights.push(weight);
      }
    }
    from[s + 1] = targets.length;
  }
  const value = Float64Array.from(start);
  for (let sweep = 0; sweep < 2000; sweep++) {
    let moved = 0;
    for (let s = 0; s < n; s++) {
      let sum = reward[s]!;
      let own = 0;
      for (let k = from[s]!; k < from[s + 1]!; k++) {
        if (targets[k] === s) own += weights[k]!;
        else sum += weights[k]! * value[targets[k]!]!;
      }
      const next = sum / (1 - own);
      moved = Math.max(moved, Math.abs(next - value[s]!));
      value[s] = next;
    }
    if (moved <= tolerance) break;
  }
  return value;
}

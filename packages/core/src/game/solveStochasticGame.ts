import { type FlatGame, flatGame } from './flatGame.ts';
import { stageGame } from './stageGame.ts';
import type { StochasticGame } from './stochasticGame.ts';

export interface StochasticSolution {
  value: number[];
  /** The best look of each state; −1 where resting is best. */
  look: number[];
  /** The mixes in that look; on a `seen` look the row is the best one against the column that is chosen. */
  row: number[][];
  /** The column's own mix, a known one left aside. */
  column: number[][];
  /** On a `seen` look the best row against each column; else empty. */
  reply: number[][];
  /** Sup norm of what one more step would change. */
  residual: number;
  iterations: number;
}
export interface SolveOptions {
  /** Largest residual; 1e-9 when absent. |V − V*| ≤ residual/(1 − discount). */
  tolerance?: number;
  /** A value to begin from, for instance that of a game that differs a little. */
  start?: readonly number[] | undefined;
  maxIterations?: number;
  /** Told the residual after every stage. */
  onStage?: ((residual: number) => void) | undefined;
}

/** One step of value iteration and the policy that it takes; the mixes of state s stand from s × the most of a look. */
interface Stage {
  value: Float64Array;
  look: Int32Array;
  row: Float64Array;
  column: Float64Array;
  reply: Int32Array;
  residual: number;
}

/** A Newton step is taken if it leaves at most this share of the residual. */
const WORTH_IT = 0.5;
/** The linear system of a Newton step is solved this much closer than the residual it starts from. */
const CLOSER = 1e-3;

/**
 * The value of a finite discounted stochastic game (L. S. Shapley, "Stochastic Games", PNAS 39, 1953) by a safeguarded
 * Newton scheme: with both mixes fixed the values are a linear system, solved by sparse sweeps; the step is taken if it
 * brings the residual down, else one step of value iteration is, which always does.
 *
 * Where a look has a mix `against` it, its stage game is the restricted response λ·(A·q)·1ᵀ + (1 − λ)·A of Johanson,
 * Zinkevich & Bowling, "Computing Robust Counter-Strategies" (NIPS 2007); on a `seen` look
 * λ·Σ q(column)·max over rows + (1 − λ)·min over columns of max over rows.
 * @throws RangeError where the discount is not in (0, 1), a state has neither a look nor a rest, a look is ragged, or
 * probabilities are none.
 */
export function solveStochasticGame(game: StochasticGame, options: SolveOptions = {}): StochasticSolution {
  const { tolerance = 1e-9, maxIterations = 5000, start, onStage } = options;
  const flat = flatGame(game);
  let value: Float64Array = Float64Array.from({ length: flat.size }, (_, i) => start?.[i] ?? 0);
  let [stage, spare] = [emptyStage(flat), emptyStage(flat)];
  const matrix = new Float64Array(flat.most.cells);
  step(flat, value, stage, matrix);
  let iterations = 1;
  while (stage.residual > tolerance && iterations < maxIterations) {
    onStage?.(stage.residual);
    const newton = fixedPoint(flat, stage, Math.max(tolerance / 4, stage.residual * CLOSER));
    step(flat, newton, spare, matrix);
    iterations++;
    if (spare.residual < stage.residual * WORTH_IT) {
      value = newton;
    } else {
      value = Float64Array.from(stage.value);
      step(flat, value, spare, matrix);
      iterations++;
    }
    [stage, spare] = [spare, stage];
  }
  const { most, size } = flat;
  const mixOf = (mix: Float64Array | Int32Array, width: number, lengths: Int32Array) =>
    Array.from({ length: size }, (_, s) => {
      const l = stage.look[s]!;
      return l < 0 ? [] : [...mix.subarray(s * width, s * width + lengths[flat.look[s]! + l]!)];
    });
  return {
    value: [...stage.value],
    look: [...stage.look],
    row: mixOf(stage.row, most.rows, flat.rows),
    column: mixOf(stage.column, most.columns, flat.columns),
    reply: mixOf(stage.reply, most.columns, flat.columns).map((reply, s) =>
      stage.look[s]! >= 0 && flat.seen[flat.look[s]! + stage.look[s]!] ? reply : [],
    ),
    residual: stage.residual,
    iterations,
  };
}

const emptyStage = ({ size, most }: FlatGame): Stage => ({
  value: new Float64Array(size),
  look: new Int32Array(size),
  row: new Float64Array(size * most.rows),
  column: new Float64Array(size * most.columns),
  reply: new Int32Array(size * most.columns),
  residual: 0,
});

/** One step of value iteration, with the policy that is best against the values given. */
function step(flat: FlatGame, value: Float64Array, into: Stage, matrix: Float64Array): void {
  const { most } = flat;
  const [row, column] = [new Float64Array(most.rows), new Float64Array(most.columns)];
  const reply = new Int32Array(most.columns);
  into.residual = 0;
  for (let s = 0; s < flat.size; s++) {
    let best = flat.rest[s]!;
    into.look[s] = -1;
    for (let l = flat.look[s]!; l < flat.look[s + 1]!; l++) {
      const m = flat.rows[l]!;
      const n = flat.columns[l]!;
      stageMatrix(flat, l, value, matrix);
      if (!flat.seen[l] && flat.trust[l] === 0 && ceiling(matrix, m, n) <= best) continue;
      const worth = flat.seen[l]
        ? seenStage(flat, l, matrix, row, column, reply)
        : hiddenStage(flat, l, matrix, row, column);
      if (worth <= best) continue;
      best = worth;
      into.look[s] = l - flat.look[s]!;
      for (let i = 0; i < m; i++) into.row[s * most.rows + i] = row[i]!;
      for (let j = 0; j < n; j++) into.column[s * most.columns + j] = column[j]!;
      if (flat.seen[l]) for (let j = 0; j < n; j++) into.reply[s * most.columns + j] = reply[j]!;
    }
    into.value[s] = best;
    const moved = Math.abs(best - value[s]!);
    if (moved > into.residual) into.residual = moved;
  }
}

function stageMatrix(flat: FlatGame, l: number, value: Float64Array, matrix: Float64Array): void {
  const { payoff, next, target, weight } = flat;
  const from = flat.cell[l]!;
  const end = flat.cell[l + 1]!;
  for (let c = from; c < end; c++) {
    let sum = payoff[c]!;
    for (let k = next[c]!; k < next[c + 1]!; k++) sum += weight[k]! * value[target[k]!]!;
    matrix[c - from] = sum;
  }
}

/** No mix gets more than the least of the columns' best. */
function ceiling(matrix: Float64Array, m: number, n: number): number {
  let least = Number.POSITIVE_INFINITY;
  for (let j = 0; j < n; j++) {
    let most = Number.NEGATIVE_INFINITY;
    for (let k = j; k < m * n; k += n) if (matrix[k]! > most) most = matrix[k]!;
    if (most < least) least = most;
  }
  return least;
}

function hiddenStage(
  flat: FlatGame,
  l: number,
  matrix: Float64Array,
  row: Float64Array,
  column: Float64Array,
): number {
  const m = flat.rows[l]!;
  const n = flat.columns[l]!;
  const trust = flat.trust[l]!;
  if (trust > 0) {
    for (let i = 0; i < m; i++) {
      let expected = 0;
      for (let j = 0; j < n; j++) expected += flat.known[flat.knownAt[l]! + j]! * matrix[i * n + j]!;
      for (let k = i * n; k < (i + 1) * n; k++) matrix[k] = trust * expected + (1 - trust) * matrix[k]!;
    }
  }
  return stageGame(matrix, m, n, row, column);
}

/** The column comes first and is seen: the row player takes the best row in it, the column player the worst such column. */
function seenStage(
  flat: FlatGame,
  l: number,
  matrix: Float64Array,
  row: Float64Array,
  column: Float64Array,
  reply: Int32Array,
): number {
  const m = flat.rows[l]!;
  const n = flat.columns[l]!;
  const trust = flat.trust[l]!;
  let least = Number.POSITIVE_INFINITY;
  let expected = 0;
  let at = 0;
  for (let j = 0; j < n; j++) {
    let best = 0;
    for (let i = 1; i < m; i++) if (matrix[i * n + j]! > matrix[best * n + j]!) best = i;
    const worth = matrix[best * n + j]!;
    reply[j] = best;
    expected += flat.known[flat.knownAt[l]! + j]! * worth;
    if (worth < least) {
      least = worth;
      at = j;
    }
  }
  row.fill(0, 0, m);
  column.fill(0, 0, n);
  row[reply[at]!] = 1;
  column[at] = 1;
  return trust * expected + (1 - trust) * least;
}

/** The values of a fixed policy: a sparse linear system, swept until nothing moves. */
function fixedPoint(flat: FlatGame, policy: Stage, tolerance: number): Float64Array {
  const { size, most } = flat;
  const reward = new Float64Array(size);
  const from = new Int32Array(size + 1);
  let room = 0;
  for (let s = 0; s < size; s++) {
    const l = flat.look[s]! + policy.look[s]!;
    if (policy.look[s]! >= 0) room += flat.next[flat.cell[l + 1]!]! - flat.next[flat.cell[l]!]!;
  }
  const target = new Int32Array(room);
  const weight = new Float64Array(room);
  let used = 0;
  for (let s = 0; s < size; s++) {
    if (policy.look[s]! < 0) reward[s] = flat.rest[s]!;
    else {
      const l = flat.look[s]! + policy.look[s]!;
      const m = flat.rows[l]!;
      const n = flat.columns[l]!;
      const trust = flat.trust[l]!;
      for (let j = 0; j < n; j++) {
        const known = flat.known[flat.knownAt[l]! + j]!;
        const y = trust * known + (1 - trust) * policy.column[s * most.columns + j]!;
        if (y === 0) continue;
        for (let i = 0; i < m; i++) {
          const x = flat.seen[l]
            ? Number(policy.reply[s * most.columns + j] === i)
            : policy.row[s * most.rows + i]!;
          if (x === 0) continue;
          const c = flat.cell[l]! + i * n + j;
          reward[s] = reward[s]! + x * y * flat.payoff[c]!;
          for (let k = flat.next[c]!; k < flat.next[c + 1]!; k++) {
            target[used] = flat.target[k]!;
            weight[used] = x * y * flat.weight[k]!;
            used++;
          }
        }
      }
    }
    from[s + 1] = used;
  }
  const value = Float64Array.from(policy.value);
  for (let sweep = 0; sweep < 2000; sweep++) {
    let moved = 0;
    for (let s = 0; s < size; s++) {
      let sum = reward[s]!;
      let own = 0;
      for (let k = from[s]!; k < from[s + 1]!; k++) {
        if (target[k] === s) own += weight[k]!;
        else sum += weight[k]! * value[target[k]!]!;
      }
      const next = sum / (1 - own);
      const change = Math.abs(next - value[s]!);
      if (change > moved) moved = change;
      value[s] = next;
    }
    if (moved <= tolerance) break;
  }
  return value;
}

/** How human two players are, in points: a choice worth d points more is taken e^(d/τ) times as often. */
export interface Softness {
  bottom: number;
  top: number;
}

export interface LogitStage {
  /** Shares of the rows; on a `seen` stage those that come of all replies together. */
  row: number[];
  column: number[];
  /** On a `seen` stage the shares of the rows against each column. */
  reply: number[][];
  /** What the play brings in true points. */
  value: number;
  /** The same with what it costs to choose: the saddle of `hidden`, the soft minimum of `seen`. */
  soft: number;
  /** Upper less lower bound of `soft`; zero but for rounding. Bounds τb·KL(x‖x*) + τt·KL(y‖y*) from above. */
  gap: number;
}

/** Newton steps at one softness; far fewer are needed. */
const MOST_STEPS = 60;
/** A residual is none below this, and as small as rounding lets it be below that; beside the size of the log-shares. */
const SMALL = 1e-14;
const FINE = 1e-11;
const ROUNDING = 1e-15;
/** The shortest step that is tried. */
const SHORTEST = 1e-6;

/**
 * One look between two ordinary players whose choices are uniform where nothing is at stake.
 * `hidden`: the one saddle point of max over x, min over y of xᵀAy − τb·KL(x‖u) + τt·KL(y‖p), where
 * x ∝ exp(Ay/τb) and y ∝ exp(−Aᵀx/τt). `seen`: rows answer each column, x(·|r) ∝ exp(A(·,r)/τb), and columns answer
 * what that brings. (R. McKelvey & T. Palfrey, "Quantal Response Equilibria for Normal Form Games", Games and Economic
 * Behavior 10 (1995), from memory, for the logit choice.)
 * @param payoff to the row player, a row for each of the rows, points; at least one cell
 * @param softness both above 0, points
 */
export function logitStage(
  payoff: readonly (readonly number[])[],
  { bottom, top }: Softness,
  timing: 'hidden' | 'seen' = 'hidden',
): LogitStage {
  if (!(bottom > 0) || !(top > 0)) throw new RangeError('both softnesses must be above zero');
  return timing === 'seen' ? seenStage(payoff, bottom, top) : hiddenStage(payoff, bottom, top);
}

function seenStage(payoff: readonly (readonly number[])[], bottom: number, top: number): LogitStage {
  const columns = payoff[0]!.map((_, r) => payoff.map((row) => row[r]!));
  const reply = columns.map((column) => softmax(column.map((a) => a / bottom)));
  const worth = columns.map((column, r) => dot(column, reply[r]!));
  const column = softmax(worth.map((w) => -w / top));
  const row = payoff.map((_, m) => column.reduce((sum, y, r) => sum + y * reply[r]![m]!, 0));
  return {
    row,
    column,
    reply,
    value: dot(column, worth),
    soft: -top * logMean(worth.map((w) => -w / top)),
    gap: 0,
  };
}

function hiddenStage(payoff: readonly (readonly number[])[], bottom: number, top: number): LogitStage {
  const flipped = payoff[0]!.map((_, r) => payoff.map((row) => -row[r]!));
  // The same game seen from the other side has as many unknowns as the other player has choices: the fewer, the better.
  const fewerRows = payoff.length < flipped.length;
  const solved = fewerRows ? minimise(flipped, top, bottom) : minimise(payoff, bottom, top);
  const column = fewerRows ? softmax(times(flipped, solved).map((a) => a / top)) : solved;
  const row = softmax(times(payoff, column).map((a) => a / bottom));
  const against = times(flipped, row);
  const toColumn = times(payoff, column).map((a) => a / bottom);
  const upper = bottom * logMean(toColumn) + top * divergence(column);
  const lower = -top * logMean(against.map((a) => a / top)) - bottom * divergence(row);
  const value = dot(row, times(payoff, column));
  return { row, column, reply: [], value, soft: upper, gap: upper - lower };
}

/**
 * The column mix that minimises F(y) = τb·ln mean e^(Ay/τb) + τt·KL(y‖p). Where Newton's method does not get there from
 * uniform shares (a choice that is sharp beside the payoffs), the softness is halved towards what is asked.
 */
function minimise(payoff: readonly (readonly number[])[], bottom: number, top: number): number[] {
  const uniform = new Array<number>(payoff[0]!.length).fill(0);
  const direct = newton(payoff, bottom, top, uniform);
  if (direct.found) return softmax(direct.log);
  const all = payoff.flat();
  const spread = Math.max(...all) - Math.min(...all);
  let log = uniform;
  for (let factor = Math.max(1, spread / Math.min(bottom, top) / 4); ; factor = Math.max(1, factor / 2)) {
    ({ log } = newton(payoff, bottom * factor, top * factor, log));
    if (factor === 1) return softmax(log);
  }
}

/**
 * Newton's method on log-shares η: with x = softmax(Ay/τb), X = diag x − xxᵀ and Y = diag y − yyᵀ the residual
 * R = η + Aᵀx/τt has the derivative I + AᵀXAY/(τb·τt), and the step it gives goes down in F.
 */
function newton(
  payoff: readonly (readonly number[])[],
  bottom: number,
  top: number,
  start: readonly number[],
): { log: number[]; found: boolean } {
  let log = centred(start);
  let now = stateAt(payoff, bottom, top, log);
  for (let step = 0; step < MOST_STEPS; step++) {
    const { y, residual } = now;
    const size = largest(residual);
    if (size < SMALL * (1 + largest(log))) return { log, found: true };
    const matrix = curvature(payoff, now.x, bottom * top).map((line, j) => {
      const mean = dot(line, y);
      return line.map((b, k) => (b - mean) * y[k]! + Number(j === k));
    });
    const move = solveLinear(
      matrix,
      residual.map((r) => -r),
    );
    let length = 1;
    let moved = log;
    let next = now;
    for (; length > SHORTEST; length /= 2) {
      moved = centred(log.map((l, j) => l + length * move[j]!));
      next = stateAt(payoff, bottom, top, moved);
      if (next.f <= now.f + ROUNDING * Math.abs(now.f)) break;
    }
    const better = largest(next.residual) < size;
    // Rounding has the last word: a residual that does not shrink any more is as small as it gets.
    if (!better && size < FINE * (1 + largest(log))) return { log, found: true };
    if (!better && length <= SHORTEST) return { log, found: false };
    log = moved;
    now = next;
  }
  return { log, found: false };
}

/** AᵀXA/scale with X = diag x − xxᵀ. */
function curvature(payoff: readonly (readonly number[])[], x: readonly number[], scale: number): number[][] {
  const n = payoff[0]!.length;
  const mean = payoff[0]!.map((_, j) => payoff.reduce((sum, row, m) => sum + x[m]! * row[j]!, 0));
  return Array.from({ length: n }, (_, j) =>
    Array.from({ length: n }, (__, k) => {
      let sum = 0;
      for (let m = 0; m < payoff.length; m++)
        sum += x[m]! * (payoff[m]![j]! - mean[j]!) * (payoff[m]![k]! - mean[k]!);
      return sum / scale;
    }),
  );
}

const largest = (values: readonly number[]): number =>
  values.reduce((most, v) => Math.max(most, Math.abs(v)), 0);

function stateAt(
  payoff: readonly (readonly number[])[],
  bottom: number,
  top: number,
  log: readonly number[],
) {
  const y = softmax(log);
  const scaled = times(payoff, y).map((a) => a / bottom);
  const x = softmax(scaled);
  const pull = payoff[0]!.map((_, r) => payoff.reduce((sum, row, m) => sum + row[r]! * x[m]!, 0) / top);
  const residual = centred(log.map((l, r) => l + pull[r]!));
  return { x, y, residual, f: bottom * logMean(scaled) + top * divergence(y) };
}

/** Less their mean: log-shares are known but for a constant. */
function centred(values: readonly number[]): number[] {
  const mean = values.reduce((sum, value) => sum + value, 0) / values.length;
  return values.map((value) => value - mean);
}

/** Shares that go by e^value. */
export function softmax(values: readonly number[]): number[] {
  const most = Math.max(...values);
  const weights = values.map((value) => Math.exp(value - most));
  const sum = weights.reduce((total, weight) => total + weight, 0);
  return weights.map((weight) => weight / sum);
}

/** ln of the mean of e^value. */
function logMean(values: readonly number[]): number {
  const most = Math.max(...values);
  return most + Math.log(values.reduce((sum, value) => sum + Math.exp(value - most), 0) / values.length);
}

/** The Kullback–Leibler divergence of shares from uniform ones. */
const divergence = (shares: readonly number[]): number =>
  shares.reduce((sum, share) => (share > 0 ? sum + share * Math.log(share * shares.length) : sum), 0);

const dot = (a: readonly number[], b: readonly number[]): number =>
  a.reduce((sum, value, i) => sum + value * b[i]!, 0);
const times = (matrix: readonly (readonly number[])[], vector: readonly number[]): number[] =>
  matrix.map((row) => dot(row, vector));

/** Solves a small linear system by elimination with row pivots. */
function solveLinear(matrix: readonly (readonly number[])[], right: readonly number[]): number[] {
  const n = right.length;
  const rows = matrix.map((row, i) => [...row, right[i]!]);
  for (let k = 0; k < n; k++) {
    let pivot = k;
    for (let i = k + 1; i < n; i++) if (Math.abs(rows[i]![k]!) > Math.abs(rows[pivot]![k]!)) pivot = i;
    [rows[k], rows[pivot]] = [rows[pivot]!, rows[k]!];
    for (let i = k + 1; i < n; i++) {
      const factor = rows[i]![k]! / rows[k]![k]!;
      if (factor === 0) continue;
      for (let j = k; j <= n; j++) rows[i]![j] = rows[i]![j]! - factor * rows[k]![j]!;
    }
  }
  const found = new Array<number>(n).fill(0);
  for (let i = n - 1; i >= 0; i--) {
    let sum = rows[i]![n]!;
    for (let j = i + 1; j < n; j++) sum -= rows[i]![j]! * found[j]!;
    found[i] = sum / rows[i]![i]!;
  }
  return found;
}

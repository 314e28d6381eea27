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
  const rows = payoff.length;
  const columns = payoff[0]!.length;
  // The same game seen from the other side has as many unknowns as the other player has choices: the fewer, the better.
  const turned = rows < columns;
  const newton = turned ? newtonFor(columns, rows) : newtonFor(rows, columns);
  for (let m = 0; m < rows; m++)
    for (let r = 0; r < columns; r++)
      if (turned) newton.a[r * rows + m] = -payoff[m]![r]!;
      else newton.a[m * columns + r] = payoff[m]![r]!;
  const solved = saddleShares(newton, turned ? top : bottom, turned ? bottom : top);
  const toColumns = (row: readonly number[]) =>
    payoff[0]!.map((_, r) => {
      let sum = 0;
      for (let m = 0; m < rows; m++) sum += payoff[m]![r]! * row[m]!;
      return sum;
    });
  const column = turned ? softmax(toColumns(solved).map((a) => -a / top)) : solved;
  const brought = payoff.map((line) => dot(line, column));
  const row = softmax(brought.map((a) => a / bottom));
  const upper = bottom * logMean(brought.map((a) => a / bottom)) + top * divergence(column);
  const lower = -top * logMean(toColumns(row).map((a) => -a / top)) - bottom * divergence(row);
  return { row, column, reply: [], value: dot(row, brought), soft: upper, gap: upper - lower };
}

/**
 * The column mix that minimises F(y) = τb·ln mean e^(Ay/τb) + τt·KL(y‖p), by Newton's method. Where it does not get there
 * from uniform shares (a choice that is sharp beside the payoffs), the softness is halved towards what is asked.
 */
function saddleShares(newton: Newton, bottom: number, top: number): number[] {
  const { a, log, solve } = newton;
  log.fill(0);
  if (!solve(bottom, top)) {
    const spread = Math.max(...a) - Math.min(...a);
    log.fill(0);
    for (let factor = Math.max(1, spread / Math.min(bottom, top) / 4); ; factor = Math.max(1, factor / 2)) {
      solve(bottom * factor, top * factor);
      if (factor === 1) break;
    }
  }
  return softmax([...log]);
}

type Newton = ReturnType<typeof createNewton>;

/** One for each size of a game: a map has thousands of looks of a few sizes, and a solve leaves nothing that is needed. */
const made = new Map<string, Newton>();
function newtonFor(m: number, n: number): Newton {
  const key = `${m} ${n}`;
  const known = made.get(key) ?? createNewton(m, n);
  made.set(key, known);
  return known;
}

/** Shares and what they bring at some log-shares: x ∝ e^(Ay/τb), the residual R, and F. */
interface Point {
  log: Float64Array;
  x: Float64Array;
  y: Float64Array;
  residual: Float64Array;
  f: number;
  size: number;
}

/**
 * Newton's method on log-shares η: with x = softmax(Ay/τb), X = diag x − xxᵀ and Y = diag y − yyᵀ the residual
 * R = η + Aᵀx/τt has the derivative I + AᵀXAY/(τb·τt), and the step it gives goes down in F.
 */
function createNewton(m: number, n: number) {
  /** Payoffs, row by row. */
  const a = new Float64Array(m * n);
  const point = (): Point => ({
    log: new Float64Array(n),
    x: new Float64Array(m),
    y: new Float64Array(n),
    residual: new Float64Array(n),
    f: 0,
    size: 0,
  });
  let now = point();
  let next = point();
  const mean = new Float64Array(n);
  const curve = new Float64Array(n * n);
  const system = new Float64Array(n * (n + 1));
  const move = new Float64Array(n);
  const log = new Float64Array(n);

  function look(at: Point, bottom: number, top: number): void {
    shares(at.log, at.y);
    let divergence = 0;
    for (let j = 0; j < n; j++) if (at.y[j]! > 0) divergence += at.y[j]! * Math.log(at.y[j]! * n);
    for (let i = 0; i < m; i++) {
      let sum = 0;
      for (let j = 0; j < n; j++) sum += a[i * n + j]! * at.y[j]!;
      at.x[i] = sum / bottom;
    }
    at.f = bottom * (shares(at.x, at.x) - Math.log(m)) + top * divergence;
    let middle = 0;
    for (let j = 0; j < n; j++) {
      let pull = 0;
      for (let i = 0; i < m; i++) pull += a[i * n + j]! * at.x[i]!;
      at.residual[j] = at.log[j]! + pull / top;
      middle += at.residual[j]! / n;
    }
    at.size = 0;
    for (let j = 0; j < n; j++) {
      at.residual[j] = at.residual[j]! - middle;
      at.size = Math.max(at.size, Math.abs(at.residual[j]!));
    }
  }

  /** The step that Newton's method takes from a point, into `move`. */
  function aim(at: Point, scale: number): void {
    for (let j = 0; j < n; j++) {
      let sum = 0;
      for (let i = 0; i < m; i++) sum += at.x[i]! * a[i * n + j]!;
      mean[j] = sum;
    }
    // AᵀXA/scale, which is symmetric.
    for (let j = 0; j < n; j++)
      for (let k = j; k < n; k++) {
        let sum = 0;
        for (let i = 0; i < m; i++) sum += at.x[i]! * (a[i * n + j]! - mean[j]!) * (a[i * n + k]! - mean[k]!);
        curve[j * n + k] = sum / scale;
        curve[k * n + j] = sum / scale;
      }
    for (let j = 0; j < n; j++) {
      let middle = 0;
      for (let k = 0; k < n; k++) middle += curve[j * n + k]! * at.y[k]!;
      for (let k = 0; k < n; k++)
        system[j * (n + 1) + k] = (curve[j * n + k]! - middle) * at.y[k]! + Number(j === k);
      system[j * (n + 1) + n] = -at.residual[j]!;
    }
    solveLinear(system, n, move);
  }

  function solve(bottom: number, top: number): boolean {
    now.log.set(log);
    look(now, bottom, top);
    for (let step = 0; step < MOST_STEPS; step++) {
      if (now.size < SMALL * (1 + largest(now.log))) break;
      aim(now, bottom * top);
      let length = 1;
      for (; length > SHORTEST; length /= 2) {
        let middle = 0;
        for (let j = 0; j < n; j++) {
          next.log[j] = now.log[j]! + length * move[j]!;
          middle += next.log[j]! / n;
        }
        for (let j = 0; j < n; j++) next.log[j] = next.log[j]! - middle;
        look(next, bottom, top);
        if (next.f <= now.f + ROUNDING * Math.abs(now.f)) break;
      }
      const better = next.size < now.size;
      // Rounding has the last word: a residual that does not shrink any more is as small as it gets.
      if (!better && now.size < FINE * (1 + largest(now.log))) break;
      const stuck = (!better && length <= SHORTEST) || step === MOST_STEPS - 1;
      if (!stuck) [now, next] = [next, now];
      else {
        log.set(now.log);
        return false;
      }
    }
    log.set(now.log);
    return true;
  }
  return { a, log, solve };
}

/** Shares by e^value, into `out`, which may be the same; returns ln of the sum of e^value. */
function shares(values: Float64Array, out: Float64Array): number {
  let most = Number.NEGATIVE_INFINITY;
  for (let j = 0; j < values.length; j++) if (values[j]! > most) most = values[j]!;
  let sum = 0;
  for (let j = 0; j < values.length; j++) {
    out[j] = Math.exp(values[j]! - most);
    sum += out[j]!;
  }
  for (let j = 0; j < out.length; j++) out[j] = out[j]! / sum;
  return most + Math.log(sum);
}

function largest(values: Float64Array): number {
  let most = 0;
  for (let j = 0; j < values.length; j++) most = Math.max(most, Math.abs(values[j]!));
  return most;
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

function dot(a: readonly number[], b: readonly number[]): number {
  let sum = 0;
  for (let i = 0; i < a.length; i++) sum += a[i]! * b[i]!;
  return sum;
}

/**
 * Solves a small linear system by elimination with row pivots.
 * @param system n rows of n coefficients and the right-hand side; what was in it is gone afterwards
 */
function solveLinear(system: Float64Array, n: number, found: Float64Array): void {
  const width = n + 1;
  for (let k = 0; k < n; k++) {
    let pivot = k;
    for (let i = k + 1; i < n; i++)
      if (Math.abs(system[i * width + k]!) > Math.abs(system[pivot * width + k]!)) pivot = i;
    if (pivot !== k)
      for (let j = k; j < width; j++) {
        const other = system[pivot * width + j]!;
        system[pivot * width + j] = system[k * width + j]!;
        system[k * width + j] = other;
      }
    for (let i = k + 1; i < n; i++) {
      const factor = system[i * width + k]! / system[k * width + k]!;
      if (factor === 0) continue;
      for (let j = k; j < width; j++)
        system[i * width + j] = system[i * width + j]! - factor * system[k * width + j]!;
    }
  }
  for (let i = n - 1; i >= 0; i--) {
    let sum = system[i * width + n]!;
    for (let j = i + 1; j < n; j++) sum -= system[i * width + j]! * found[j]!;
    found[i] = sum / system[i * width + i]!;
  }
}

/**
 * The matrix game behind `solveMatrixGame`, over plain arrays so that a solver of many small games makes nothing new.
 *
 * @param a payoffs of the row player, row by row; finite
 * @param m number of rows, at least 1
 * @param n number of columns, at least 1
 * @param row receives the row mix in its first m places
 * @param column receives the column mix in its first n places
 * @returns the value of the game
 */
export function stageGame(
  a: Float64Array,
  m: number,
  n: number,
  row: Float64Array,
  column: Float64Array,
): number {
  let maximin = Number.NEGATIVE_INFINITY;
  let lowest = Number.POSITIVE_INFINITY;
  let best = 0;
  for (let i = 0; i < m; i++) {
    let least = Number.POSITIVE_INFINITY;
    for (let k = i * n; k < (i + 1) * n; k++) if (a[k]! < least) least = a[k]!;
    if (least < lowest) lowest = least;
    if (least > maximin) {
      maximin = least;
      best = i;
    }
  }
  let minimax = Number.POSITIVE_INFINITY;
  let highest = Number.NEGATIVE_INFINITY;
  let first = 0;
  for (let j = 0; j < n; j++) {
    let most = Number.NEGATIVE_INFINITY;
    for (let k = j; k < m * n; k += n) if (a[k]! > most) most = a[k]!;
    if (most > highest) highest = most;
    if (most < minimax) {
      minimax = most;
      first = j;
    }
    if (most > maximin) continue;
    // A saddle point: least in its row and most in its column.
    row.fill(0, 0, m);
    column.fill(0, 0, n);
    row[best] = 1;
    column[j] = 1;
    return maximin;
  }
  if (m === 2 || n === 2) {
    const value = m === 2 ? twoRows(a, n, 1, n, 1, row, column) : -twoRows(a, 1, 2, m, -1, column, row);
    if (!Number.isNaN(value)) return value;
  }
  return simplex(a, m, n, lowest, highest - lowest, first, row, column);
}

/**
 * Two rows without a saddle point: the row player's worst case is a lower envelope of lines over the share p of the
 * first row, and the best p is where a rising and a falling one of them cross. Two columns are the same game seen from
 * the other side, with its payoffs turned round.
 *
 * @param below where the second row's payoffs begin
 * @param stride from one payoff of a row to the next
 * @param n payoffs in a row
 * @param sign 1, or −1 to turn them round
 * @returns the value; NaN where rounding hides the crossing
 */
function twoRows(
  a: Float64Array,
  below: number,
  stride: number,
  n: number,
  sign: 1 | -1,
  row: Float64Array,
  column: Float64Array,
): number {
  const high = (j: number) => sign * a[j * stride]!;
  const low = (j: number) => sign * a[below + j * stride]!;
  // Walk the envelope from p = 0: the line that is lowest there, then whatever line undercuts it first.
  let line = 0;
  for (let j = 1; j < n; j++)
    if (low(j) < low(line) || (low(j) === low(line) && high(j) < high(line))) line = j;
  for (let step = 0; step <= n; step++) {
    const slope = high(line) - low(line);
    let next = -1;
    let crossing = Number.POSITIVE_INFINITY;
    for (let j = 0; j < n; j++) {
      const rise = high(j) - low(j);
      if (rise >= slope) continue;
      const where = (low(j) - low(line)) / (slope - rise);
      if (where < crossing || (where === crossing && rise < high(next) - low(next))) {
        crossing = where;
        next = j;
      }
    }
    if (next < 0 || slope <= 0) return Number.NaN;
    const after = high(next) - low(next);
    if (after <= 0) {
      const p = Math.min(1, Math.max(0, crossing));
      const share = -after / (slope - after);
      row[0] = p;
      row[1] = 1 - p;
      column.fill(0, 0, n);
      column[line] = share;
      column[next] = 1 - share;
      return p * high(line) + (1 - p) * low(line);
    }
    line = next;
  }
  return Number.NaN;
}

const TINY = 1e-12;
let tableau = new Float64Array(0);
let label = new Int32Array(0);

/**
 * The column player's linear program, max Σq with Bq ≤ 1 over payoffs scaled to [1, 2], in a condensed tableau (rows are
 * the basic variables, columns the others); the row mix is its dual. Variables are columns 0…n − 1, then slacks.
 * @param lowest the least payoff
 * @param range from there to the greatest one, above 0
 * @param first the column to begin with: all are as steep, and the one with the least best row brings most
 */
function simplex(
  a: Float64Array,
  m: number,
  n: number,
  lowest: number,
  range: number,
  first: number,
  row: Float64Array,
  column: Float64Array,
): number {
  const width = n + 1;
  if (tableau.length < (m + 1) * width) tableau = new Float64Array(2 * (m + 1) * width);
  if (label.length < m + n) label = new Int32Array(2 * (m + n));
  const t = tableau;
  for (let i = 0; i < m; i++) {
    for (let j = 0; j < n; j++) t[i * width + j] = 1 + (a[i * n + j]! - lowest) / range;
    t[i * width + n] = 1;
  }
  const objective = m * width;
  t.fill(-1, objective, objective + n);
  t[objective + n] = 0;
  for (let k = 0; k < m + n; k++) label[k] = k;

  let enter = first;
  for (let step = 1; enter >= 0 && step <= 50 * (m + n); step++) {
    let leave = -1;
    let ratio = Number.POSITIVE_INFINITY;
    for (let i = 0; i < m; i++) {
      const pivot = t[i * width + enter]!;
      if (pivot <= TINY) continue;
      const here = t[i * width + n]! / pivot;
      if (here < ratio - TINY || (here <= ratio + TINY && label[n + i]! < label[n + leave]!)) {
        ratio = Math.min(ratio, here);
        leave = i;
      }
    }
    if (leave < 0) break;
    exchange(t, m, width, leave, enter);
    const out = label[n + leave]!;
    label[n + leave] = label[enter]!;
    label[enter] = out;

    // The steepest column at first; after a while the one of the least variable, which never turns in a circle (Bland 1977).
    const bland = step > 8 * (m + n);
    enter = -1;
    let steepest = -TINY;
    for (let j = 0; j < n; j++) {
      const slope = t[objective + j]!;
      if (slope >= -TINY) continue;
      if (bland ? enter < 0 || label[j]! < label[enter]! : slope < steepest) {
        enter = j;
        steepest = slope;
      }
    }
  }
  row.fill(0, 0, m);
  column.fill(0, 0, n);
  for (let i = 0; i < m; i++) if (label[n + i]! < n) column[label[n + i]!] = Math.max(0, t[i * width + n]!);
  for (let j = 0; j < n; j++) if (label[j]! >= n) row[label[j]! - n] = Math.max(0, t[objective + j]!);
  normalise(row, m);
  normalise(column, n);
  return (worst(a, m, n, row) + best(a, m, n, column)) / 2;
}

/** A basic and another variable change places. */
function exchange(t: Float64Array, m: number, width: number, leave: number, enter: number): void {
  const base = leave * width;
  const end = base + width;
  const turn = 1 / t[base + enter]!;
  for (let k = base; k < end; k++) t[k] = t[k]! * turn;
  t[base + enter] = turn;
  for (let line = 0; line <= m * width; line += width) {
    if (line === base) continue;
    const factor = t[line + enter]!;
    if (factor === 0) continue;
    t[line + enter] = 0;
    for (let k = base, at = line; k < end; k++, at++) t[at] = t[at]! - factor * t[k]!;
  }
}

function normalise(mix: Float64Array, length: number): void {
  let sum = 0;
  for (let i = 0; i < length; i++) sum += mix[i]!;
  for (let i = 0; i < length; i++) mix[i] = mix[i]! / sum;
}

/** What a row mix gets at least. */
function worst(a: Float64Array, m: number, n: number, row: Float64Array): number {
  let least = Number.POSITIVE_INFINITY;
  for (let j = 0; j < n; j++) {
    let sum = 0;
    for (let i = 0; i < m; i++) sum += row[i]! * a[i * n + j]!;
    if (sum < least) least = sum;
  }
  return least;
}

/** What a column mix gives at most. */
function best(a: Float64Array, m: number, n: number, column: Float64Array): number {
  let most = Number.NEGATIVE_INFINITY;
  for (let i = 0; i < m; i++) {
    let sum = 0;
    for (let j = 0; j < n; j++) sum += column[j]! * a[i * n + j]!;
    if (sum > most) most = sum;
  }
  return most;
}

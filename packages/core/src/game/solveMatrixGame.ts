export interface MatrixSolution {
  value: number;
  /** Mixes of the rows (who want much) and the columns (who want little); each sums to 1. */
  row: number[];
  column: number[];
}

/**
 * The value of a two-person zero-sum game and optimal mixes: min over columns of row·A ≥ value − 1e-9·scale and max over
 * rows of A·column ≤ value + 1e-9·scale. Saddle points and games with one or two rows or columns in closed form, others
 * by the simplex method (J. von Neumann 1928; G. B. Dantzig, "A proof of the equivalence of the programming problem
 * and the game problem", 1951).
 * @throws RangeError for an empty, ragged or non-finite matrix.
 */
export function solveMatrixGame(payoff: readonly (readonly number[])[]): MatrixSolution {
  const [rows, columns] = [payoff.length, payoff[0]?.length ?? 0];
  if (rows === 0 || columns === 0) throw new RangeError('a game needs at least one row and one column');
  for (const line of payoff) {
    if (line.length !== columns) throw new RangeError('every row needs the same number of columns');
    for (const value of line)
      if (!Number.isFinite(value)) throw new RangeError('payoffs have to be finite numbers');
  }
  return (
    saddle(payoff) ?? (rows === 2 ? twoRows(payoff) : columns === 2 ? twoColumns(payoff) : simplex(payoff))
  );
}

const pure = (length: number, at: number): number[] => Array.from({ length }, (_, i) => (i === at ? 1 : 0));

/** A cell that is least in its row and most in its column; the first in reading order. */
function saddle(payoff: readonly (readonly number[])[]): MatrixSolution | undefined {
  const columns = payoff[0]!.length;
  let best = Number.NEGATIVE_INFINITY;
  let row = 0;
  for (const [i, line] of payoff.entries()) {
    const least = Math.min(...line);
    if (least > best) [best, row] = [least, i];
  }
  for (let j = 0; j < columns; j++) {
    let most = Number.NEGATIVE_INFINITY;
    for (const line of payoff) most = Math.max(most, line[j]!);
    if (most === best) return { value: best, row: pure(payoff.length, row), column: pure(columns, j) };
  }
  return undefined;
}

/**
 * Two rows: the row player's worst case is a lower envelope of lines over the share p of the first row; the best p is
 * where two of them cross. Used for games without a saddle point, so that the best p lies inside.
 */
function twoRows(payoff: readonly (readonly number[])[]): MatrixSolution {
  const [top, bottom] = payoff as [readonly number[], readonly number[]];
  const at = (j: number, p: number) => p * top[j]! + (1 - p) * bottom[j]!;
  const n = top.length;
  // Walk the envelope from p = 0: the line that is lowest there, then whatever line undercuts it first.
  let line = 0;
  for (let j = 1; j < n; j++) {
    if (bottom[j]! < bottom[line]! || (bottom[j] === bottom[line] && top[j]! < top[line]!)) line = j;
  }
  let p = 0;
  for (let step = 0; step <= n; step++) {
    const slope = top[line]! - bottom[line]!;
    let next = -1;
    let crossing = Number.POSITIVE_INFINITY;
    for (let j = 0; j < n; j++) {
      const other = top[j]! - bottom[j]!;
      if (other >= slope) continue;
      const where = (bottom[j]! - bottom[line]!) / (slope - other);
      if (where < crossing || (where === crossing && next >= 0 && other < top[next]! - bottom[next]!))
        [crossing, next] = [where, j];
    }
    if (next < 0 || crossing >= 1) break;
    p = Math.max(p, crossing);
    const after = top[next]! - bottom[next]!;
    if (slope >= 0 && after <= 0) {
      // Rising before, falling after: the peak. The columns are mixed so that the slope is nought.
      const share = slope === after ? 1 : -after / (slope - after);
      const column = new Array<number>(n).fill(0);
      column[line] = share;
      column[next] = 1 - share;
      return { value: at(line, p), row: [p, 1 - p], column };
    }
    line = next;
  }
  return simplex(payoff);
}

function twoColumns(payoff: readonly (readonly number[])[]): MatrixSolution {
  const turned = [0, 1].map((j) => payoff.map((line) => -line[j]!));
  const { value, row, column } = solveMatrixGame(turned);
  return { value: -value, row: column, column: row };
}

const TINY = 1e-12;

/** The column player's linear program, max Σq with Bq ≤ 1 over payoffs scaled to [1, 2]; the row mix is its dual. */
function simplex(payoff: readonly (readonly number[])[]): MatrixSolution {
  const [m, n] = [payoff.length, payoff[0]!.length];
  const all = payoff.flat();
  const least = Math.min(...all);
  const range = Math.max(...all) - least || 1;
  const width = n + m + 1;
  const tableau = payoff.map((line, i) => {
    const row = new Float64Array(width);
    for (let j = 0; j < n; j++) row[j] = 1 + (line[j]! - least) / range;
    row[n + i] = 1;
    row[width - 1] = 1;
    return row;
  });
  const objective = new Float64Array(width);
  objective.fill(-1, 0, n);
  const basis = Array.from({ length: m }, (_, i) => n + i);
  for (let step = 0; step < 50 * (m + n); step++) {
    // The steepest column at first; after a while the first one, which never turns in a circle (Bland 1977).
    const bland = step > 8 * (m + n);
    let enter = -1;
    let steepest = -TINY;
    for (let j = 0; j < width - 1; j++) {
      if (objective[j]! < steepest) {
        enter = j;
        if (bland) break;
        steepest = objective[j]!;
      }
    }
    if (enter < 0) break;
    let leave = -1;
    let ratio = Number.POSITIVE_INFINITY;
    for (let i = 0; i < m; i++) {
      const pivot = tableau[i]![enter]!;
      if (pivot <= TINY) continue;
      const here = tableau[i]![width - 1]! / pivot;
      if (here < ratio - TINY || (here <= ratio + TINY && leave >= 0 && basis[i]! < basis[leave]!)) {
        ratio = Math.min(ratio, here);
        leave = i;
      }
    }
    if (leave < 0) break;
    pivotOn(tableau, objective, leave, enter);
    basis[leave] = enter;
  }
  const column = new Array<number>(n).fill(0);
  for (const [i, variable] of basis.entries())
    if (variable < n) column[variable] = Math.max(0, tableau[i]![width - 1]!);
  const row = Array.from({ length: m }, (_, i) => Math.max(0, objective[n + i]!));
  const [rowMix, columnMix] = [normalised(row), normalised(column)];
  const worst = Math.min(
    ...Array.from({ length: n }, (_, j) => rowMix.reduce((s, x, i) => s + x * payoff[i]![j]!, 0)),
  );
  const best = Math.max(...payoff.map((line) => line.reduce((s, a, j) => s + a * columnMix[j]!, 0)));
  return { value: (worst + best) / 2, row: rowMix, column: columnMix };
}

function pivotOn(tableau: Float64Array[], objective: Float64Array, leave: number, enter: number): void {
  const pivotRow = tableau[leave]!;
  const pivot = pivotRow[enter]!;
  for (let j = 0; j < pivotRow.length; j++) pivotRow[j] = pivotRow[j]! / pivot;
  for (const row of [...tableau, objective]) {
    if (row === pivotRow) continue;
    const factor = row[enter]!;
    if (factor === 0) continue;
    for (let j = 0; j < row.length; j++) row[j] = row[j]! - factor * pivotRow[j]!;
    row[enter] = 0;
  }
}

function normalised(mix: readonly number[]): number[] {
  const sum = mix.reduce((total, x) => total + x, 0);
  return mix.map((x) => x / sum);
}

import { stageGame } from './stageGame.ts';

export interface MatrixSolution {
  value: number;
  /** Mixes of the rows (who want much) and the columns (who want little); each sums to 1. */
  row: number[];
  column: number[];
}

// Many small games are solved in a row: the working places are made once.
let payoffs = new Float64Array(0);
let mixes: [Float64Array, Float64Array] = [new Float64Array(0), new Float64Array(0)];

/**
 * The value of a two-person zero-sum game and optimal mixes: min over columns of row·A ≥ value − 1e-9·scale and max over
 * rows of A·column ≤ value + 1e-9·scale. Saddle points and games with one or two rows or columns in closed form, others
 * by the simplex method (J. von Neumann 1928; G. B. Dantzig, "A proof of the equivalence of the programming problem
 * and the game problem", 1951).
 * @throws RangeError for an empty, ragged or non-finite matrix.
 */
export function solveMatrixGame(payoff: readonly (readonly number[])[]): MatrixSolution {
  const [m, n] = [payoff.length, payoff[0]?.length ?? 0];
  if (m === 0 || n === 0) throw new RangeError('a game needs at least one row and one column');
  if (payoffs.length < m * n) payoffs = new Float64Array(2 * m * n);
  if (mixes[0].length < Math.max(m, n))
    mixes = [new Float64Array(2 * Math.max(m, n)), new Float64Array(2 * Math.max(m, n))];
  for (let i = 0; i < m; i++) {
    const line = payoff[i]!;
    if (line.length !== n) throw new RangeError('every row needs the same number of columns');
    for (let j = 0; j < n; j++) {
      if (!Number.isFinite(line[j]!)) throw new RangeError('payoffs have to be finite numbers');
      payoffs[i * n + j] = line[j]!;
    }
  }
  const [rows, columns] = mixes;
  const value = stageGame(payoffs, m, n, rows, columns);
  const row = new Array<number>(m);
  const column = new Array<number>(n);
  for (let i = 0; i < m; i++) row[i] = rows[i]!;
  for (let j = 0; j < n; j++) column[j] = columns[j]!;
  return { value, row, column };
}

import { stageGame } from './stageGame.ts';

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
  const [m, n] = [payoff.length, payoff[0]?.length ?? 0];
  if (m === 0 || n === 0) throw new RangeError('a game needs at least one row and one column');
  const flat = new Float64Array(m * n);
  for (let i = 0; i < m; i++) {
    const line = payoff[i]!;
    if (line.length !== n) throw new RangeError('every row needs the same number of columns');
    for (let j = 0; j < n; j++) {
      if (!Number.isFinite(line[j]!)) throw new RangeError('payoffs have to be finite numbers');
      flat[i * n + j] = line[j]!;
    }
  }
  const [row, column] = [new Float64Array(m), new Float64Array(n)];
  const value = stageGame(flat, m, n, row, column);
  return { value, row: [...row], column: [...column] };
}

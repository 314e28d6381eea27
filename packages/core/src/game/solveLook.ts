import { solveMatrixGame } from './solveMatrixGame.ts';
import type { StochasticLook } from './stochasticGame.ts';

export interface LookSolution {
  value: number;
  row: number[];
  /** The column's own mix, a known one left aside. */
  column: number[];
  /** On a `seen` look the best row against each column; else empty. */
  reply: number[];
  /** What the best single row would be worth. */
  single: number;
}

/** One look played as well as both can, its future already in the payoffs; as a stage of `solveStochasticGame`. */
export function solveLook(
  matrix: readonly (readonly number[])[],
  { timing, against }: Pick<StochasticLook, 'timing' | 'against'>,
): LookSolution {
  const { column: known = [], trust = 0 } = against ?? {};
  const expected = (line: readonly number[]) => known.reduce((sum, q, j) => sum + q * line[j]!, 0);
  const met = matrix.map((line) =>
    trust > 0 ? line.map((a) => trust * expected(line) + (1 - trust) * a) : line,
  );
  const single = Math.max(...met.map((line) => Math.min(...line)));
  if (timing !== 'seen') return { ...solveMatrixGame(met), reply: [], single };
  const reply = matrix[0]!.map((_, j) =>
    matrix.reduce((best, line, i) => (line[j]! > matrix[best]![j]! ? i : best), 0),
  );
  const worth = reply.map((i, j) => matrix[i]![j]!);
  const worst = worth.reduce((least, a, j) => (a < worth[least]! ? j : least), 0);
  const one = (length: number, at: number) => Array.from({ length }, (_, i) => Number(i === at));
  return {
    value: trust * (trust > 0 ? expected(worth) : 0) + (1 - trust) * worth[worst]!,
    row: one(matrix.length, reply[worst]!),
    column: one(worth.length, worst),
    reply,
    single,
  };
}

import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { seeded } from './seeded.ts';
import { solveMatrixGame } from './solveMatrixGame.ts';

/** The mixes are certificates: neither side can do better against the other's. */
function certified(payoff: number[][]) {
  const solution = solveMatrixGame(payoff);
  const { value, row, column } = solution;
  const scale = Math.max(1e-300, ...payoff.flat().map(Math.abs));
  const worst = Math.min(...payoff[0]!.map((_, j) => row.reduce((sum, x, i) => sum + x * payoff[i]![j]!, 0)));
  const best = Math.max(...payoff.map((line) => line.reduce((sum, a, j) => sum + a * column[j]!, 0)));
  expect(worst).toBeGreaterThanOrEqual(value - 1e-9 * scale);
  expect(best).toBeLessThanOrEqual(value + 1e-9 * scale);
  for (const mix of [row, column]) {
    expect(Math.min(...mix)).toBeGreaterThanOrEqual(0);
    expect(mix.reduce((sum, x) => sum + x, 0)).toBeCloseTo(1, 9);
  }
  return solution;
}

describe('matrix games', () => {
  it('Odd or Even is worth 1/12', () => {
    // T. S. Ferguson, Game Theory, part II, section 1.2; from memory.
    const { value, row, column } = certified([
      [-2, 3],
      [3, -4],
    ]);
    expect(value).toBeCloseTo(1 / 12, 12);
    for (const mix of [row, column]) {
      expect(mix[0]).toBeCloseTo(7 / 12, 12);
      expect(mix[1]).toBeCloseTo(5 / 12, 12);
    }
  });

  it('rock, paper, scissors is worth nothing and mixed evenly', () => {
    const { value, row, column } = certified([
      [0, -1, 1],
      [1, 0, -1],
      [-1, 1, 0],
    ]);
    expect(value).toBeCloseTo(0, 12);
    for (const x of [...row, ...column]) expect(x).toBeCloseTo(1 / 3, 9);
  });

  it('penalty kicks are mixed as they were in the field', () => {
    // I. Palacios-Huerta, "Professionals Play Minimax", Review of Economic Studies 70 (2003); from memory.
    const { value, row, column } = certified([
      [58.3, 94.97],
      [92.91, 69.92],
    ]);
    expect(row[0]).toBeCloseTo(0.3854, 4);
    expect(column[0]).toBeCloseTo(0.4199, 4);
    expect(value).toBeCloseTo(79.57, 1);
  });

  it('simplified poker is worth −1/18 to the first player, in its 27 × 64 normal form', () => {
    // H. W. Kuhn, "A simplified two-person poker" (1950); from memory.
    const first = ['bet', 'fold', 'call'] as const;
    const ways = <T>(list: readonly T[]): T[][] =>
      list.flatMap((a) => list.flatMap((b) => list.map((c) => [a, b, c])));
    const second = [0, 1, 2, 3];
    const deals = [
      [0, 1],
      [0, 2],
      [1, 0],
      [1, 2],
      [2, 0],
      [2, 1],
    ] as const;
    const payoff = ways(first).map((one) =>
      ways(second).map((two) => {
        const total = deals.reduce((sum, [a, b]) => {
          const wins = a > b ? 1 : -1;
          const [calls, bets] = [(two[b]! & 1) === 1, (two[b]! & 2) === 2];
          if (one[a] === 'bet') return sum + (calls ? 2 * wins : 1);
          if (!bets) return sum + wins;
          return sum + (one[a] === 'call' ? 2 * wins : -1);
        }, 0);
        return total / deals.length;
      }),
    );
    expect([payoff.length, payoff[0]!.length]).toEqual([27, 64]);
    expect(certified(payoff).value).toBeCloseTo(-1 / 18, 9);
  });

  it('has certificates for random games up to 40 × 40, and for degenerate ones', () => {
    const random = seeded(7);
    for (let round = 0; round < 150; round++) {
      const [m, n] = [1 + Math.floor(random() * 40), 1 + Math.floor(random() * 40)];
      const scale = 10 ** Math.floor(random() * 13 - 6);
      const coarse = random() < 0.4;
      certified(
        Array.from({ length: m }, () =>
          Array.from({ length: n }, () => (coarse ? Math.floor(random() * 3) - 1 : random() * 2 - 1) * scale),
        ),
      );
    }
  });

  it('has certificates whatever the integers: ties, dominated rows, all equal, one row, one column', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 6 }),
        fc.integer({ min: 1, max: 6 }),
        fc.infiniteStream(fc.integer({ min: -2, max: 2 })),
        (m, n, numbers) => {
          certified(
            Array.from({ length: m }, () => Array.from({ length: n }, () => numbers.next().value as number)),
          );
        },
      ),
      { numRuns: 600 },
    );
    expect(
      certified([
        [3, 3],
        [3, 3],
      ]).value,
    ).toBe(3);
    expect(certified([[1, 5, 2]]).value).toBe(1);
    expect(certified([[1], [5], [2]]).value).toBe(5);
    expect(() => solveMatrixGame([])).toThrow(RangeError);
    expect(() => solveMatrixGame([[1, 2], [3]])).toThrow('same number of columns');
    expect(() => solveMatrixGame([[Number.NaN]])).toThrow('finite');
  });
});

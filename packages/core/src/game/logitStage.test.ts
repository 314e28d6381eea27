import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { logitStage } from './logitStage.ts';
import { solveMatrixGame } from './solveMatrixGame.ts';

const payoffs = fc.tuple(fc.integer({ min: 1, max: 6 }), fc.integer({ min: 1, max: 7 })).chain(([m, n]) =>
  fc.array(
    fc.array(
      fc.integer({ min: -80, max: 80 }).map((k) => k / 10),
      { minLength: n, maxLength: n },
    ),
    {
      minLength: m,
      maxLength: m,
    },
  ),
);
const soft = fc.constantFrom(0.02, 0.1, 0.2, 0.4, 0.9, 2.5, 10);
const close = (a: readonly number[], b: readonly number[], within = 1e-9) => {
  for (const [i, value] of a.entries()) expect(Math.abs(value - b[i]!)).toBeLessThanOrEqual(within);
};
const flipped = (payoff: number[][]) => payoff[0]!.map((_, r) => payoff.map((row) => -row[r]!));

describe('a look between two ordinary players', () => {
  // By bisection on the first row's share, reproducible with any bracketing root finder.
  it.each([
    [
      [
        [4, -2],
        [-1, 3],
      ],
      0.2,
      0.9,
      0.402835,
      0.492127,
      0.999777,
    ],
    [
      [
        [3, 0],
        [-1, 2],
      ],
      0.4,
      0.4,
      0.542805,
      0.344776,
      1.002939,
    ],
    [
      [
        [6, -3],
        [0, 1],
      ],
      1,
      2,
      0.269291,
      0.300178,
      0.43101,
    ],
  ])('%j with %d and %d is what bisection finds', (payoff, bottom, top, row, column, value) => {
    const stage = logitStage(payoff, { bottom, top });
    expect(stage.row[0]).toBeCloseTo(row, 6);
    expect(stage.column[0]).toBeCloseTo(column, 6);
    expect(stage.value).toBeCloseTo(value, 6);
  });

  it('certifies itself: no gap, and the logit equations hold in log-shares', () => {
    fc.assert(
      fc.property(payoffs, soft, soft, (payoff, bottom, top) => {
        const { row, column, gap } = logitStage(payoff, { bottom, top });
        const scale = Math.max(1, ...payoff.flat().map(Math.abs));
        expect(Math.abs(gap)).toBeLessThanOrEqual(1e-12 * scale);
        const pulls = flipped(payoff).map((line) => line.reduce((sum, a, m) => sum + a * row[m]!, 0) / top);
        const offsets = column.flatMap((y, r) => (y > 1e-290 ? [Math.log(y) - pulls[r]!] : []));
        // 1.2e-8 is the worst of 60,000 games: steep payoffs blow up the rounding of the smallest shares.
        expect(Math.max(...offsets) - Math.min(...offsets)).toBeLessThanOrEqual(1e-7 * (1 + scale / top));
      }),
      { numRuns: 400 },
    );
  });

  it('keeps its mixes where payoffs and softness grow alike, or all payoffs by the same', () => {
    fc.assert(
      fc.property(payoffs, soft, soft, fc.constantFrom(0.5, 3), (payoff, bottom, top, c) => {
        const plain = logitStage(payoff, { bottom, top });
        const grown = logitStage(
          payoff.map((row) => row.map((a) => a * c)),
          { bottom: bottom * c, top: top * c },
        );
        close(grown.row, plain.row, 1e-7);
        close(grown.column, plain.column, 1e-7);
        expect(grown.value).toBeCloseTo(plain.value * c, 6);
        const moved = logitStage(
          payoff.map((row) => row.map((a) => a + c)),
          { bottom, top },
        );
        close(moved.row, plain.row, 1e-7);
        close(moved.column, plain.column, 1e-7);
      }),
      { numRuns: 100 },
    );
  });

  it('turned round is the same game from the other side', () => {
    fc.assert(
      fc.property(payoffs, soft, soft, (payoff, bottom, top) => {
        const plain = logitStage(payoff, { bottom, top });
        const other = logitStage(flipped(payoff), { bottom: top, top: bottom });
        close(other.row, plain.column, 1e-7);
        close(other.column, plain.row, 1e-7);
        expect(other.value).toBeCloseTo(-plain.value, 7);
      }),
      { numRuns: 100 },
    );
  });

  it('of a game that is fair to both is worth nothing, and both play alike', () => {
    fc.assert(
      fc.property(
        fc.array(fc.integer({ min: -50, max: 50 }), { minLength: 3, maxLength: 3 }),
        soft,
        (k, t) => {
          const [a, b, c] = k.map((n) => n / 10) as [number, number, number];
          const { row, column, value } = logitStage(
            [
              [0, a, b],
              [-a, 0, c],
              [-b, -c, 0],
            ],
            { bottom: t, top: t },
          );
          close(row, column, 1e-7);
          expect(Math.abs(value)).toBeLessThan(1e-7);
        },
      ),
    );
  });

  it('lies between what is lost by choosing softly on either side, and comes to the game as both get sharp', () => {
    fc.assert(
      fc.property(payoffs, soft, soft, (payoff, bottom, top) => {
        const { value: best } = solveMatrixGame(payoff);
        const { value } = logitStage(payoff, { bottom, top });
        expect(value).toBeGreaterThanOrEqual(best - bottom * Math.log(payoff.length) - 1e-9);
        expect(value).toBeLessThanOrEqual(best + top * Math.log(payoff[0]!.length) + 1e-9);
        const blunt = logitStage(payoff, { bottom: 1e6, top: 1e6 });
        close(
          blunt.row,
          payoff.map(() => 1 / payoff.length),
          1e-4,
        );
      }),
      { numRuns: 200 },
    );
  });

  it('seen: each column is answered by itself, and the columns answer what that brings', () => {
    const payoff = [
      [5, 0],
      [0, 5],
    ];
    const { reply, column, value } = logitStage(payoff, { bottom: 1, top: 1 }, 'seen');
    const right = Math.exp(5) / (Math.exp(5) + 1);
    expect(reply[0]![0]).toBeCloseTo(right, 12);
    expect(column).toEqual([0.5, 0.5]);
    expect(value).toBeCloseTo(5 * right, 12);
    expect(logitStage([[1, 4]], { bottom: 1, top: 1 }, 'seen').column[0]).toBeCloseTo(
      Math.exp(3) / (1 + Math.exp(3)),
      12,
    );
  });

  it('refuses a softness of nothing', () => {
    expect(() => logitStage([[1]], { bottom: 0, top: 1 })).toThrow('above zero');
  });

  it('is no law that what is better helps: top avoids it, bottom errs less with less to choose from', () => {
    const level = { bottom: 0.2, top: 0.9 };
    const value = (payoff: number[][]) => logitStage(payoff, level).value;
    const better = value([
      [3, -3.5],
      [-1, -3],
    ]);
    expect(better).toBeLessThan(
      value([
        [3, -4],
        [-1, -3],
      ]),
    );
    expect(value([[1, 1]])).toBeGreaterThan(
      value([
        [1, 1],
        [0.9, 0.9],
      ]),
    );
  });
});

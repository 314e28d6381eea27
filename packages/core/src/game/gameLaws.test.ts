import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { solveLook } from './solveLook.ts';
import { solveMatrixGame } from './solveMatrixGame.ts';
import { solveStochasticGame } from './solveStochasticGame.ts';

type Matrix = number[][];
const matrixOf = (least: number, most: number): fc.Arbitrary<Matrix> =>
  fc.tuple(fc.integer({ min: least, max: most }), fc.integer({ min: least, max: most })).chain(([m, n]) =>
    fc.array(fc.array(fc.integer({ min: -9, max: 9 }), { minLength: n, maxLength: n }), {
      minLength: m,
      maxLength: m,
    }),
  );
const matrix = matrixOf(1, 7);
const value = (payoff: Matrix): number => solveMatrixGame(payoff).value;
const columnsOf = (payoff: Matrix): Matrix => payoff[0]!.map((_, j) => payoff.map((line) => line[j]!));

/** Of a game with two rows, from the definition: the best worst case over every share at which two columns cross. */
function byCrossings(payoff: Matrix): number {
  const columns = columnsOf(payoff);
  const worst = (p: number) => Math.min(...columns.map(([a, b]) => p * a! + (1 - p) * b!));
  const shares = [0, 1];
  for (const [a, b] of columns)
    for (const [c, d] of columns) {
      const p = (d! - b!) / (a! - b! - c! + d!);
      if (p > 0 && p < 1) shares.push(p);
    }
  return Math.max(...shares.map(worst));
}

describe('the value of a matrix game', () => {
  it('of two rows, or two columns, is the best worst case over all crossings', () => {
    fc.assert(
      fc.property(matrixOf(2, 6), (all) => {
        const two = all.slice(0, 2);
        expect(value(two)).toBeCloseTo(byCrossings(two), 9);
        // Two columns are the same game from the other side.
        expect(value(columnsOf(two).map((line) => line.map((a) => -a)))).toBeCloseTo(-byCrossings(two), 9);
      }),
      { numRuns: 400 },
    );
  });

  it('goes along when payoffs are stretched and moved', () => {
    fc.assert(
      fc.property(
        matrix,
        fc.integer({ min: 1, max: 50 }),
        fc.integer({ min: -40, max: 40 }),
        (a, by, plus) => {
          const moved = a.map((line) => line.map((x) => by * x + plus));
          expect(value(moved)).toBeCloseTo(by * value(a) + plus, 7);
        },
      ),
    );
  });

  it('is that of the other side, turned round', () => {
    fc.assert(
      fc.property(matrix, (a) => {
        expect(value(columnsOf(a).map((line) => line.map((x) => -x)))).toBeCloseTo(-value(a), 9);
      }),
    );
  });

  it('does not care for the order, for what is there twice, or for what is never better', () => {
    fc.assert(
      fc.property(matrix, fc.nat(), fc.nat(), (a, r, c) => {
        const before = value(a);
        const [i, j] = [r % a.length, c % a[0]!.length];
        const turned = [...a.slice(i), ...a.slice(0, i)].map((line) => [
          ...line.slice(j),
          ...line.slice(0, j),
        ]);
        expect(value(turned)).toBeCloseTo(before, 9);
        expect(value([...a, a[i]!])).toBeCloseTo(before, 9);
        expect(value([...a, a[i]!.map((x) => x - 1)])).toBeCloseTo(before, 9);
        expect(value(a.map((line) => [...line, line[j]! + 2]))).toBeCloseTo(before, 9);
      }),
    );
  });

  it('never falls with one more row, and never rises with one more column', () => {
    fc.assert(
      fc.property(matrixOf(2, 7), (a) => {
        const before = value(a);
        expect(value(a.slice(1))).toBeLessThanOrEqual(before + 1e-9);
        expect(value(a.map((line) => line.slice(1)))).toBeGreaterThanOrEqual(before - 1e-9);
      }),
    );
  });

  it('does not remember what was solved before it', () => {
    fc.assert(
      fc.property(fc.array(matrixOf(1, 9), { minLength: 2, maxLength: 6 }), (games) => {
        const alone = games.map((a) => structuredClone(solveMatrixGame(a)));
        expect(games.toReversed().map(solveMatrixGame).reverse()).toEqual(alone);
      }),
    );
  });
});

describe('a look', () => {
  it('that is seen is worth at least as much as one that is hidden, and at most what full trust brings', () => {
    fc.assert(
      fc.property(matrix, fc.nat(), (a, n) => {
        const [hidden, seen] = [solveLook(a, { timing: 'hidden' }), solveLook(a, { timing: 'seen' })];
        expect(seen.value).toBeGreaterThanOrEqual(hidden.value - 1e-9);
        expect(hidden.value).toBeGreaterThanOrEqual(hidden.single - 1e-9);
        const at = n % a[0]!.length;
        const column = a[0]!.map((_, j) => Number(j === at));
        const against = { column, trust: 1 };
        // Whoever is known to do one thing is answered with the best there is against it.
        const best = Math.max(...a.map((line) => line[at]!));
        for (const timing of ['hidden', 'seen'] as const)
          expect(solveLook(a, { timing, against }).value).toBeCloseTo(best, 9);
      }),
    );
  });

  it('alone, over and over, is worth its value for ever: v/(1 − discount)', () => {
    fc.assert(
      fc.property(matrix, fc.constantFrom(0.5, 0.9, 0.97), (payoff, discount) => {
        const next = payoff.map((line) => line.map((): [number, number][] => [[0, 1]]));
        const game = { discount, states: [{ looks: [{ payoff, next }] }] };
        const { value: values, residual } = solveStochasticGame(game);
        expect(residual).toBeLessThanOrEqual(1e-9);
        expect(values[0]! * (1 - discount)).toBeCloseTo(value(payoff), 7);
      }),
    );
  });

  it('with a rest beside it is left where resting is worth more', () => {
    fc.assert(
      fc.property(matrix, fc.integer({ min: -9, max: 9 }), (payoff, rest) => {
        const next = payoff.map((line) => line.map((): [number, number][] => []));
        const game = { discount: 0.9, states: [{ rest, looks: [{ payoff, next }] }] };
        const { value: values, look } = solveStochasticGame(game);
        const played = value(payoff);
        expect(values[0]).toBeCloseTo(Math.max(rest, played), 9);
        if (Math.abs(rest - played) > 1e-6) expect(look[0]).toBe(rest > played ? -1 : 0);
      }),
    );
  });
});

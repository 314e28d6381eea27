import { describe, expect, it } from 'vitest';
import { randomGame } from '../test/randomGame.ts';
import { solveMatrixGame } from './solveMatrixGame.ts';
import { solveStochasticGame } from './solveStochasticGame.ts';
import type { StochasticGame } from './stochasticGame.ts';

/** Plain value iteration: the residual shrinks at least by the discount each sweep (Shapley 1953). */
function iterated({ discount, states }: StochasticGame, sweeps: number): number[] {
  let value = states.map(() => 0);
  for (let i = 0; i < sweeps; i++) {
    value = states.map(({ rest = Number.NEGATIVE_INFINITY, looks }) =>
      Math.max(
        rest,
        ...looks.map(({ timing, payoff, next }) => {
          const matrix = payoff.map((line, m) =>
            line.map((a, n) => a + discount * next[m]![n]!.reduce((sum, [s, p]) => sum + p * value[s]!, 0)),
          );
          if (timing !== 'seen') return solveMatrixGame(matrix).value;
          return Math.min(...matrix[0]!.map((_, n) => Math.max(...matrix.map((line) => line[n]!))));
        }),
      ),
    );
  }
  return value;
}

describe('stochastic games', () => {
  it('the Big Match is worth 1/2 for every discount, and stops with λ/(1 + λ)', () => {
    // D. Gillette (1957); Blackwell & Ferguson (1968); from memory. Normalised payoffs, discount λ per stage.
    for (const lambda of [0.5, 0.1, 0.01]) {
      const game: StochasticGame = {
        discount: 1 - lambda,
        states: [
          {
            looks: [
              {
                payoff: [
                  [lambda, 0],
                  [0, lambda],
                ],
                next: [
                  [[[1, 1]], [[2, 1]]],
                  [[[0, 1]], [[0, 1]]],
                ],
              },
            ],
          },
          { rest: 1, looks: [] },
          { rest: 0, looks: [] },
        ],
      };
      const { value, row, residual } = solveStochasticGame(game);
      expect(value[0]).toBeCloseTo(0.5, 7);
      expect(row[0]![0]).toBeCloseTo(lambda / (1 + lambda), 6);
      expect(residual).toBeLessThanOrEqual(1e-9);
    }
  });

  it('a look that is seen is worth more than one that is hidden', () => {
    const game = (timing: 'hidden' | 'seen'): StochasticGame => ({
      discount: 0.5,
      states: [
        {
          looks: [
            {
              timing,
              payoff: [
                [5, 0],
                [0, 5],
              ],
              next: [
                [[], []],
                [[], []],
              ],
            },
          ],
        },
      ],
    });
    expect(solveStochasticGame(game('hidden')).value[0]).toBeCloseTo(2.5, 12);
    expect(solveStochasticGame(game('seen')).value[0]).toBe(5);
  });

  it('agrees with plain value iteration on random games, to the residual asked for', () => {
    for (let seed = 1; seed <= 40; seed++) {
      const game = randomGame(seed, 2 + (seed % 9));
      const solved = solveStochasticGame(game);
      expect(solved.residual).toBeLessThanOrEqual(1e-9);
      const plain = iterated(game, 260);
      for (const [s, value] of solved.value.entries())
        expect(value, `${seed} ${s}`).toBeCloseTo(plain[s]!, 7);
    }
  });

  it('never loses from a better payoff, and begins where it is told', () => {
    for (let seed = 1; seed <= 15; seed++) {
      const game = randomGame(seed, 6);
      const before = solveStochasticGame(game);
      const better = structuredClone(game) as unknown as { states: { looks: { payoff: number[][] }[] }[] };
      better.states[0]!.looks[0]!.payoff[0]![0]! += 1;
      const after = solveStochasticGame(better as unknown as StochasticGame, { start: before.value });
      for (const [s, value] of after.value.entries())
        expect(value).toBeGreaterThanOrEqual(before.value[s]! - 1e-7);
      expect(solveStochasticGame(game, { start: before.value }).iterations).toBeLessThanOrEqual(2);
    }
  });

  it('refuses what is no game', () => {
    expect(() => solveStochasticGame({ discount: 1, states: [] })).toThrow('between 0 and 1');
    expect(() => solveStochasticGame({ discount: 0.9, states: [{ looks: [] }] })).toThrow(
      'neither a look nor a rest',
    );
    expect(() =>
      solveStochasticGame({
        discount: 0.9,
        states: [
          {
            looks: [
              {
                payoff: [[1]],
                next: [
                  [
                    [
                      [0, 0.7],
                      [0, 0.7],
                    ],
                  ],
                ],
              },
            ],
          },
        ],
      }),
    ).toThrow('more than 1');
  });
});

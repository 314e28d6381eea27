import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { absorption } from './absorption.ts';
import { seeded } from './seeded.ts';
import { type Arc, type Path, shortestPaths } from './shortestPaths.ts';
import { solveMatrixGame } from './solveMatrixGame.ts';
import { type StochasticGame, solveStochasticGame } from './solveStochasticGame.ts';

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

function randomGame(seed: number, size: number, discount = 0.9): StochasticGame {
  const random = seeded(seed);
  const whole = (most: number) => 1 + Math.floor(random() * most);
  return {
    discount,
    states: Array.from({ length: size }, (_, s) => ({
      ...((s === 0 || random() < 0.5) && { rest: random() - 0.5 }),
      looks: Array.from({ length: s === 0 ? 1 : whole(2) }, () => {
        const [m, n] = [whole(3), whole(4)];
        return {
          timing: random() < 0.3 ? ('seen' as const) : ('hidden' as const),
          payoff: Array.from({ length: m }, () => Array.from({ length: n }, () => random() * 10 - 5)),
          next: Array.from({ length: m }, () =>
            Array.from({ length: n }, () =>
              Array.from({ length: whole(3) }, () => [Math.floor(random() * size), random() / 3] as const),
            ),
          ),
        };
      }),
    })),
  };
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

describe('chains with chance', () => {
  /** States 0…N, a step up with p and down with 1 − p; 0 and N absorb. */
  const ruin = (n: number, p: number) =>
    absorption({
      next: Array.from({ length: n + 1 }, (_, i) =>
        i === 0 || i === n
          ? []
          : ([
              [i + 1, p],
              [i - 1, 1 - p],
            ] as [number, number][]),
      ),
      absorbing: [0, n],
    });

  it("gambler's ruin with a fair coin: success i/N, length i(N − i)", () => {
    // Kemeny & Snell, Finite Markov Chains; also past the size that is solved densely.
    for (const n of [10, 40]) {
      const { reach, length } = ruin(n, 0.5);
      for (let i = 0; i <= n; i++) {
        expect(reach[i]![1]).toBeCloseTo(i / n, 9);
        expect(length[i]).toBeCloseTo(i * (n - i), 6);
      }
    }
  });

  it("gambler's ruin with another coin: (1 − rⁱ)/(1 − rᴺ), small and large", () => {
    for (const n of [12, 600]) {
      const p = 0.55;
      const r = (1 - p) / p;
      const { reach } = ruin(n, p);
      for (const i of [1, 2, Math.floor(n / 2), n - 1])
        expect(reach[i]![1]).toBeCloseTo((1 - r ** i) / (1 - r ** n), 9);
    }
  });

  it('a game of tennis is won with 0.735729 by a server who wins a point with 0.6', () => {
    // Closed form p⁴(1 + 4q + 10q²) + 20(pq)³·p²/(1 − 2pq).
    const [p, q] = [0.6, 0.4];
    const id = (a: number, b: number) => a * 6 + b;
    const next: [number, number][][] = Array.from({ length: 38 }, () => []);
    const [won, lost] = [36, 37];
    for (let a = 0; a <= 4; a++) {
      for (let b = 0; b <= 4; b++) {
        const go = (x: number, y: number): number => {
          if (x >= 4 && x - y >= 2) return won;
          if (y >= 4 && y - x >= 2) return lost;
          return x === 4 && y === 4 ? id(3, 3) : id(x, y);
        };
        if (a === 4 && b === 4) continue;
        next[id(a, b)] = [
          [go(a + 1, b), p],
          [go(a, b + 1), q],
        ];
      }
    }
    const { reach } = absorption({ next, absorbing: [won, lost] });
    expect(reach[0]![0]).toBeCloseTo(
      p ** 4 * (1 + 4 * q + 10 * q ** 2) + (20 * (p * q) ** 3 * p ** 2) / (1 - 2 * p * q),
      12,
    );
    expect(reach[0]![0]).toBeCloseTo(0.735729, 6);
  });

  it('knows what never ends', () => {
    const { reach, length } = absorption({
      next: [
        [
          [0, 0.5],
          [1, 0.5],
        ],
        [],
        [[2, 1]],
        [
          [1, 0.5],
          [2, 0.5],
        ],
      ],
      absorbing: [1],
    });
    expect(reach.map(([x]) => x)).toEqual([1, 1, 0, 0.5]);
    expect(length).toEqual([2, 0, Number.POSITIVE_INFINITY, Number.POSITIVE_INFINITY]);
    expect(() => absorption({ next: [[[5, 1]]], absorbing: [] })).toThrow(RangeError);
  });
});

describe('shortest paths', () => {
  /** Every simple path, cheapest first, by looking at all of them. */
  function everyPath(arcs: Arc[], from: string, to: string): Path[] {
    const found: Path[] = [];
    const walk = (node: string, seen: string[], path: Arc[]) => {
      if (node === to) {
        found.push({ arcs: path.map(({ id }) => id), cost: path.reduce((sum, { cost }) => sum + cost, 0) });
        return;
      }
      for (const arc of arcs)
        if (arc.from === node && !seen.includes(arc.to)) walk(arc.to, [...seen, arc.to], [...path, arc]);
    };
    walk(from, [from], []);
    return found.sort(
      (a, b) =>
        (Math.abs(a.cost - b.cost) > 1e-12 ? a.cost - b.cost : 0) ||
        a.arcs.length - b.arcs.length ||
        (a.arcs.join('\n') < b.arcs.join('\n') ? -1 : 1),
    );
  }

  it('are all simple paths in their order, parallel arcs kept apart, as brute force finds them', () => {
    const random = seeded(11);
    for (let round = 0; round < 200; round++) {
      const nodes = ['a', 'b', 'c', 'd', 'e'];
      const pick = () => nodes[Math.floor(random() * nodes.length)]!;
      const arcs = Array.from(
        { length: 4 + Math.floor(random() * 10) },
        (_, i): Arc => ({
          id: `x${String(i).padStart(2, '0')}`,
          from: pick(),
          to: pick(),
          cost: Math.floor(random() * 4),
        }),
      );
      const count = 1 + Math.floor(random() * 8);
      expect(shortestPaths({ arcs, from: 'a', to: 'e', count }), `${round}`).toEqual(
        everyPath(arcs, 'a', 'e').slice(0, count),
      );
    }
  });

  it('refuses costs below zero', () => {
    expect(() =>
      shortestPaths({ arcs: [{ id: 'x', from: 'a', to: 'b', cost: -1 }], from: 'a', to: 'b', count: 1 }),
    ).toThrow(RangeError);
  });
});

import { describe, expect, it } from 'vitest';
import { absorption } from './absorption.ts';

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

import fc from 'fast-check';
import loadHighs from 'highs';
import { describe, expect, it } from 'vitest';
import { bruteForceCover } from '../../test/bruteForceCover.ts';
import { coverLp } from '../../test/coverLp.ts';
import { randomCover } from '../../test/randomCover.ts';
import { smallMap } from '../../test/smallMap.ts';
import { type Cover, type CoverInput, coverArcs, coverBound } from './coverArcs.ts';
import { coverChains } from './coverChains.ts';

interface Solver {
  solve(lp: string): { Status: string; ObjectiveValue: number };
}

/** Walks the chains again: they must be walks, cover what must be covered, and cost what they say. */
function recount(input: CoverInput, { chains }: Cover): number {
  const arcs = new Map(input.arcs.map((arc) => [arc.id, arc]));
  const covered = new Set<string>();
  let cost = 0;
  for (const chain of chains) {
    cost += input.resetSeconds + (input.entries.includes(chain.start) ? 0 : input.coldStartSeconds);
    let at: string | null = chain.start;
    for (const id of chain.arcs) {
      const arc = arcs.get(id)!;
      expect(arc.from).toBe(at);
      at = arc.to;
      cost += arc.seconds;
      covered.add(id);
    }
  }
  for (const arc of input.arcs) if (arc.mustCover) expect(covered.has(arc.id)).toBe(true);
  return cost;
}

describe('coverArcs', () => {
  it("makes one round of 10 of Thimbleby's directed postman example", () => {
    // H. Thimbleby, "The directed Chinese Postman Problem", Software: Practice & Experience 33 (2003).
    const arc = (from: string, to: string | null) => ({
      id: `${from}${to}`,
      from,
      to,
      seconds: 1,
      mustCover: true,
    });
    const arcs = [arc('0', '1'), arc('0', '2'), arc('1', '2'), arc('1', '3'), arc('2', '3'), arc('3', '0')];
    // A tour comes back to where it began: an end that only the start can reach, and starts too dear to repeat.
    const input = {
      arcs: [...arcs, { id: 'home', from: '0', to: null, seconds: 0, mustCover: false }],
      positions: ['0', '1', '2', '3'],
      entries: ['0'],
      resetSeconds: 100,
      coldStartSeconds: 100,
    };
    const { cost, chains, proved } = coverArcs(input);
    expect(chains).toHaveLength(1);
    expect(proved).toBe(true);
    // One open walk from 0 that need not come home takes 8; and the tour, with a last arc that only home can end.
    expect(cost - 100).toBe(8);
    const tour = { ...input, arcs: input.arcs.map((known) => ({ ...known, mustCover: true })) };
    const round = coverArcs(tour);
    expect(round.chains).toHaveLength(1);
    expect(round.chains[0]!.arcs.at(-1)).toBe('home');
    expect(round.cost - 100).toBe(10);
  });

  it('pays for a start of a round that nobody steps into', () => {
    const arc = (id: string, from: string, to: string | null) => ({
      id,
      from,
      to,
      seconds: 5,
      mustCover: true,
    });
    const cover = coverArcs({
      arcs: [arc('out', 'a', null), arc('there', 'b', 'c'), arc('back', 'c', 'b'), arc('again', 'b', 'b')],
      positions: ['a', 'b', 'c'],
      entries: ['a'],
      resetSeconds: 6,
      coldStartSeconds: 4,
    });
    expect(cover).toMatchObject({ cost: 6 + 5 + 10 + 15, bound: 6 + 5 + 15, proved: true });
    expect(cover.chains).toHaveLength(2);
  });

  it('has a bound equal to the optimum of the same linear program by a general solver, on 200 random maps', async () => {
    const highs = await (loadHighs as unknown as () => Promise<Solver>)();
    for (let seed = 1; seed <= 200; seed++) {
      const input = randomCover(seed, {
        positions: 3 + (seed % 20),
        arcs: 5 + ((seed * 7) % 60),
        chosen: 0.5,
      });
      const { ObjectiveValue, Status } = highs.solve(coverLp(input));
      expect(Status).toBe('Optimal');
      expect(coverBound(input)).toBeCloseTo(ObjectiveValue, 6);
      expect(coverArcs({ ...input, maxNodes: 1 }).bound).toBe(coverBound(input));
    }
  });

  it('equals brute force on 400 small maps, self-loops and rounds among them', () => {
    for (let seed = 1; seed <= 400; seed++) {
      const input = randomCover(seed, {
        positions: 2 + (seed % 6),
        arcs: 4 + (seed % 13),
        chosen: 0.7,
        most: 11,
      });
      const cover = coverArcs(input);
      expect(cover.proved).toBe(true);
      expect(recount(input, cover)).toBeCloseTo(cover.cost, 9);
      expect(cover.cost).toBeCloseTo(bruteForceCover(input), 9);
      expect(cover.bound).toBeLessThanOrEqual(cover.cost + 1e-9);
    }
  });

  it('covers at the cost it says, never under the bound, however large', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 1e6 }), fc.integer({ min: 1, max: 60 }), (seed, positions) => {
        const input = { ...randomCover(seed, { positions, arcs: positions * 3, chosen: 0.5 }), maxNodes: 20 };
        const cover = coverArcs(input);
        expect(recount(input, cover)).toBeCloseTo(cover.cost, 6);
        expect(cover.cost).toBeGreaterThanOrEqual(cover.bound - 1e-6);
      }),
      { numRuns: 60 },
    );
  });

  it('does nothing when nothing is to be covered, and refuses nonsense', () => {
    const input = randomCover(1, { positions: 3, arcs: 5, chosen: 0 });
    expect(coverArcs(input)).toMatchObject({ chains: [], cost: 0, bound: 0, proved: true });
    const [first] = input.arcs;
    expect(() => coverArcs({ ...input, arcs: [{ ...first!, seconds: -1 }] })).toThrow(RangeError);
    expect(() => coverArcs({ ...input, arcs: [{ ...first!, to: 'moon' }] })).toThrow(/"moon"/);
    expect(() => coverArcs({ ...input, arcs: [first!, first!] })).toThrow(/twice/);
  });
});

describe('coverChains', () => {
  it('walks the map, goes on from the other side, and ends at outcomes', () => {
    const { chains, cost, proved } = coverChains({
      map: smallMap(),
      exchanges: ['gather-strip', 'roll-none', 'tilt-none'],
    });
    expect(chains).toEqual([{ start: 'start', arcs: ['gather-strip', 'roll-none', 'tilt-none'] }]);
    expect(cost).toBe(6 + 2 + 12 + 6);
    expect(proved).toBe(true);
  });

  it('connects only where it may', () => {
    const request = { map: smallMap(), exchanges: ['roll-none'] };
    expect(coverChains(request)).toMatchObject({ chains: [{ start: 'cross' }], cost: 6 + 6 + 12 });
    expect(coverChains({ ...request, connect: 'all' }).chains).toEqual([
      { start: 'start', arcs: ['gather-strip', 'roll-none'] },
    ]);
    expect(() => coverChains({ ...request, exchanges: ['moon'] })).toThrow(/no answer "moon"/);
  });
});

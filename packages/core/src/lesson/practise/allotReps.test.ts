import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { allotReps, gainOf, type RepItem } from './allotReps.ts';

const itemsOf = (seconds: fc.Arbitrary<number>, most: number) =>
  fc.array(
    fc.record({
      secondsPerRep: seconds,
      scale: fc.constantFrom(0.01, 0.1, 0.5, 1),
      halfway: fc.constantFrom(4, 12, 30),
      least: fc.nat(2),
    }),
    { minLength: 1, maxLength: most },
  );
const named = (list: readonly Omit<RepItem, 'id'>[]): RepItem[] =>
  list.map((item, i) => ({ ...item, id: `i${i}` }));
const brings = (items: readonly RepItem[], reps: readonly { reps: number }[]) =>
  items.reduce((sum, item, i) => sum + gainOf(item, reps[i]!.reps), 0);
const takes = (items: readonly RepItem[], reps: readonly { reps: number }[]) =>
  items.reduce((sum, item, i) => sum + item.secondsPerRep * reps[i]!.reps, 0);

describe('reps allotted', () => {
  it('keep within the time, and no rep moved within it brings more', () => {
    fc.assert(
      fc.property(itemsOf(fc.integer({ min: 5, max: 40 }), 12), fc.nat(2400), (list, budget) => {
        const items = named(list);
        const reps = allotReps({ items, budget });
        const used = takes(items, reps);
        expect(used).toBeLessThanOrEqual(budget + 1e-6);
        const now = brings(items, reps);
        for (const [i, giver] of items.entries())
          for (const [j, taker] of items.entries()) {
            if (i === j || reps[i]!.reps <= giver.least || reps[j]!.reps < taker.least) continue;
            const moved = reps.map((one, k) => ({
              ...one,
              reps: one.reps + Number(k === j) - Number(k === i),
            }));
            if (takes(items, moved) > budget) continue;
            expect(brings(items, moved)).toBeLessThanOrEqual(now + 1e-8);
          }
      }),
      { numRuns: 200 },
    );
  });

  it('of equal length are the best there are', () => {
    fc.assert(
      fc.property(itemsOf(fc.constant(10), 3), fc.nat(120), (list, budget) => {
        const items = named(list).map((item) => ({ ...item, least: 0 }));
        const reps = allotReps({ items, budget });
        const each = Array.from({ length: 13 }, (_, n) => n);
        let best = 0;
        for (const a of each)
          for (const b of items.length > 1 ? each : [0])
            for (const c of items.length > 2 ? each : [0]) {
              const tried = [a, b, c].slice(0, items.length).map((n) => ({ reps: n }));
              if (takes(items, tried) <= budget) best = Math.max(best, brings(items, tried));
            }
        expect(brings(items, reps)).toBeCloseTo(best, 9);
      }),
      { numRuns: 100 },
    );
  });

  it('begin nothing that its least does not fit for, and stop at the most', () => {
    const item = { secondsPerRep: 10, scale: 1, halfway: 12 };
    const items = [
      { id: 'first', ...item, least: 8 },
      { id: 'second', ...item, least: 8 },
    ];
    expect(allotReps({ items, budget: 120 })).toEqual([
      { id: 'first', reps: 12 },
      { id: 'second', reps: 0 },
    ]);
    expect(allotReps({ items: [{ ...items[0]!, most: 9 }], budget: 1000 })).toEqual([
      { id: 'first', reps: 9 },
    ]);
    expect(allotReps({ items: [], budget: 100 })).toEqual([]);
  });
});

import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { bestConnectedSet, type ConnectedItem } from './bestConnectedSet.ts';

const PLACES = ['root', 'a', 'b', 'c', 'd'];
const itemsOf = (most: number) =>
  fc
    .array(
      fc.record({
        from: fc.constantFrom(...PLACES),
        to: fc.uniqueArray(fc.constantFrom(...PLACES), { maxLength: 2 }),
        needs: fc.array(fc.nat(most - 1), { maxLength: 1 }),
      }),
      { maxLength: most },
    )
    .map((list) =>
      list.map(
        (item, i): ConnectedItem => ({
          id: `i${i}`,
          from: item.from,
          to: item.to,
          needs: item.needs.filter((need) => need !== i && need < list.length).map((need) => `i${need}`),
        }),
      ),
    );

/** Whether a set can be built up from the root, tried in every order. */
function canBeBuilt(set: readonly ConnectedItem[]): boolean {
  const left = [...set];
  const places = new Set(['root']);
  const chosen = new Set<string>();
  for (let i = 0; left.length > 0; ) {
    i = left.findIndex(
      (item) => places.has(item.from) && (item.needs ?? []).every((need) => chosen.has(need)),
    );
    if (i < 0) return false;
    const [next] = left.splice(i, 1);
    chosen.add(next!.id);
    for (const place of next!.to) places.add(place);
  }
  return true;
}

/** Any worth of a set, the same for the same set: not additive, at times below nought. */
const worthOf = (seed: number) => (ids: ReadonlySet<string>) => {
  let hash = seed;
  for (const id of [...ids].sort()) for (const c of id) hash = (hash * 31 + c.charCodeAt(0)) % 9973;
  return ids.size === 0 ? 0 : (hash % 7) - 2;
};

describe('the best connected set', () => {
  it('is that of trying every set, ties by size and ids, whatever the worth', () => {
    fc.assert(
      fc.property(itemsOf(9), fc.integer({ min: 1, max: 5 }), fc.nat(9000), (items, most, seed) => {
        const worth = worthOf(seed);
        let best: string[] = [];
        for (let mask = 1; mask < 1 << items.length; mask++) {
          const set = items.filter((_, i) => mask & (1 << i));
          if (set.length > most || !canBeBuilt(set)) continue;
          const ids = set.map(({ id }) => id);
          const [mine, other] = [worth(new Set(ids)), worth(new Set(best))];
          const first = ids.length !== best.length ? ids.length < best.length : ids.join() < best.join();
          if (mine > other || (mine === other && first)) best = ids;
        }
        const found = bestConnectedSet({ root: 'root', items, most, worth });
        expect(found.proved).toBe(true);
        expect(found.worth).toBe(worth(new Set(best)));
        expect(found.ids).toEqual(best);
      }),
      { numRuns: 300 },
    );
  });

  it('of fourteen items is proved, too', () => {
    fc.assert(
      fc.property(itemsOf(14), fc.nat(9000), (items, seed) => {
        const worth = worthOf(seed);
        const { proved, ids } = bestConnectedSet({ root: 'root', items, most: 4, worth });
        expect(proved).toBe(true);
        expect(canBeBuilt(items.filter(({ id }) => ids.includes(id)))).toBe(true);
      }),
      { numRuns: 30 },
    );
  });

  it('beyond the limit is a usable one, no better by any exchange, and says that it is not proved', () => {
    fc.assert(
      fc.property(itemsOf(12), fc.nat(9000), (items, seed) => {
        const worth = worthOf(seed);
        const exact = bestConnectedSet({ root: 'root', items, most: 4, worth });
        const beam = bestConnectedSet({ root: 'root', items, most: 4, worth, limit: 3 });
        expect(beam.worth).toBeLessThanOrEqual(exact.worth);
        expect(beam.worth).toBe(worth(new Set(beam.ids)));
        expect(canBeBuilt(items.filter(({ id }) => beam.ids.includes(id)))).toBe(true);
        if (exact.tried > 4) expect(beam.proved).toBe(false);
      }),
      { numRuns: 100 },
    );
  });

  it('sees through a connection that is worth nothing by itself, also in the beam', () => {
    const items = [
      { id: 'bait', from: 'root', to: [] },
      { id: 'grip', from: 'root', to: ['gripped'] },
      { id: 'sweep', from: 'gripped', to: [] },
    ];
    const worth = (ids: ReadonlySet<string>) =>
      (ids.has('bait') ? 1 : 0) + (ids.has('sweep') ? 3 : 0) - (ids.has('grip') ? 0.5 : 0);
    for (const limit of [100, 1])
      expect(bestConnectedSet({ root: 'root', items, most: 2, worth, limit }).ids).toEqual(['grip', 'sweep']);
  });
});

export interface Item {
  id: string;
  /** Whole units, rounded up where they are not whole. */
  cost: number;
  worth: number;
}

/**
 * The items of greatest total worth whose total cost stays within the budget: the exact 0/1 knapsack by dynamic
 * programming over whole units (Kellerer, Pferschy & Pisinger, *Knapsack Problems*, 2004, chapter 2). Ties: the
 * cheaper choice, then the earlier items. Items worth nothing are left out.
 * @throws RangeError for a cost that is negative or not finite.
 */
export function chooseWithin({ items, budget }: { items: readonly Item[]; budget: number }): {
  ids: string[];
  worth: number;
  cost: number;
} {
  const room = Math.max(0, Math.floor(budget));
  const costs = items.map(({ id, cost }) => {
    if (!(cost >= 0 && Number.isFinite(cost))) throw new RangeError(`"${id}" costs ${cost}`);
    return Math.ceil(cost - 1e-9);
  });
  // best[i][c]: the most that items i… are worth within c units.
  const best: Float64Array[] = Array.from({ length: items.length + 1 }, () => new Float64Array(room + 1));
  for (let i = items.length - 1; i >= 0; i--) {
    const { worth } = items[i]!;
    for (let c = 0; c <= room; c++) {
      const without = best[i + 1]![c]!;
      const fits = costs[i]! <= c && worth > 0;
      best[i]![c] = fits ? Math.max(without, worth + best[i + 1]![c - costs[i]!]!) : without;
    }
  }
  let left = best[0]!.findIndex((worth) => worth >= best[0]![room]! - 1e-9);
  const ids: string[] = [];
  let cost = 0;
  items.forEach(({ id, worth }, i) => {
    if (worth <= 0 || costs[i]! > left) return;
    if (worth + best[i + 1]![left - costs[i]!]! < best[i]![left]! - 1e-9) return;
    ids.push(id);
    cost += costs[i]!;
    left -= costs[i]!;
  });
  return { ids, worth: best[0]![room]!, cost };
}

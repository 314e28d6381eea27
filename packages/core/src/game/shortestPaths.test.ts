import { describe, expect, it } from 'vitest';
import { seeded } from './seeded.ts';
import { type Arc, type Path, shortestPaths } from './shortestPaths.ts';

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

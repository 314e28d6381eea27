import { readFileSync } from 'node:fs';
import { parseMapFile } from '@aftersquall/core';
import { describe, expect, it } from 'vitest';
import { chartGraph } from './chartGraph.ts';
import { columns, forwardEdges } from './columns.ts';
import { edgePaths, edgeWidth } from './edgePaths.ts';
import { firstLayout, signature } from './layoutCache.ts';

const map = parseMapFile(
  readFileSync(new URL('../../../../../../demo/kelpwick.map.json', import.meta.url), 'utf8'),
);
const graph = chartGraph(map);

describe('the chart of a map', () => {
  it('bundles all exchanges between two places into one line', () => {
    const drawn = graph.edges.filter(({ drift }) => !drift);
    const pairs = new Set(drawn.map(({ from, to }) => `${from} ${to}`));
    expect(pairs.size).toBe(drawn.length);
    const loops = map.exchanges.filter(({ move, to }) => {
      const from = map.moves.find(({ id }) => id === move)!.position;
      return 'position' in to && to.position === from;
    });
    expect(drawn.reduce((sum, { exchanges }) => sum + exchanges.length, 0)).toBe(
      map.exchanges.length - loops.length,
    );
  });

  it('shows holes on the card they belong to', () => {
    const open = graph.nodes.flatMap((node) =>
      node.kind === 'position' && node.holes.length > 0 ? [node.id] : [],
    );
    expect(open).toEqual(['lock-sat-out', 'legs-locked', 'x-guard']);
  });

  it('shows one system, and where it flows out of it as gates', () => {
    const part = chartGraph(map, 'collar-and-sleeve');
    const gates = part.nodes.filter(({ kind }) => kind === 'gate').map(({ id }) => id);
    expect(part.nodes.filter(({ kind }) => kind === 'position').map(({ id }) => id)).toHaveLength(6);
    expect(gates).toEqual(expect.arrayContaining(['shoulder-lock', 'cross-sleeve']));
    const known = new Set(part.nodes.map(({ id }) => id));
    for (const { from, to } of part.edges) expect([known.has(from), known.has(to)]).toEqual([true, true]);
  });

  it('has starts in the first column, outcomes in the last, and every line of the layout one column on', () => {
    const column = columns(graph);
    for (const node of graph.nodes) {
      if (node.kind === 'position' && node.position.entry) expect(column.get(node.id)).toBe(0);
      if (node.kind === 'outcome') expect(column.get(node.id)).toBe(Math.max(...column.values()));
    }
    for (const { from, to } of forwardEdges(graph, column))
      expect(column.get(to)).toBe(column.get(from)! + 1);
    expect(columns(chartGraph({ ...map, exchanges: [] })).get('x-guard')).toBe(0);
  });

  it('stands in columns without overlaps before it is computed', () => {
    const { nodes } = firstLayout(graph);
    const places = [...nodes.values()];
    for (const [i, a] of places.entries()) {
      for (const b of places.slice(i + 1)) {
        const apart =
          a.x + a.width <= b.x || b.x + b.width <= a.x || a.y + a.height <= b.y || b.y + b.height <= a.y;
        expect(apart).toBe(true);
      }
    }
  });

  it('draws every line from its card to its card, thicker for more exchanges', () => {
    const { nodes } = firstLayout(graph);
    const paths = edgePaths(graph.edges, nodes);
    expect(paths.size).toBe(graph.edges.length);
    for (const edge of graph.edges) {
      const [, x, y] = /^M([-\d.]+)[ ,]([-\d.]+)/.exec(paths.get(edge.id)!)!.map(Number);
      const from = nodes.get(edge.from)!;
      expect([from.x, from.x + from.width]).toContain(x);
      expect(y).toBeGreaterThan(from.y);
      expect(y).toBeLessThan(from.y + from.height);
    }
    const [thin, thick] = [1, 4].map((count) =>
      edgeWidth({ id: '', from: '', to: '', exchanges: Array(count).fill(map.exchanges[0]) }),
    );
    expect(thick).toBeGreaterThan(thin!);
  });

  it('is laid out anew only when its shape changes', () => {
    const renamed = {
      ...map,
      positions: map.positions.map((position) => ({ ...position, name: `${position.name}!` })),
    };
    expect(signature(chartGraph(renamed))).toBe(signature(graph));
    expect(signature(chartGraph({ ...map, exchanges: map.exchanges.slice(40) }))).not.toBe(signature(graph));
  });
});

import { readFileSync } from 'node:fs';
import { OUTCOME_GOOD } from '@aftersquall/core/body';
import { parseMapFile } from '@aftersquall/core/formats';
import { type Outcome, type Position } from '@aftersquall/core/model';
import { SHIPPED_PROFILES } from '@aftersquall/core/rules';
import { type Weighing, weighMap } from '@aftersquall/core/weigh';
import { describe, expect, it } from 'vitest';
import { bigMap } from '../../../../../../packages/core/src/test/bigMap.ts';
import { chartGraph } from './chartGraph.ts';
import { columns, forwardEdges } from './columns.ts';
import { edgePaths, edgeWidth } from './edgePaths.ts';
import { signature } from './layoutCache.ts';
import { mainEdges } from './mainEdges.ts';
import { stackColumns } from './stackColumns.ts';
import { tideOf } from './tide.ts';

const map = parseMapFile(
  readFileSync(new URL('../../../../../../testing/club/kelpwick.map.json', import.meta.url), 'utf8'),
);
const graph = chartGraph(map, { folded: false });

describe('the chart of a map', () => {
  it('bundles all exchanges between two places into one line', () => {
    const drawn = graph.edges.filter(({ by }) => by === 'success');
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

  it('draws what failing leads to, each line by how often it comes up', () => {
    const drawn = graph.edges.filter(({ by }) => by === 'failure');
    const failing = map.exchanges.filter(({ move, otherwise, chance }) => {
      const from = map.moves.find(({ id }) => id === move)!.position;
      return chance < 1 && otherwise && !('position' in otherwise && otherwise.position === from);
    });
    expect(drawn.reduce((sum, { exchanges }) => sum + exchanges.length, 0)).toBe(failing.length);
    const visits = Object.fromEntries(map.exchanges.map(({ id }) => [id, 0.5]));
    const weighing = { visits, positions: [] } as unknown as Weighing;
    const { rates } = tideOf(graph, weighing);
    for (const { id, exchanges } of drawn)
      expect(rates.get(id)).toBeCloseTo(
        exchanges.reduce((sum, { chance }) => sum + 0.5 * (1 - chance), 0),
        12,
      );
  });

  it('says of each system its way in, its best end and its worth, and never hides what ends badly', () => {
    const whole = chartGraph(map);
    const weighing = weighMap(map);
    const tide = tideOf(whole, weighing);
    const main = mainEdges(whole, tide);
    const isTops = (to: string) => OUTCOME_GOOD[to.replace('outcome:', '') as Outcome] === 'top';
    for (const node of whole.nodes) {
      if (node.kind !== 'system') continue;
      const members = map.positions.filter(({ systems }) => systems[0] === node.system.id);
      const most = Math.max(...members.map(({ entry = 0 }) => entry));
      expect(node.start?.entry ?? 0).toBe(most);
      if (node.start)
        expect(tide.values.get(node.id)).toBe(
          weighing.positions.find(({ position }) => position === node.start!.id)!.value,
        );
      const best = tide.bestEnds.get(node.id);
      if (best) expect(OUTCOME_GOOD[best.replace('outcome:', '') as Outcome]).toBe('own');
      const ways = whole.edges.filter(
        ({ id, from, by }) => from === node.id && by === 'success' && main.has(id),
      );
      expect(ways.length).toBeLessThanOrEqual(2);
      const ins = whole.edges.filter(({ id, to, by }) => to === node.id && by === 'success' && main.has(id));
      expect(ins.length).toBeLessThanOrEqual(2);
      // What fails into top's hands most often is never hidden.
      const lost = whole.edges
        .filter(({ from, to, by }) => from === node.id && by === 'failure' && isTops(to))
        .toSorted((a, b) => (tide.rates.get(b.id) ?? 0) - (tide.rates.get(a.id) ?? 0));
      if (lost[0]) expect(main).toContain(lost[0].id);
    }
    expect(main.size).toBeLessThan(whole.edges.length / 2);
  });

  it('fills the screen with whole systems: no column more than one card longer than another', () => {
    const whole = chartGraph(map);
    const column = columns(whole);
    const count = (at: number) => whole.nodes.filter(({ id }) => column.get(id) === at).length;
    expect([count(0), count(1), count(2) > 0]).toEqual([4, 3, true]);
    const { width, height } = stackColumns(whole);
    expect(width / height).toBeGreaterThan(1);
  });

  it('shows holes on the card they belong to', () => {
    const open = graph.nodes.flatMap((node) =>
      node.kind === 'position' && node.holes.length > 0 ? [node.id] : [],
    );
    expect(open).toEqual(['lock-sat-out', 'legs-locked', 'x-guard']);
  });

  it('shows one system, and where it flows out of it as gates', () => {
    const inSystem = (id: string) => (position: Position) => position.systems.includes(id);
    const part = chartGraph(map, { shown: inSystem('collar-and-sleeve'), system: 'collar-and-sleeve' });
    const gates = part.nodes.filter(({ kind }) => kind === 'gate').map(({ id }) => id);
    expect(part.nodes.filter(({ kind }) => kind === 'position').map(({ id }) => id)).toHaveLength(7);
    expect(gates).toEqual(expect.arrayContaining(['shoulder-lock', 'cross-sleeve']));
    const known = new Set(part.nodes.map(({ id }) => id));
    for (const { from, to } of part.edges) expect([known.has(from), known.has(to)]).toEqual([true, true]);
  });

  it('shows a map too big to read as its systems, each with what is in it', () => {
    const whole = chartGraph(map);
    const systems = whole.nodes.flatMap((node) => (node.kind === 'system' ? [node] : []));
    expect(systems.map(({ system }) => system.id).sort()).toEqual(map.systems.map(({ id }) => id).sort());
    expect(systems.reduce((sum, { positions }) => sum + positions, 0)).toBe(map.positions.length);
    expect(systems.reduce((sum, node) => sum + node.holes, 0)).toBe(3);
    expect(whole.cards.get('x-guard')).toBe('system:cross-sleeve');
    const pairs = new Set(whole.edges.map(({ id }) => id));
    expect(pairs.size).toBe(whole.edges.length);
  });

  it('stands whole systems at the edge where there are many ways out', () => {
    const big = bigMap();
    const part = chartGraph(big, { shown: ({ systems }) => systems.includes('s0'), system: 's0' });
    expect(part.nodes.filter(({ kind }) => kind === 'position')).toHaveLength(30);
    expect(part.nodes.filter(({ kind }) => kind === 'gate')).toHaveLength(0);
    expect(part.nodes.filter((node) => node.kind === 'system' && node.gate).length).toBeGreaterThan(2);
  });

  it('leaves out what the rules bar', () => {
    const rules = SHIPPED_PROFILES.find(({ barred }) => barred.includes('heel-hook'))!;
    const allowed = chartGraph(map, { folded: false, rules });
    const drawn = (of: typeof graph) =>
      of.edges.flatMap(({ exchanges }) => exchanges.map(({ move }) => move));
    expect(drawn(graph)).toContain('outside-heel');
    expect(drawn(allowed)).not.toContain('outside-heel');
  });

  it('has starts in the first column, outcomes in the last, and every line of the layout one column on', () => {
    const column = columns(graph);
    for (const node of graph.nodes) {
      if (node.kind === 'position' && node.position.entry) expect(column.get(node.id)).toBe(0);
      if (node.kind === 'outcome') expect(column.get(node.id)).toBe(Math.max(...column.values()));
    }
    for (const { from, to } of forwardEdges(graph, column))
      expect(column.get(to)).toBe(column.get(from)! + 1);
    expect(columns(chartGraph({ ...map, exchanges: [] }, { folded: false })).get('x-guard')).toBe(0);
  });

  it('stands in columns without overlaps before it is computed', () => {
    const { nodes } = stackColumns(graph);
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
    const { nodes } = stackColumns(graph);
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
      edgeWidth({ id: '', from: '', to: '', by: 'success', exchanges: Array(count).fill(map.exchanges[0]) }),
    );
    expect(thick).toBeGreaterThan(thin!);
  });

  it('stands spread over the height without overlaps, outcomes from the best to the worst, as an overview', () => {
    const whole = chartGraph(map);
    const { nodes, width, height } = stackColumns(whole);
    const places = [...nodes.values()];
    for (const [i, a] of places.entries()) {
      expect(a.x + a.width).toBeLessThanOrEqual(width);
      expect(a.y + a.height).toBeLessThanOrEqual(height + 1e-9);
      for (const b of places.slice(i + 1))
        expect(
          a.x + a.width <= b.x ||
            b.x + b.width <= a.x ||
            a.y + a.height <= b.y + 1e-9 ||
            b.y + b.height <= a.y + 1e-9,
        ).toBe(true);
    }
    const rank = { own: 0, even: 1, top: 2 };
    const outcomes = whole.nodes
      .flatMap((node) => (node.kind === 'outcome' ? [node] : []))
      .sort((a, b) => nodes.get(a.id)!.y - nodes.get(b.id)!.y);
    const order = outcomes.map(({ good }) => rank[good]);
    expect(order).toEqual([...order].sort());
  });

  it('leads its lines in bundles between whole systems: those of one kind leave a card as one', () => {
    const whole = chartGraph(map);
    const { nodes } = stackColumns(whole);
    const paths = edgePaths(whole.edges, nodes, true);
    const starts = new Map<string, Set<string>>();
    for (const { id, from, by } of whole.edges) {
      const y = Number(/^M[-\d.]+[ ,]([-\d.]+)/.exec(paths.get(id)!)![1]).toFixed(2);
      const key = `${from} ${by}`;
      starts.set(key, (starts.get(key) ?? new Set()).add(y));
    }
    for (const [key, heights] of starts) expect([key, heights.size]).toEqual([key, 1]);
  });

  it('stands what only failing leads to one on from where it fails', () => {
    const { positions, moves, exchanges } = map;
    const lone = { ...positions[0]!, id: 'lone', name: 'Lone', entry: 0, looks: [], systems: [] };
    const start = positions.find(({ entry = 0 }) => entry > 0)!;
    const move = moves.find(({ position }) => position === start.id)!;
    const failing = exchanges.map((one) =>
      one.move === move.id ? { ...one, chance: 0.5, otherwise: { position: 'lone' } } : one,
    );
    const graph = chartGraph(
      { ...map, positions: [...positions, lone], exchanges: failing },
      { folded: false },
    );
    expect(columns(graph).get('lone')).toBe(1);
  });

  it('is laid out anew only when its shape changes', () => {
    const renamed = {
      ...map,
      positions: map.positions.map((position) => ({ ...position, name: `${position.name}!` })),
    };
    expect(signature(chartGraph(renamed, { folded: false }))).toBe(signature(graph));
    expect(signature(chartGraph({ ...map, exchanges: map.exchanges.slice(40) }, { folded: false }))).not.toBe(
      signature(graph),
    );
  });
});

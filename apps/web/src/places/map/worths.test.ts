import { readFileSync } from 'node:fs';
import { parseMapFile } from '@aftersquall/core/formats';
import { reactionKey } from '@aftersquall/core/model';
import { weighMap } from '@aftersquall/core/weigh';
import { describe, expect, it } from 'vitest';
import { boardWorths } from './board/boardWorths.ts';
import { chartGraph } from './chart/chartGraph.ts';
import { flowWidth } from './chart/edgePaths.ts';
import { tideOf } from './chart/tide.ts';

const demo = parseMapFile(
  readFileSync(new URL('../../../../../testing/club/kelpwick.map.json', import.meta.url), 'utf8'),
);
const weighing = weighMap(demo);

describe('a weighed map on the chart', () => {
  it('has on each line what leads along it, on the thickest the most', () => {
    const graph = chartGraph(demo, { folded: false });
    const { rates, most, values } = tideOf(graph, weighing);
    // A line has what leads along it: of an answer its chance, of its failing the rest.
    const onLines = graph.edges
      .flatMap(({ exchanges, by }) =>
        exchanges.map(
          ({ id, chance }) => (weighing.visits[id] ?? 0) * (by === 'failure' ? 1 - chance : chance),
        ),
      )
      .reduce((sum, rate) => sum + rate, 0);
    expect([...rates.values()].reduce((sum, rate) => sum + rate, 0)).toBeCloseTo(onLines, 9);
    expect(most).toBe(Math.max(...rates.values()));
    expect(values.size).toBe(demo.positions.length);
  });

  it('draws what comes up more thicker, and what never does thinnest', () => {
    const widths = [0, 0.01, 0.1, 0.5, 1].map((rate) => flowWidth(rate, 1));
    expect(widths).toEqual([...widths].sort((a, b) => a - b));
    expect(new Set(widths).size).toBe(5);
    expect(flowWidth(0, 0)).toBe(widths[0]);
  });
});

describe('a weighed map on the board', () => {
  const worths = boardWorths(weighing);

  it('shades the commonest answer deepest', () => {
    const ids = Object.keys(weighing.visits).sort((a, b) => worths.rate(b) - worths.rate(a));
    expect(worths.shade(ids[0]!)).toBe(1);
    expect(worths.shade(ids.at(-1)!)).toBeLessThan(1);
    expect(worths.shade('nothing')).toBe(0);
    expect(worths.worth(ids[0]!)).toBe(weighing.worths[ids[0]!]);
    expect(worths.worth('nothing')).toBeUndefined();
  });

  it('knows what each hole costs by its cell', () => {
    expect(weighing.holes.length).toBeGreaterThan(0);
    for (const { move, reaction, stake } of weighing.holes)
      expect(worths.stake(move, reactionKey(reaction ?? 'none'))).toBe(stake);
    expect(worths.stake('nothing', 'none')).toBeUndefined();
  });
});

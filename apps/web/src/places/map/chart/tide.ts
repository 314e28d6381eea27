import type { Exchange } from '@aftersquall/core/model';
import type { Weighing } from '@aftersquall/core/weigh';
import type { ChartGraph } from './chartGraph.ts';

/** A weighed map as the chart shows it. */
export interface Tide {
  /** How often each line is gone along in a round, and the most of any. */
  rates: ReadonlyMap<string, number>;
  most: number;
  /** What cards are worth, points: a position itself, a system where most of its rounds start. */
  values: ReadonlyMap<string, number>;
  /** Where most of a system's own good endings are: the id of that outcome's card. */
  bestEnds: ReadonlyMap<string, string>;
}

/** Rates of the chart's lines and values of its cards. */
export function tideOf({ nodes, edges }: ChartGraph, { visits, positions }: Weighing): Tide {
  const rates = new Map(
    edges.map(({ id, exchanges, by }) => {
      const share = ({ chance }: Exchange) => (by === 'failure' ? 1 - chance : chance);
      return [id, exchanges.reduce((sum, one) => sum + (visits[one.id] ?? 0) * share(one), 0)];
    }),
  );
  const values = new Map(positions.map(({ position, value }) => [position, value]));
  const bestEnds = new Map<string, string>();
  const own = new Set(
    nodes.flatMap((node) => (node.kind === 'outcome' && node.good === 'own' ? [node.id] : [])),
  );
  for (const node of nodes) {
    if (node.kind !== 'system' || node.gate) continue;
    const value = node.start && values.get(node.start.id);
    if (value !== undefined) values.set(node.id, value);
    const ends = edges.filter(({ from, to, by }) => from === node.id && by === 'success' && own.has(to));
    const best = ends.sort((a, b) => rates.get(b.id)! - rates.get(a.id)!)[0];
    if (best && rates.get(best.id)! > 0) bestEnds.set(node.id, best.to);
  }
  return { rates, most: Math.max(0, ...rates.values()), values, bestEnds };
}

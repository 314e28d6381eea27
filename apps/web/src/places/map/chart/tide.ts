import type { Exchange, Weighing } from '@aftersquall/core';
import type { ChartGraph } from './chartGraph.ts';

/** A weighed map as the chart shows it. */
export interface Tide {
  /** How often each line is gone along in a round, and the most of any. */
  rates: ReadonlyMap<string, number>;
  most: number;
  /** What positions are worth, points. */
  values: ReadonlyMap<string, number>;
}

/** Rates of the chart's lines and values of its cards. */
export function tideOf({ edges }: ChartGraph, { visits, positions }: Weighing): Tide {
  const rates = new Map(
    edges.map(({ id, exchanges, by }) => {
      const share = ({ chance }: Exchange) => (by === 'failure' ? 1 - chance : chance);
      return [id, exchanges.reduce((sum, one) => sum + (visits[one.id] ?? 0) * share(one), 0)];
    }),
  );
  return {
    rates,
    most: Math.max(0, ...rates.values()),
    values: new Map(positions.map(({ position, value }) => [position, value])),
  };
}

import { reactionKey } from '@aftersquall/core/model';
import { type Weighing } from '@aftersquall/core/weigh';

/** A weighed map as the board shows it. */
export interface BoardWorths {
  /** Of exchanges: how often they come up in a round, how much of the most there is (in [0, 1]), and their worth. */
  rate(exchange: string): number;
  shade(exchange: string): number;
  worth(exchange: string): number | undefined;
  /** What a hole costs, points of a round. */
  stake(move: string, column: string): number | undefined;
  /** What a position is worth. */
  value(position: string): number | undefined;
}

/** Rates, worths and stakes by what the board knows its cells by. */
export function boardWorths({ visits, worths, holes, positions }: Weighing): BoardWorths {
  const most = Math.max(0, ...Object.values(visits));
  const stakes = new Map(
    holes.map(({ move, reaction, stake }) => [`${move} ${reactionKey(reaction ?? 'none')}`, stake]),
  );
  const values = new Map(positions.map(({ position, value }) => [position, value]));
  const rate = (exchange: string) => visits[exchange] ?? 0;
  return {
    rate,
    shade: (exchange) => (most > 0 ? Math.sqrt(rate(exchange) / most) : 0),
    worth: (exchange) => worths[exchange],
    stake: (move, column) => stakes.get(`${move} ${column}`),
    value: (position) => values.get(position),
  };
}

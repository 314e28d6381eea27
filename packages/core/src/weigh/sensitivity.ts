import { solveStochasticGame } from '../game/solveStochasticGame.ts';
import { chosenLook } from './choice.ts';
import { landingWorth } from './mapGame.ts';
import type { MapSolution } from './solveMap.ts';
import { playedCells } from './visitRates.ts';

export interface Sensitivity {
  exchange: string;
  /** Points of a round for a chance that is higher by 1. */
  slope: number;
}

/**
 * Which chances move the value at the entries most, per unit of chance; the steepest first. Both sides keep to what they
 * play, so that against a perfect top this is the derivative of the value itself.
 */
export function sensitivity(solution: MapSolution, count = 5): Sensitivity[] {
  const { game, visits } = solution;
  const values = solution.trust > 0 ? playedValues(solution) : solution.values;
  return game.states
    .flatMap(({ position, looks }) =>
      looks.flatMap(({ cells }) =>
        cells.flat().flatMap(({ exchange, gamma }): Sensitivity[] => {
          const rate = exchange && visits.get(exchange.id);
          if (!exchange || !rate) return [];
          const won = landingWorth(game, values, exchange.to);
          const lost = landingWorth(game, values, exchange.otherwise ?? { position: position.id });
          return [{ exchange: exchange.id, slope: rate * gamma * (won - lost) }];
        }),
      ),
    )
    .sort((a, b) => Math.abs(b.slope) - Math.abs(a.slope) || (a.exchange < b.exchange ? -1 : 1))
    .slice(0, count);
}

/** What every position is worth when both sides play as expected. */
function playedValues({ built, choices, plays, values }: MapSolution): number[] {
  const states = built.states.map(({ rest }, s) => {
    const chosen = chosenLook(built, s, choices[s]!);
    if (!chosen) return { rest, looks: [] };
    const played = playedCells(plays[s]!);
    const payoff = played.reduce((sum, { m, r, share }) => sum + share * chosen.payoff[m]![r]!, 0);
    const next = played.flatMap(({ m, r, share }) =>
      chosen.next[m]![r]!.map(([to, p]): [number, number] => [to, share * p]),
    );
    return { looks: [{ payoff: [[payoff]], next: [[next]] }] };
  });
  return solveStochasticGame({ discount: built.discount, states }, { start: values }).value;
}

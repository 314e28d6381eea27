import { landingWorth } from '../game/mapGame.ts';
import type { PlayedMap } from '../game/plays.ts';

export interface Sensitivity {
  exchange: string;
  /** Points of a round for a chance that is higher by 1. */
  slope: number;
}

/**
 * What a higher chance of each exchange that comes up brings at the entries, per unit of chance, both sides keeping to
 * what they play; the steepest first. Below zero success is worth less than failure. Between two who know best this is
 * the derivative of the value itself.
 * @param values what the positions are worth as it is played
 */
export function sensitivity({
  game,
  visits,
  values,
}: Pick<PlayedMap, 'game' | 'visits' | 'values'>): Sensitivity[] {
  const found: Sensitivity[] = [];
  for (const { position, looks } of game.states) {
    const here = { position: position.id };
    for (const { cells } of looks)
      for (const line of cells)
        for (const { exchange, gamma } of line) {
          const rate = exchange && visits.get(exchange.id);
          if (!exchange || !rate) continue;
          const won = landingWorth(game, values, exchange.to);
          const lost = landingWorth(game, values, exchange.otherwise ?? here);
          found.push({ exchange: exchange.id, slope: rate * gamma * (won - lost) });
        }
  }
  return found.sort((a, b) => Math.abs(b.slope) - Math.abs(a.slope) || (a.exchange < b.exchange ? -1 : 1));
}

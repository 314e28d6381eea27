import { indexMap } from '../model/indexMap.ts';
import type { GuardMap } from '../model/map.ts';
import { isOutcome, type Landing } from '../model/outcome.ts';
import { exchangeSeconds } from '../model/seconds.ts';
import type { MapSolution } from './solveMap.ts';

/** What each exchange of the map is worth once its reaction has come, points: chance-weighted, over the time it takes. */
export function exchangeWorths(map: GuardMap, { game, values }: MapSolution): Record<string, number> {
  const { move: moves } = indexMap(map);
  return Object.fromEntries(
    map.exchanges.map((exchange) => {
      const move = moves.get(exchange.move)!;
      const gamma = game.gamma(exchangeSeconds(move, exchange));
      const worth = (landing: Landing) =>
        gamma *
        (isOutcome(landing) ? game.points[landing.outcome] : values[game.place.get(landing.position)!]!);
      const chance = game.chanceOf(exchange);
      const failed = worth(exchange.otherwise ?? { position: move.position });
      return [exchange.id, chance * worth(exchange.to) + (1 - chance) * failed];
    }),
  );
}

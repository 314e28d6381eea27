import { indexMap } from '../../model/indexMap.ts';
import type { GuardMap } from '../../model/map.ts';
import { exchangeSeconds } from '../../model/seconds.ts';
import { landingWorth } from '../game/mapGame.ts';
import type { PlayedMap } from '../game/plays.ts';

/** What each exchange of the map is worth once its reaction has come, points: chance-weighted, over the time it takes. */
export function exchangeWorths(
  map: GuardMap,
  { game, values }: Pick<PlayedMap, 'game' | 'values'>,
): Record<string, number> {
  const { move: moves } = indexMap(map);
  return Object.fromEntries(
    map.exchanges.map((exchange) => {
      const move = moves.get(exchange.move)!;
      const gamma = game.gamma(exchangeSeconds(move, exchange));
      const chance = game.chanceOf(exchange);
      const won = landingWorth(game, values, exchange.to);
      const lost = landingWorth(game, values, exchange.otherwise ?? { position: move.position });
      return [exchange.id, gamma * (chance * won + (1 - chance) * lost)];
    }),
  );
}

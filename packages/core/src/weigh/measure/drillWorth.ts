import { indexMap } from '../../model/indexMap.ts';
import type { GuardMap } from '../../model/map.ts';
import { exchangeSeconds } from '../../model/seconds.ts';
import type { MapGame } from '../game/mapGame.ts';
import type { Sensitivity } from '../play/sensitivity.ts';

/** How far practice moves the log-odds of an exchange in the end, and the reps after which about two thirds of that are had. Common practice, no published source. */
const PRACTICE_LIFT = 0.6;
const PRACTICE_HALFWAY = 12;

export interface DrillWorth {
  exchange: string;
  /** Points of a round that the first minute of drilling it brings. */
  worth: number;
}

/** So many exchanges of one move are listed at most: one move does not fill the list. */
const MOST_OF_A_MOVE = 3;

/**
 * What a minute of drilling each exchange is worth, the most first: the first minute of
 * max(0, slope)·c(1 − c)·lift·(1 − e^(−n/halfway)), a rep being the exchange and a reset.
 * @param slopes points of a round for a chance that is higher by 1
 */
export function drillWorths(
  map: GuardMap,
  game: Pick<MapGame, 'chanceOf'>,
  slopes: readonly Sensitivity[],
): DrillWorth[] {
  const index = indexMap(map);
  const { resetSeconds } = map.settings;
  const listed = new Map<string, number>();
  return slopes
    .flatMap(({ exchange: id, slope }): DrillWorth[] => {
      const exchange = index.exchange.get(id)!;
      const move = index.move.get(exchange.move)!;
      const c = game.chanceOf(exchange);
      const perRep = (Math.max(0, slope) * c * (1 - c) * PRACTICE_LIFT) / PRACTICE_HALFWAY;
      const worth = (perRep * 60) / (exchangeSeconds(move, exchange) + resetSeconds);
      return worth > 0 ? [{ exchange: id, worth }] : [];
    })
    .sort((a, b) => b.worth - a.worth || (a.exchange < b.exchange ? -1 : 1))
    .filter(({ exchange }) => {
      const { move } = index.exchange.get(exchange)!;
      const count = listed.get(move) ?? 0;
      listed.set(move, count + 1);
      return count < MOST_OF_A_MOVE;
    });
}

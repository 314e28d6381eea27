import { turnText } from '../../model/chainTurn.ts';
import { indexMap } from '../../model/indexMap.ts';
import type { GuardMap } from '../../model/map.ts';
import { isOutcome } from '../../model/outcome.ts';
import { exchangeSeconds } from '../../model/seconds.ts';
import { type Cover, coverArcs } from './coverArcs.ts';

export interface ChainCoverRequest {
  map: GuardMap;
  /** Ids of the exchanges to be covered. */
  exchanges: readonly string[];
  /** Ids of the other exchanges that may connect them, or all of the map. */
  connect?: readonly string[] | 'all';
  resetSeconds?: number;
  coldStartSeconds?: number;
  maxNodes?: number;
}

/**
 * The cheapest set of chains through the map that drills every chosen exchange at least once (`coverArcs`): it works
 * then. Between them a chain may also go through an answer that fails; the arcs of the cover are turns as in addresses
 * (`turnText`). A position and its mirror are one stop: a chain that
 * arrives on the other side goes on there, with everything turned over.
 * @throws RangeError when an id is not an exchange of the map.
 */
export function coverChains(request: ChainCoverRequest): Cover {
  const { map } = request;
  const index = indexMap(map);
  const chosen = new Set(request.exchanges);
  const allowed = new Set(
    request.connect === 'all' ? map.exchanges.map(({ id }) => id) : (request.connect ?? []),
  );
  for (const id of [...chosen, ...allowed]) {
    if (!index.exchange.has(id)) throw new RangeError(`there is no answer "${id}" in this map`);
  }
  return coverArcs({
    arcs: map.exchanges
      .filter((exchange) => chosen.has(exchange.id) || allowed.has(exchange.id))
      .flatMap((exchange) => {
        const { id, to, otherwise } = exchange;
        const move = index.move.get(exchange.move)!;
        const walk = { from: move.position, seconds: exchangeSeconds(move, exchange) };
        const works = {
          ...walk,
          id,
          to: isOutcome(to) ? null : to.position,
          mustCover: chosen.has(id),
        };
        // What fails into another position leads on as well, though it teaches nothing.
        if (!otherwise || isOutcome(otherwise) || otherwise.position === move.position) return [works];
        const fails = turnText({ exchange: id, fails: true });
        return [works, { ...walk, id: fails, to: otherwise.position, mustCover: false }];
      }),
    positions: map.positions.map(({ id }) => id),
    entries: map.positions.filter((position) => (position.entry ?? 0) > 0).map(({ id }) => id),
    resetSeconds: request.resetSeconds ?? map.settings.resetSeconds,
    coldStartSeconds: request.coldStartSeconds ?? map.settings.coldStartSeconds,
    ...(request.maxNodes !== undefined && { maxNodes: request.maxNodes }),
  });
}

import { indexMap } from '../model/indexMap.ts';
import type { GuardMap } from '../model/map.ts';
import type { Practice } from '../model/practice.ts';
import { reactionKey } from '../model/reaction.ts';

/** How often top was seen to do what about a look, from everything that was tried there: counts by the reaction's key. */
export function reactionsSeen(
  map: GuardMap,
  { trials }: Pick<Practice, 'trials'>,
  look: string,
): Map<string, number> {
  const index = indexMap(map);
  const seen = new Map<string, number>();
  for (const { exchange: id, tried } of trials) {
    const exchange = index.exchange.get(id);
    const move = exchange && index.move.get(exchange.move);
    if (move?.look !== look || exchange?.reaction === 'none') continue;
    const key = reactionKey(exchange!.reaction);
    seen.set(key, (seen.get(key) ?? 0) + tried);
  }
  return seen;
}

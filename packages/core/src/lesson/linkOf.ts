import { landingWords } from '../body/landingWords.ts';
import type { Link } from '../model/blocks/defineBlock.ts';
import type { Exchange } from '../model/exchange.ts';
import { indexMap } from '../model/indexMap.ts';
import type { GuardMap } from '../model/map.ts';
import { exchangeSeconds } from '../model/seconds.ts';

/** What an exchange says in a block, as it stands today. */
export function linkOf(map: GuardMap, exchange: Exchange, mirrored = false): Link {
  const index = indexMap(map);
  const move = index.move.get(exchange.move)!;
  const reaction = exchange.reaction === 'none' ? undefined : index.reaction.get(exchange.reaction.id);
  return {
    exchange: exchange.id,
    ...(mirrored && { mirrored }),
    move: move.name,
    meets: reaction?.name ?? '',
    leads: landingWords(map, exchange.to),
    seconds: exchangeSeconds(move, exchange),
  };
}

import { answerName } from '../../body/answerName.ts';
import { landingWords } from '../../body/landingWords.ts';
import type { Link } from '../../model/blocks/defineBlock.ts';
import type { ChainTurn } from '../../model/chain.ts';
import type { Exchange } from '../../model/exchange.ts';
import { indexMap } from '../../model/indexMap.ts';
import type { GuardMap } from '../../model/map.ts';
import { exchangeSeconds } from '../../model/seconds.ts';

/** What an exchange says in a block, as it stands today; on the other side, or as it fails. */
export function linkOf(
  map: GuardMap,
  exchange: Exchange,
  { mirrored, fails }: { mirrored?: boolean | undefined; fails?: boolean | undefined } = {},
): Link {
  const index = indexMap(map);
  const move = index.move.get(exchange.move)!;
  const { move: name, meets } = answerName(map, exchange);
  const leads = fails ? (exchange.otherwise ?? { position: move.position }) : exchange.to;
  return {
    exchange: exchange.id,
    ...(mirrored && { mirrored }),
    ...(fails && { fails: true as const }),
    move: name,
    meets,
    leads: landingWords(map, leads, index.position.get(move.position)),
    seconds: exchangeSeconds(move, exchange),
  };
}

/** A link as a turn of a chain: it works, or it is left as it fails. */
export const turnOfLink = ({ exchange, fails }: Pick<Link, 'exchange' | 'fails'>): ChainTurn =>
  fails ? { exchange, fails } : exchange;

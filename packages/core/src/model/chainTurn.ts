import type { ChainTurn } from './chain.ts';
import { indexMap } from './indexMap.ts';
import type { GuardMap } from './map.ts';
import type { Landing } from './outcome.ts';

/** The answer of a turn; none where one waits. */
export const exchangeOf = (turn: ChainTurn): string | undefined =>
  typeof turn === 'string' ? turn : 'exchange' in turn ? turn.exchange : undefined;

export const failsIn = (turn: ChainTurn): boolean => typeof turn !== 'string' && 'exchange' in turn;

/** A turn in an address: `ID` works, `ID!` fails, `ID!2` fails after two steps, `!ID` waits in a position. */
export const turnText = (turn: ChainTurn): string =>
  typeof turn === 'string'
    ? turn
    : 'waits' in turn
      ? `!${turn.waits}`
      : `${turn.exchange}!${turn.after ?? ''}`;

/** The turn of an address; undefined where it is none. */
export function readTurn(text: string): ChainTurn | undefined {
  const [, waits, exchange, fails, after] = /^(?:!([\w-]+)|([\w-]+)(?:(!)(\d*))?)$/.exec(text) ?? [];
  if (waits) return { waits };
  if (!exchange) return undefined;
  if (!fails) return exchange;
  return { exchange, fails: true, ...(after && { after: Number(after) }) };
}

/** Where a turn begins and where it leads, as written; undefined where what it is of is not in the map. */
export function turnIn(map: GuardMap, turn: ChainTurn): { at: string; to: Landing } | undefined {
  const index = indexMap(map);
  if (typeof turn !== 'string' && 'waits' in turn) {
    const position = index.position.get(turn.waits);
    return position && { at: position.id, to: position.drift ?? { position: position.id } };
  }
  const exchange = index.exchange.get(exchangeOf(turn)!);
  const at = exchange && index.move.get(exchange.move)?.position;
  if (!exchange || at === undefined) return undefined;
  return { at, to: failsIn(turn) ? (exchange.otherwise ?? { position: at }) : exchange.to };
}

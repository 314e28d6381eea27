import type { ChainTurn } from '../model/chain.ts';
import { exchangeOf, failsIn, turnIn } from '../model/chainTurn.ts';
import { indexMap } from '../model/indexMap.ts';
import type { GuardMap } from '../model/map.ts';
import { landingWords } from './landingWords.ts';

/** A turn of a chain in words: what is done, and where it leads; undefined where it is not in the map any more. */
export function turnWords(map: GuardMap, turn: ChainTurn): { does: string; leads: string } | undefined {
  const found = turnIn(map, turn);
  if (!found) return undefined;
  const index = indexMap(map);
  const move = index.move.get(index.exchange.get(exchangeOf(turn) ?? '')?.move ?? '');
  const after = typeof turn !== 'string' && 'after' in turn ? ` after step ${turn.after}` : '';
  return {
    does: move ? `${move.name}${failsIn(turn) ? ` fails${after}` : ''}` : 'You wait',
    leads: landingWords(map, found.to),
  };
}

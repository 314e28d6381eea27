import type { ChainTurn } from '../model/chain.ts';
import { exchangeOf, failsIn, turnIn } from '../model/chainTurn.ts';
import { indexMap } from '../model/indexMap.ts';
import type { GuardMap } from '../model/map.ts';
import { doneName } from './answerName.ts';
import { landingWords } from './landingWords.ts';

/** A turn of a chain in words: what is done, and where it leads; undefined where it is not in the map any more. */
export function turnWords(map: GuardMap, turn: ChainTurn): { does: string; leads: string } | undefined {
  const found = turnIn(map, turn);
  if (!found) return undefined;
  const index = indexMap(map);
  const known = index.exchange.get(exchangeOf(turn) ?? '');
  const after = typeof turn !== 'string' && 'after' in turn ? ` after step ${turn.after}` : '';
  return {
    does: known ? `${doneName(map, known)}${failsIn(turn) ? ` fails${after}` : ''}` : 'You wait',
    leads: landingWords(
      map,
      found.to,
      known && index.position.get(index.move.get(known.move)?.position ?? ''),
    ),
  };
}

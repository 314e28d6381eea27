import { reactionName } from '../body/landingWords.ts';
import type { Exchange } from '../model/exchange.ts';
import { indexMap } from '../model/indexMap.ts';
import type { GuardMap } from '../model/map.ts';

/** An exchange in words: from where, which move, and what it meets (nothing where top is late). */
export function answerName(map: GuardMap, { move: id, reaction }: Exchange) {
  const index = indexMap(map);
  const move = index.move.get(id);
  return {
    position: index.position.get(move?.position ?? '')?.name ?? '',
    move: move?.name ?? id,
    meets: reaction === 'none' ? '' : reactionName(map, reaction),
  };
}

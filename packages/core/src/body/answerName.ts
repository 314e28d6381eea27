import type { Exchange } from '../model/exchange.ts';
import { indexMap } from '../model/indexMap.ts';
import type { GuardMap } from '../model/map.ts';
import { isOutcome } from '../model/outcome.ts';
import { landingWords, reactionName } from './landingWords.ts';

/**
 * What is done in an exchange, by name: the variant where that has steps of its own ("Foot climbs to the biceps" when
 * the drag is answered), where nothing of the move happens the place one goes to instead, and the move otherwise.
 */
export function doneName(map: GuardMap, { move: id, variant, stops, to }: Exchange): string {
  const index = indexMap(map);
  const move = index.move.get(id);
  if (!move) return id;
  const way = move.variants.find((one) => one.id === variant);
  if (way && way.steps.length > 0 && !way.sameMove) return way.name;
  if (stops !== 0) return move.name;
  const there = landingWords(map, to, index.position.get(move.position));
  return isOutcome(to) ? there.replace(/^./, (first) => first.toUpperCase()) : `Go to ${there}`;
}

/** An exchange in words: from where, what is done, and what it meets (nothing where top is late). */
export function answerName(map: GuardMap, exchange: Exchange) {
  const index = indexMap(map);
  const position = index.position.get(index.move.get(exchange.move)?.position ?? '');
  const { reaction } = exchange;
  return {
    position: position?.name ?? '',
    move: doneName(map, exchange),
    meets: reaction === 'none' ? '' : reactionName(map, reaction, position),
  };
}

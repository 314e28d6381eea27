import { type GuardMap, indexMap, reactionName } from '@aftersquall/core';

/** "Scissor sweep | posts a hand". */
export function exchangeName(map: GuardMap, id: string): string {
  const index = indexMap(map);
  const exchange = index.exchange.get(id);
  if (!exchange) return id;
  const { move, reaction } = exchange;
  return `${index.move.get(move)?.name}${reaction === 'none' ? '' : ` | ${reactionName(map, reaction)}`}`;
}

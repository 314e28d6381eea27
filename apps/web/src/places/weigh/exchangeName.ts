import { type GuardMap, indexMap, type ReactionRef } from '@aftersquall/core';

/** A reaction in words, with its side where it is the other one. */
export function reactionName(map: GuardMap, { id, mirrored }: ReactionRef): string {
  return `${indexMap(map).reaction.get(id)?.name ?? id}${mirrored ? ' (other side)' : ''}`;
}

/** "Scissor sweep | posts a hand". */
export function exchangeName(map: GuardMap, id: string): string {
  const index = indexMap(map);
  const exchange = index.exchange.get(id);
  if (!exchange) return id;
  const { move, reaction } = exchange;
  return `${index.move.get(move)?.name}${reaction === 'none' ? '' : ` | ${reactionName(map, reaction)}`}`;
}

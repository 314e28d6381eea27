import { answerName } from '@aftersquall/core/body';
import { type GuardMap, indexMap } from '@aftersquall/core/model';

/** "Scissor sweep | posts a hand". */
export function exchangeName(map: GuardMap, id: string): string {
  const exchange = indexMap(map).exchange.get(id);
  if (!exchange) return id;
  const { move, meets } = answerName(map, exchange);
  return meets ? `${move} | ${meets}` : move;
}

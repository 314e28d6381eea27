import type { Exchange } from '../model/exchange.ts';
import { isCloth } from '../model/holdPattern.ts';
import { indexMap } from '../model/indexMap.ts';
import type { GuardMap } from '../model/map.ts';
import { isOutcome } from '../model/outcome.ts';
import type { Apparel } from '../model/primitives.ts';
import { stepsOf } from '../model/seconds.ts';
import { translateApparel, translateHold } from './translateApparel.ts';

/** Whether an exchange can be played in an apparel: where it starts, where it leads, what it needs and takes. */
export function playable(map: GuardMap, exchange: Exchange, apparel: Apparel): boolean {
  const index = indexMap(map);
  const move = index.move.get(exchange.move);
  const position = move && index.position.get(move.position);
  if (!move || !position || !translateApparel(position, apparel).available) return false;
  if (!isOutcome(exchange.to)) {
    const goal = index.position.get(exchange.to.position);
    if (!goal || !translateApparel(goal, apparel).available) return false;
  }
  if (apparel === 'gi') return true;
  const steps = stepsOf(move, exchange);
  return steps.every((step) => step.take.every((hold) => !isCloth(hold.target) || translateHold(hold).hold));
}

import { mirror, translateApparel } from '@aftersquall/core/body';
import { type Apparel, type Position } from '@aftersquall/core/model';

/** How bodies are looked at without changing them: from the other side, in the other apparel. */
export interface Looking {
  flipped: boolean;
  apparel: Apparel;
}

/** A position as it is looked at, with what the other apparel loses; undefined where it is seen as it is. */
export function lookAt(position: Position, { flipped, apparel }: Looking) {
  if (!flipped && apparel === 'gi') return undefined;
  return translateApparel(flipped ? mirror('position', position) : position, apparel);
}

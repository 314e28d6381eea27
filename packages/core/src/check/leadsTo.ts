import type { Exchange } from '../model/exchange.ts';
import { isOutcome, type Landing } from '../model/outcome.ts';
import { remember } from '../model/remember.ts';

/** Where the answers of a move lead, whether they work or not. */
export interface LeadsTo {
  /** Positions, each once, by id. */
  positions: readonly string[];
  /** Whether one of them ends the line. */
  ends: boolean;
}

/** Kept with the answers of the move: after an edit only those of the move that was edited are gone through again. */
export const leadsTo = remember((exchanges: readonly Exchange[]): LeadsTo => {
  const positions: string[] = [];
  let ends = false;
  const note = (landing: Landing | undefined) => {
    if (!landing) return;
    if (isOutcome(landing)) ends = true;
    else if (!positions.includes(landing.position)) positions.push(landing.position);
  };
  for (const { to, otherwise } of exchanges) {
    note(to);
    note(otherwise);
  }
  return { positions, ends };
});

import { landingWords } from '../../body/landingWords.ts';
import { indexMap } from '../../model/indexMap.ts';

import { isOutcome, type Landing } from '../../model/outcome.ts';
import type { MoveCheck } from '../checkEach.ts';
import type { Finding } from '../finding.ts';
import { metWords, percent } from '../findingWords.ts';

const where = (landing: Landing): string =>
  isOutcome(landing) ? landing.outcome : `${landing.mirrored ? '~' : ''}${landing.position}`;

/** Success and failure lead to the same place: then the chance says nothing. */
export const sameLanding: MoveCheck = (map, move) =>
  indexMap(map)
    .exchangesOf(move.id)
    .filter(({ to, otherwise }) => where(to) === where(otherwise ?? { position: move.position }))
    .map(
      (exchange): Finding => ({
        code: 'same-landing',
        severity: 'warning',
        place: { kind: 'exchange', id: exchange.id },
        sentence: `“${move.name}”, ${metWords(map, exchange)}, goes to “${landingWords(map, exchange.to)}” whether it works or fails.`,
        mend: 'Write where it leads if it fails, or if it works.',
      }),
    );

/** More likely against a reaction than when top does nothing: seldom meant, unless a note says so. */
export const likelierOpposed: MoveCheck = (map, move) => {
  const exchanges = indexMap(map).exchangesOf(move.id);
  const free = exchanges.filter(({ reaction }) => reaction === 'none');
  if (free.length === 0) return [];
  return exchanges.flatMap((exchange): Finding[] => {
    const same = free.filter(({ variant }) => variant === exchange.variant);
    const best = Math.max(...(same.length > 0 ? same : free).map(({ chance }) => chance));
    // A reaction that sends the move elsewhere makes another move of it.
    const elsewhere = free.every(({ to }) => where(to) !== where(exchange.to));
    if (exchange.reaction === 'none' || exchange.note || elsewhere || exchange.chance <= best) return [];
    return [
      {
        code: 'likelier-opposed',
        severity: 'note',
        place: { kind: 'exchange', id: exchange.id },
        sentence: `“${move.name}” works better ${metWords(map, exchange)} (${percent(exchange.chance)}) than when top does nothing (${percent(best)}).`,
        mend: 'Correct one of the two figures, or explain in the note why the reaction helps.',
      },
    ];
  });
};

import { indexMap } from '../../model/indexMap.ts';
import { isOutcome, type Landing } from '../../model/outcome.ts';
import type { MoveCheck } from '../checkEach.ts';
import type { Finding } from '../finding.ts';
import { metWords } from '../findingWords.ts';

const isTap = (landing: Landing | undefined): boolean =>
  landing !== undefined && isOutcome(landing) && landing.outcome === 'submitted';

/** A row that may end in bottom being submitted and does not say “tap”: a partner who drills it has to know when. */
export const lossWithoutTap: MoveCheck = (map, move) =>
  indexMap(map)
    .exchangesOf(move.id)
    .filter(({ to, otherwise, note = '' }) => (isTap(to) || isTap(otherwise)) && !/\btap/i.test(note))
    .map(
      (exchange): Finding => ({
        code: 'loss-without-tap',
        severity: 'note',
        place: { kind: 'exchange', id: exchange.id, path: 'note' },
        sentence: `“${move.name}”, ${metWords(map, exchange)}, can end with bottom caught, and nothing says when to tap.`,
        mend: 'Write in the note when to tap.',
      }),
    );

import { sided } from '../../body/mirror.ts';
import { matchesPattern } from '../../model/holdPattern.ts';
import { indexMap } from '../../model/indexMap.ts';
import type { MoveCheck } from '../checkEach.ts';
import type { Finding } from '../finding.ts';
import { percent } from '../findingWords.ts';

/** A reaction that breaks a hold the move rests on leaves less than this share of the chance. Common practice, no published source. */
const LEAST_COST = 0.9;

/**
 * A reaction that breaks what the move rests on and costs next to nothing, though no variation answers it: usually it
 * costs 10 to 25 points in a hundred.
 */
export const cheapBreak: MoveCheck = (map, move) => {
  const index = indexMap(map);
  const holds = index.position.get(move.position)?.holds ?? [];
  const restsOn = holds.filter((hold) => move.needsHolds.some((need) => matchesPattern(hold, need, 'own')));
  const exchanges = index.exchangesOf(move.id);
  const free = exchanges.filter(({ reaction }) => reaction === 'none').map(({ chance }) => chance);
  if (restsOn.length === 0 || free.length === 0) return [];
  const best = Math.max(...free);
  return exchanges.flatMap((exchange): Finding[] => {
    const { reaction: ref, chance, variant, note } = exchange;
    if (ref === 'none' || variant || note || chance < LEAST_COST * best) return [];
    const reaction = index.reaction.get(ref.id);
    const breaks = (reaction?.breaks ?? []).map((one) => sided('pattern', one, ref.mirrored));
    if (!restsOn.some((hold) => breaks.some((one) => matchesPattern(hold, one, 'own')))) return [];
    return [
      {
        code: 'cheap-break',
        severity: 'note',
        place: { kind: 'exchange', id: exchange.id, path: 'chance' },
        sentence: `“${reaction!.name}” breaks the grip “${move.name}” needs, yet the move hardly suffers (${percent(best)} → ${percent(chance)}).`,
        mend: 'Lower the chance, write a variation that answers it, or explain it in the note.',
      },
    ];
  });
};

import { conditionWords, patternWords, wordContext } from '../../body/words.ts';
import { matchesPattern } from '../../model/holdPattern.ts';
import { indexMap } from '../../model/indexMap.ts';
import { conditionMet } from '../../model/signs.ts';
import type { PositionCheck } from '../checkEach.ts';
import type { Finding } from '../finding.ts';
import { momentsAt } from '../walks.ts';

/** A move that needs a hold or a sign which neither its position nor any reaction there gives. */
export const unmetNeed: PositionCheck = (map, position) => {
  const moves = indexMap(map).movesOf(position.id);
  if (!moves.some((move) => move.needs.length + move.needsHolds.length > 0)) return [];
  const context = wordContext(position);
  const moments = momentsAt(map, position);
  return moves.flatMap((move): Finding[] => {
    const signs = move.needs
      .filter((need) => need.mark === 'must' && !moments.some((moment) => conditionMet(need, moment.signs)))
      .map(conditionWords);
    const holds = move.needsHolds
      .filter((pattern) => {
        const by = pattern.by ?? 'own';
        return !moments.some(({ holds: own, topHolds }) =>
          (by === 'own' ? own : topHolds).some((hold) => matchesPattern(hold, pattern, by)),
        );
      })
      .map((pattern) => patternWords(pattern, context));
    return [...signs, ...holds].map((what) => ({
      code: 'need-not-given',
      severity: 'warning',
      place: { kind: 'move', id: move.id, path: 'needs' },
      sentence: `"${move.name}" needs ${what}, which neither "${position.name}" nor anything top does there gives.`,
      mend: 'Add it to the position, list the reaction that gives it, or remove the need.',
    }));
  });
};

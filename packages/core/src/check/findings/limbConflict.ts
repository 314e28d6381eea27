import { limbConflicts } from '../../body/limbConflicts.ts';
import { wordContext } from '../../body/words.ts';
import type { PositionCheck } from '../checkEach.ts';
import type { Finding } from '../finding.ts';

/** One contact that bears two holds in a position, bottom's or top's. */
export const limbConflict: PositionCheck = (_, position) => {
  const context = wordContext(position);
  const find = (list: 'holds' | 'topHolds'): Finding[] =>
    limbConflicts(position[list], context).map((conflict) => ({
      code: 'limb-conflict',
      severity: 'error',
      place: { kind: 'position', id: position.id, path: list },
      sentence: `In "${position.name}" ${list === 'topHolds' ? "top's " : ''}${conflict.words}.`,
      mend: 'Give one of the two to another limb, or remove it.',
    }));
  return [...find('holds'), ...find('topHolds')];
};

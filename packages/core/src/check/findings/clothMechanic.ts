import { indexMap } from '../../model/indexMap.ts';
import type { Check, Finding } from '../finding.ts';

const CLOTH = /\b(?:sleeves?|cuffs?|collars?|lapels?|trousers?|belt|skirt|jacket)\b/i;

/** A movement that is taught on cloth, in a move that is only played without the jacket. */
export const clothMechanic: Check = (map) => {
  const { mechanic } = indexMap(map);
  return map.moves.flatMap((move): Finding[] => {
    if (move.apparel !== 'no-gi') return [];
    return move.mechanics.flatMap((id): Finding[] => {
      const known = mechanic.get(id);
      if (!known || !CLOTH.test(`${known.how} ${known.partner ?? ''}`)) return [];
      return [
        {
          code: 'cloth-mechanic',
          severity: 'note',
          place: { kind: 'move', id: move.id, path: 'mechanics' },
          sentence: `“${move.name}” works without the jacket, but “${known.name}” is taught on cloth.`,
          mend: 'Write how to do the movement without cloth, or choose another one.',
        },
      ];
    });
  });
};

import { checkSweep } from '../../balance/checkSweep.ts';
import { arcWords, wayWords } from '../../balance/wayWords.ts';
import { contactName, joinWords } from '../../body/words.ts';
import { indexMap } from '../../model/indexMap.ts';
import type { MoveCheck } from '../checkEach.ts';
import type { Finding } from '../finding.ts';

/** A sweep that sends top where a hand, the head or a foot can still come down, and not where top is weakest. */
export const freePost: MoveCheck = (map, move): Finding[] => {
  const position = indexMap(map).position.get(move.position);
  if (!position || move.kind !== 'sweep' || move.direction === undefined) return [];
  const { weakest, free, arc } = checkSweep(position, move);
  if (weakest || free.length === 0) return [];
  return [
    {
      code: 'free-post',
      severity: 'warning',
      place: { kind: 'move', id: move.id, path: 'direction' },
      sentence: `"${move.name}" sends top towards ${wayWords(move.direction)} (${move.direction}°), where ${joinWords(free.map(({ contact }) => `top's ${contactName(contact)}`))} can still come down.`,
      mend: `Trap that post first, or send them where they are weakest: ${arcWords(arc)}.`,
    },
  ];
};

import { indexMap } from '../../model/indexMap.ts';
import type { MoveCheck } from '../checkEach.ts';
import type { Finding } from '../finding.ts';

/** Words that only make sense beside another move's. */
const LEANS =
  /\b(?:(?:as|see|like) (?:above|before)|same (?:as|way as) (?:above|before)|the same again|ditto)\b/i;

/** Text that leans on a sister: whoever opens this move alone cannot follow it. */
export const leaningWords: MoveCheck = (map, move) => {
  const texts = [
    ...[move.steps, ...move.variants.map(({ steps }) => steps)].flat().map(({ text }) => text),
    ...move.cues,
    ...move.faults.flatMap(({ text, mend }) => [text, mend ?? '']),
    ...indexMap(map)
      .exchangesOf(move.id)
      .map(({ note }) => note ?? ''),
  ];
  const leaning = texts.find((text) => LEANS.test(text));
  if (leaning === undefined) return [];
  return [
    {
      code: 'leaning-words',
      severity: 'note',
      place: { kind: 'move', id: move.id },
      sentence: `“${move.name}” refers to words elsewhere: “${leaning}”`,
      mend: 'Write it in full here.',
    } satisfies Finding,
  ];
};

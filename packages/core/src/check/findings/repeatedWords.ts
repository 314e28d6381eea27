import type { EntityKind } from '../../model/map.ts';
import type { Check, Finding } from '../finding.ts';

/** The same words in more places than this say nothing of any of them. */
const MOST = 2;

/** The same cue, feel or script in many places: written once and copied, it is true of one of them at most. */
export const repeatedWords: Check = (map) => {
  const said = new Map<string, { what: string; text: string; places: { kind: EntityKind; id: string }[] }>();
  const count = (what: string, text: string | undefined, kind: EntityKind, id: string) => {
    if (!text?.trim()) return;
    const key = `${what} ${text}`;
    const known = said.get(key) ?? { what, text, places: [] };
    known.places.push({ kind, id });
    said.set(key, known);
  };
  for (const { id, feel, script } of map.reactions) {
    count('feel', feel, 'reaction', id);
    count('script', script, 'reaction', id);
  }
  for (const { id, cues } of map.mechanics) for (const cue of cues) count('cue', cue, 'mechanic', id);
  for (const { id, cues, looks } of map.positions) {
    for (const cue of cues) count('cue', cue, 'position', id);
    for (const { reactions } of looks)
      for (const { feel, script } of reactions) {
        count('feel', feel, 'position', id);
        count('script', script, 'position', id);
      }
  }
  for (const { id, cues } of map.moves) for (const cue of cues) count('cue', cue, 'move', id);
  return [...said.values()]
    .filter(({ places }) => places.length > MOST)
    .map(
      ({ what, text, places }): Finding => ({
        code: 'repeated-words',
        severity: 'note',
        place: places.at(-1)!,
        sentence: `The ${what} “${text}” stands in ${places.length} places.`,
        mend: 'Say in each what is so there, or leave it out.',
      }),
    );
};

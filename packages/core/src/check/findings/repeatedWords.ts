import type { EntityKind } from '../../model/map.ts';
import type { Mechanic } from '../../model/mechanic.ts';
import type { Move } from '../../model/move.ts';
import type { Position } from '../../model/position.ts';
import type { Reaction } from '../../model/reaction.ts';
import { remember } from '../../model/remember.ts';
import type { Check, Finding } from '../finding.ts';

/** The same words in more places than this say nothing of any of them. */
const MAX_PLACES_ALIKE = 2;

/** The same cue, feel or script in many places: written once and copied, it is true of one of them at most. */
export const repeatedWords: Check = ({ reactions, mechanics, positions, moves }) =>
  findRepeated(reactions, mechanics, positions, moves);

/** Asked again only when one of the lists that have words has changed. */
const findRepeated = remember(
  (
    reactions: readonly Reaction[],
    mechanics: readonly Mechanic[],
    positions: readonly Position[],
    moves: readonly Move[],
  ): Finding[] => {
    const feels: Said = new Map();
    const scripts: Said = new Map();
    const cues: Said = new Map();
    const spoken = (words: { feel?: string | undefined; script?: string | undefined }, place: Place) => {
      count(feels, words.feel, place);
      count(scripts, words.script, place);
    };
    const cued = (kind: EntityKind, things: readonly { id: string; cues: readonly string[] }[]) => {
      for (const { id, cues: all } of things) for (const cue of all) count(cues, cue, { kind, id });
    };
    for (const reaction of reactions) spoken(reaction, { kind: 'reaction', id: reaction.id });
    cued('mechanic', mechanics);
    cued('position', positions);
    for (const { id, looks } of positions)
      for (const look of looks) for (const words of look.reactions) spoken(words, { kind: 'position', id });
    cued('move', moves);
    return [...findingsOf('feel', feels), ...findingsOf('script', scripts), ...findingsOf('cue', cues)];
  },
);

type Place = { kind: EntityKind; id: string };
type Said = Map<string, Place[]>;

function count(said: Said, text: string | undefined, place: Place): void {
  if (!text?.trim()) return;
  const known = said.get(text);
  if (known) known.push(place);
  else said.set(text, [place]);
}

const findingsOf = (what: string, said: Said): Finding[] =>
  [...said]
    .filter(([, places]) => places.length > MAX_PLACES_ALIKE)
    .map(
      ([text, places]): Finding => ({
        code: 'repeated-words',
        severity: 'note',
        place: places.at(-1)!,
        sentence: `The ${what} “${text}” appears in ${places.length} places.`,
        mend: 'Write what is special in each, or leave it out.',
      }),
    );

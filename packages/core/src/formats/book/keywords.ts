import { HazardTagSchema } from '../../model/hazards.ts';
import { MECHANIC_FORMS } from '../../model/mechanic.ts';
import { FALLS, MOVE_KINDS } from '../../model/move.ts';
import type { Fault } from '../../model/notes.ts';
import { OUTCOMES } from '../../model/outcome.ts';
import type { Position } from '../../model/position.ts';
import { ApparelSchema, LevelSchema, SideSchema, WearSchema } from '../../model/primitives.ts';
import { REACTION_GROUPS } from '../../model/reaction.ts';
import { pictureHints } from './pictureHints.ts';
import { escapeText, shifted, splitEntries, trimBlanks, unescapeText } from './text.ts';
import {
  arrow,
  type Codec,
  condition,
  contact,
  fit,
  hold,
  id,
  landing,
  listOf,
  loads,
  number,
  oneOf,
  pattern,
  reactionNeed,
  reference,
  requirement,
  seconds,
  signs,
  text,
  yes,
} from './values.ts';

/** What a heading can begin. */
export type BlockKind =
  | 'System'
  | 'Mechanic'
  | 'Reaction'
  | 'Position'
  | 'Look'
  | 'Move'
  | 'Variant'
  | 'Ending';
export const HEADING_DEPTH: Record<BlockKind | 'Shared', number> = {
  System: 1,
  Shared: 1,
  Mechanic: 2,
  Reaction: 2,
  Position: 2,
  Ending: 2,
  Look: 3,
  Move: 4,
  Variant: 5,
};

/** A line `- keyword: value`: the field that it fills, and how the value is written. */
export interface Keyword<T = unknown> {
  field: string;
  codec: Codec<T>;
  /** It may stand more than once; the field is the list of its values. */
  many?: true;
  required?: true;
  /** An id may stand behind the keyword: `- fault late: …`. */
  withId?: true;
}

// A table over many types of values: each is printed from the field that it was read into.
const key = <T>(field: string, codec: Codec<T>, how: Omit<Keyword, 'field' | 'codec'> = {}): Keyword =>
  ({ field, codec, ...how }) as Keyword;

const aliases: Codec<string[]> = {
  read: (line) => splitEntries(line, ';').map((part) => unescapeText(part.text)),
  print: (names) => names.map((name) => escapeText(name).replaceAll(';', '\\;')).join('; '),
};
/** `… [lets circle-far, hop-leg]`: what a fault lets through. */
const LETS = /(?<!\\)\[lets ([^[\]\\]*)\]$/;
const reactions = listOf(id);
const fault = arrow('what mends it', false);
const falsePositive = arrow('the honest test', true);
const advice = {
  cue: key('cues', text, { many: true }),
  fault: key(
    'faults',
    {
      read(line): Omit<Fault, 'id'> {
        const found = LETS.exec(line);
        const [wrong, mend] = fault.read(found ? trimBlanks(line.slice(0, found.index)) : line);
        const lets =
          found &&
          shifted(found.index + found[0].length - 1 - found[1]!.length, () => reactions.read(found[1]!));
        return { text: wrong, ...(mend !== undefined && { mend }), ...(lets && { lets }) };
      },
      print(one: Fault) {
        const words = fault.print([one.text, one.mend]);
        // Words that only look like the brackets stand behind a backslash.
        if (!one.lets || one.lets.length === 0) return LETS.test(words) ? words.replace(/\]$/, '\\]') : words;
        return `${words} [lets ${reactions.print(one.lets)}]`;
      },
    },
    { many: true, withId: true },
  ),
};
/** `what wins it for bottom → what wins it for top [20 s not passed]`. */
const gameGoals = arrow('what wins it for top', true);
const game: Codec<Position['game'] & object> = {
  read(line) {
    const found = /(?<!\\)\[([^[\]\\]+)\]$/.exec(line);
    const [bottom, top = ''] = gameGoals.read(found ? trimBlanks(line.slice(0, found.index)) : line);
    return { bottom, top, ...(found && { time: found[1]!.trim() }) };
  },
  print({ bottom, top, time }) {
    const words = gameGoals.print([bottom, top]);
    const plain = /(?<!\\)\[[^[\]\\]+\]$/.test(words) ? words.replace(/\]$/, '\\]') : words;
    return time ? `${plain} [${time}]` : plain;
  },
};
const fits = key('fits', fit, { many: true });
const note = key('note', text);
const short = key('short', text);
const hazards = key('hazards', listOf(oneOf(HazardTagSchema.options, 'hazard')));

/** The keywords of each kind of block, in the order in which they are printed. */
export const KEYWORDS: Record<BlockKind, Record<string, Keyword>> = {
  System: {
    aliases: key('aliases', aliases),
    for: key('purpose', text),
    build: key('build', text),
    gi: key('gi', text),
    'no-gi': key('noGi', text),
    schools: key('schools', text),
    note,
  },
  Mechanic: {
    short,
    aliases: key('aliases', aliases),
    form: key('form', oneOf(MECHANIC_FORMS, 'form'), { required: true }),
    dose: key('dose', text),
    how: key('how', text, { required: true }),
    said: key('said', text),
    partner: key('partner', text),
    ...advice,
    hazards,
    loads: key('loads', loads),
    note,
  },
  Reaction: {
    short,
    'short mirrored': key('shortMirrored', text),
    aliases: key('aliases', aliases),
    group: key('group', oneOf(REACTION_GROUPS, 'group'), { required: true }),
    needs: key('needs', listOf(reactionNeed)),
    changes: key('changes', signs),
    breaks: key('breaks', listOf(pattern)),
    'top takes': key('topTakes', listOf(hold)),
    'top lets go': key('topReleases', listOf(pattern)),
    feel: key('feel', text),
    script: key('script', text),
    hazards,
    note,
  },
  Position: {
    short,
    usual: key('usual', text),
    aliases: key('aliases', aliases),
    systems: key('systems', listOf(id)),
    lead: key('leadSide', oneOf(SideSchema.options.slice(0, 2), 'side')),
    apparel: key('apparel', oneOf(WearSchema.options, 'apparel')),
    level: key('level', oneOf(LevelSchema.options, 'level')),
    entry: key('entry', number(0, 1000)),
    rest: key('rest', number(-100, 100)),
    drift: key('drift', landing),
    holds: key('holds', listOf(hold)),
    'top holds': key('topHolds', listOf(hold)),
    signs: key('signs', signs),
    loads: key('loads', loads),
    note,
    picture: key('pose', pictureHints),
    ...advice,
    game: key('game', game),
    fit: fits,
  },
  Ending: {
    short,
    outcome: key('outcome', oneOf(OUTCOMES, 'outcome'), { required: true }),
    moves: key('moves', listOf(id)),
    holds: key('holds', listOf(hold)),
    'top holds': key('topHolds', listOf(hold)),
    signs: key('signs', signs),
    note,
    picture: key('pose', pictureHints),
  },
  Look: {
    'top sees': key('topSees', text),
    timing: key('timing', oneOf(['hidden', 'seen'], 'timing')),
    reactions: key('reactions', listOf(reference)),
    note,
  },
  Move: {
    short,
    aliases: key('aliases', aliases),
    kind: key('kind', oneOf(MOVE_KINDS, 'kind of move'), { required: true }),
    foundation: key('foundation', yes),
    apparel: key('apparel', oneOf(WearSchema.options, 'apparel')),
    level: key('level', oneOf(LevelSchema.options, 'level')),
    direction: key('direction', number(0, 360 - 1e-9, '°')),
    window: key('window', oneOf(['brief', 'open'], 'window')),
    seconds: key('seconds', { ...seconds, print: String }),
    needs: key('needs', listOf(condition)),
    'needs holds': key('needsHolds', listOf(pattern)),
    requires: key('requires', listOf(requirement)),
    mechanics: key('mechanics', listOf(id)),
    loads: key('loads', loads),
    hazards,
    fall: key('fall', oneOf(FALLS, 'fall')),
    escapes: key('escapes', listOf(id)),
    tap: key('tap', text),
    note,
    ...advice,
    false: key(
      'falsePositives',
      {
        read(line) {
          const [works, test = ''] = falsePositive.read(line);
          return { text: works, test };
        },
        print: (one: { text: string; test: string }) => falsePositive.print([one.text, one.test]),
      },
      { many: true },
    ),
    test: key('test', text),
    fit: fits,
  },
  Variant: {
    house: key('house', oneOf(['yes'], 'mark of the house')),
    'same move': key('sameMove', yes),
    apparel: key('apparel', oneOf(ApparelSchema.options, 'apparel')),
    build: key('build', text),
    when: key('when', text),
    why: key('why', text),
  },
};

/** What stands under the steps of a move and not above them. */
export const ADVICE: readonly string[] = ['cue', 'fault', 'false', 'test', 'fit'];

/** Words in the brackets of a step, where `;` stands behind a backslash. */
const said: Codec<string> = {
  read: unescapeText,
  print: (words) => escapeText(words).replaceAll(';', '\\;'),
};

/** What stands in the brackets of a step, besides `after 1, 2` and `2 s`, in the order in which it is printed. */
export const CLAUSES: Record<string, Keyword> = {
  release: key('release', listOf(contact)),
  take: key('take', listOf(hold)),
  'top lets go': key('topReleases', listOf(pattern)),
  'top takes': key('topTakes', listOf(hold)),
  signs: key('signs', signs),
  say: key('said', said),
  id: key('id', id),
};

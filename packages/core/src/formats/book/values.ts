import { CONTACTS, type Contact } from '../../model/contacts.ts';
import {
  DEPTHS,
  GripPlaceSchema,
  HOLD_ACTIONS,
  type Hold,
  type HoldPattern,
  PARTS,
  PLACES_ON,
  type Target,
} from '../../model/hold.ts';
import { JOINTS, LOADS, type Loads } from '../../model/joint.ts';
import { BUILD_VALUES, type Fit, FitSchema } from '../../model/notes.ts';
import { isOutcome, type Landing, OUTCOMES } from '../../model/outcome.ts';
import { IdSchema, SideSchema } from '../../model/primitives.ts';
import { type ReactionNeed, type ReactionRef, reactionKey } from '../../model/reaction.ts';
import { type Condition, FACET_NAMES, FACETS, type Facet, type Signs } from '../../model/signs.ts';
import { BookSlip, escapeText, readWord, shifted, splitEntries, trimBlanks, unescapeText } from './text.ts';

/** How one kind of value is written in a book, both ways; what cannot be read throws a `BookSlip`. */
export interface Codec<T> {
  read(text: string): T;
  print(value: T): string;
}

/** Values of one kind with commas between them. */
export const listOf = <T>(one: Codec<T>): Codec<T[]> => ({
  read: (text) => splitEntries(text).map((part) => shifted(part.at, () => one.read(part.text))),
  print: (values) => values.map(one.print).join(', '),
});

export const oneOf = <T extends string>(words: readonly T[], what: string): Codec<T> => ({
  read: (text) => readWord(words, what, text),
  print: String,
});

export const text: Codec<string> = { read: unescapeText, print: escapeText };

export const id: Codec<string> = {
  read(word) {
    if (!IdSchema.safeParse(word).success)
      throw new BookSlip(`"${word}" is no id; expected letters, digits, - and _ only, at most 80`);
    return word;
  },
  print: String,
};

/** A number in a range, with its unit behind it where it has one. */
export const number = (least: number, most: number, unit = ''): Codec<number> => ({
  read(word) {
    const bare = unit && word.endsWith(unit) ? word.slice(0, -unit.length).trim() : word;
    const value = Number(bare);
    if (bare === '' || !Number.isFinite(value) || value < least || value > most)
      throw new BookSlip(`"${word}" is no number here; expected ${least} to ${most}${unit && ` ${unit}`}`);
    return value;
  },
  print: (value) => `${value}${unit}`,
});
export const seconds: Codec<number> = { read: number(0, 3600, 's').read, print: (value) => `${value} s` };

/** A chance as a percentage, exactly: the digits of the number with its point two places on. */
export const chance: Codec<number> = {
  read(word) {
    const found = /^(\d+(?:\.\d+)?) ?%$/.exec(word);
    const value = found ? Number(`${found[1]}e-2`) : Number.NaN;
    if (!(value <= 1)) throw new BookSlip(`"${word}" is no chance; expected 0 % to 100 %`);
    return value;
  },
  print(value) {
    const [digits = '', exponent = '0'] = String(value).split('e');
    const [whole = '', decimals = ''] = digits.split('.');
    const point = whole.length + Number(exponent) + 2;
    const all = (whole + decimals).padStart(whole.length + decimals.length + Math.max(0, 1 - point), '0');
    const place = Math.max(1, point);
    const shifted = `${all.slice(0, place).padEnd(place, '0')}.${all.slice(place)}`;
    return `${shifted.replace(/^0+(?=\d)/, '').replace(/\.?0*$/, '') || '0'} %`;
  },
};

const contacts: Codec<Contact[]> = {
  read(word) {
    const list = word.split('+').map((contact) => readWord(CONTACTS, 'contact', contact));
    if (new Set(list).size < list.length) throw new BookSlip('a contact is named twice; expected it once');
    return list;
  },
  print: (list) => list.join('+'),
};
export const contact = oneOf(CONTACTS, 'contact');

export const reference: Codec<ReactionRef> = {
  read: (word) =>
    word.startsWith('~')
      ? { id: shifted(1, () => id.read(word.slice(1))), mirrored: true }
      : { id: id.read(word) },
  print: reactionKey,
};

export const landing: Codec<Landing> = {
  read(word) {
    const outcome = OUTCOMES.find((one) => one === word);
    if (outcome) return { outcome };
    const { id: position, mirrored } = reference.read(word);
    return { position, ...(mirrored && { mirrored }) };
  },
  print: (to) => (isOutcome(to) ? to.outcome : `${to.mirrored ? '~' : ''}${to.position}`),
};

/** `part.side.place`, `own:` in front for bottom's body, or `mat`. */
const target: Codec<Target> = {
  read(word) {
    const own = word.startsWith('own:');
    const begin = own ? 4 : 0;
    const place = word.slice(begin);
    if (place === 'mat' && !own) return { of: 'mat', part: 'mat', side: 'C' };
    const [part = '', side = 'C', at, more] = place.split('.');
    const of = own ? 'own' : 'top';
    const body = readWord(PARTS, 'part', part, begin);
    if (body === 'mat') throw new BookSlip('the mat has no side and is nobody’s; expected "mat"', begin);
    const where = readWord(SideSchema.options, 'side', side, begin + part.length + 1);
    if (more !== undefined) throw new BookSlip(`"${word}" goes on too long; expected part.side.place`);
    if (at === undefined) return { of, part: body, side: where };
    const places = PLACES_ON[body] ?? [];
    const placeAt = begin + part.length + side.length + 2;
    if (places.length === 0)
      throw new BookSlip(`a ${part} has no "${at}"; expected nothing after the side`, placeAt);
    return { of, part: body, side: where, at: readWord(places, `place of a ${part}`, at, placeAt) };
  },
  print: ({ of, part, side, at }) =>
    part === 'mat' ? 'mat' : `${of === 'own' ? 'own:' : ''}${part}.${side}${at ? `.${at}` : ''}`,
};

const usualHoldId = ({ contacts: list, target: on }: Pick<Hold, 'contacts' | 'target'>): string =>
  `${list.join('-')}-${on.part}`;

interface Token {
  text: string;
  at: number;
}
const tokensOf = (line: string): Token[] =>
  [...line.matchAll(/\S+/g)].map((match) => ({ text: match[0], at: match.index }));

/** `contacts action target [depth] [keep] [as id] [| fallback …]`. */
export const hold: Codec<Hold> = {
  read(line) {
    const [main = '', ...others] = line.split('|');
    const [who, does, on, ...marks] = tokensOf(main);
    if (!who || !does || !on)
      throw new BookSlip(
        `"${line.trim()}" is no hold; expected: contacts action target [depth] [keep] [| fallback]`,
      );
    const made: Omit<Hold, 'id'> & { id?: string } = {
      contacts: shifted(who.at, () => contacts.read(who.text)),
      action: readWord(HOLD_ACTIONS, 'action', does.text, does.at),
      target: shifted(on.at, () => target.read(on.text)),
    };
    for (let i = 0; i < marks.length; i++) {
      const { text: mark, at } = marks[i]!;
      const name = mark === 'as' ? marks[++i] : undefined;
      const depth = DEPTHS.find((one) => one === mark);
      if (mark === 'keep' && !made.keep) made.keep = true;
      else if (name && !made.id) made.id = shifted(name.at, () => id.read(name.text));
      else if (depth && !made.depth) made.depth = depth;
      else throw new BookSlip(`"${mark}" is no mark here; expected ${DEPTHS.join(', ')}, keep, as ID`, at);
    }
    let at = main.length + 1;
    const fallbacks = others.map((other) => {
      const begin = at + other.length - other.trimStart().length;
      at += other.length + 1;
      return shifted(begin, () => target.read(other.trim()));
    });
    return {
      ...made,
      id: made.id ?? usualHoldId(made),
      ...(fallbacks.length > 0 && { fallbacks }),
    };
  },
  print: (value) =>
    [
      `${contacts.print(value.contacts)} ${value.action} ${target.print(value.target)}`,
      value.depth && ` ${value.depth}`,
      value.keep && ' keep',
      value.id !== usualHoldId(value) && ` as ${value.id}`,
      ...(value.fallbacks ?? []).map((other) => ` | ${target.print(other)}`),
    ]
      .filter(Boolean)
      .join(''),
};

/** `[own|top] [contacts] action part.side.place`, `*` for any. */
export const pattern: Codec<HoldPattern> = {
  read(line) {
    const tokens = tokensOf(line);
    const by = ['own', 'top'].includes(tokens[0]?.text ?? '')
      ? (tokens.shift()!.text as 'own' | 'top')
      : undefined;
    const who = tokens.length === 3 ? tokens.shift()! : undefined;
    const [does, on, more] = tokens;
    if (!does || !on || more)
      throw new BookSlip(
        `"${line}" is no pattern; expected: [own|top] [contacts] action part.side, with * for any`,
      );
    const made: HoldPattern = {
      ...(by && { by }),
      ...(who && { contacts: shifted(who.at, () => contacts.read(who.text)) }),
      ...(does.text !== '*' && { action: readWord(HOLD_ACTIONS, 'action', does.text, does.at) }),
    };
    const [part = '', side, at, rest] = on.text.split('.');
    if (rest !== undefined)
      throw new BookSlip(`"${on.text}" goes on too long; expected part.side.place`, on.at);
    if (part !== '*') made.part = readWord(PARTS, 'part', part, on.at);
    if (side !== undefined) made.side = readWord(SideSchema.options, 'side', side, on.at + part.length + 1);
    if (at !== undefined)
      made.at = readWord(GripPlaceSchema.options, 'place', at, on.at + part.length + side!.length + 2);
    return made;
  },
  print: ({ by, contacts: who, action = '*', part = '*', side, at }) => {
    const on = [part, side ?? (at && 'C'), at].filter(Boolean).join('.');
    return [by, who && contacts.print(who), action, on].filter(Boolean).join(' ');
  },
};

export const signs: Codec<Signs> = {
  read(line) {
    const made: Record<string, string> = {};
    for (const { text: pair, at } of splitEntries(line)) {
      const [facet = '', value, more] = pair.split('=');
      if (value === undefined || more !== undefined)
        throw new BookSlip(`"${pair}" is no sign; expected facet=value`, at);
      const known = readWord(FACET_NAMES, 'facet', facet, at);
      if (made[known]) throw new BookSlip(`${facet} is said twice; expected one value`, at);
      made[known] = readWord<string>(FACETS[known], `value of ${facet}`, value, at + facet.length + 1);
    }
    return made as Signs;
  },
  print: (value) =>
    Object.entries(value)
      .filter(([, one]) => one !== undefined)
      .map(([facet, one]) => `${facet}=${one}`)
      .join(', '),
};

/** `facet=value|value`, `?` in front where it only helps, `*2` behind for its weight. */
export const condition: Codec<Condition> = {
  read(line) {
    const helps = line.startsWith('?');
    const [said = '', weight, more] = line.slice(Number(helps)).split('*');
    const [facet = '', values, rest] = said.split('=');
    if (!values || rest !== undefined || more !== undefined)
      throw new BookSlip(`"${line}" is no condition; expected facet=value|value`);
    const known: Facet = readWord(FACET_NAMES, 'facet', facet, Number(helps));
    const begin = Number(helps) + facet.length + 1;
    return {
      facet: known,
      values: values
        .split('|')
        .map((value) => readWord<string>(FACETS[known], `value of ${facet}`, value, begin)),
      mark: helps ? 'helps' : 'must',
      ...(weight !== undefined && {
        weight: shifted(line.indexOf('*') + 1, () => number(Number.MIN_VALUE, 10).read(weight)),
      }),
    };
  },
  print: ({ facet, values, mark, weight }) =>
    `${mark === 'helps' ? '?' : ''}${facet}=${values.join('|')}${weight === undefined ? '' : `*${weight}`}`,
};

/** What a reaction needs: a condition, `free LIMB` of top, or `no PATTERN` of bottom's holds. */
export const reactionNeed: Codec<ReactionNeed> = {
  read(line) {
    const [, word, rest = ''] = /^(free|no) +(.*)$/.exec(line) ?? [];
    const begin = line.length - rest.length;
    if (word === 'free') return { free: shifted(begin, () => contact.read(rest)) };
    if (word === 'no') return { not: shifted(begin, () => pattern.read(rest)) };
    return condition.read(line);
  },
  print: (need) =>
    'free' in need
      ? `free ${need.free}`
      : 'not' in need
        ? `no ${pattern.print(need.not)}`
        : condition.print(need),
};

type Requirement = { position: string } | { move: string } | { mechanic: string };
export const requirement: Codec<Requirement> = {
  read(line) {
    const [kind = '', name, more] = line.split(/ +/);
    if (!name || more) throw new BookSlip(`"${line}" is no requirement; expected: position|move|mechanic ID`);
    const known = readWord(['position', 'move', 'mechanic'], 'kind of requirement', kind);
    return { [known]: shifted(kind.length + 1, () => id.read(name)) } as Requirement;
  },
  print: (need) => Object.entries(need)[0]!.join(' '),
};

/** `neck hard, wrist some`; `none`: looked at, and nothing. */
export const loads: Codec<Loads> = {
  read(line) {
    if (line === 'none') return {};
    const made: Loads = {};
    for (const { text: entry, at } of splitEntries(line)) {
      const [joint = '', load = '', more] = entry.split(/ +/);
      const known = readWord(JOINTS, 'joint', joint, at);
      if (more !== undefined)
        throw new BookSlip(`"${entry}" goes on too long; expected: joint hard|some`, at);
      if (made[known]) throw new BookSlip(`${joint} is said twice; expected it once`, at);
      made[known] = readWord(LOADS, 'load', load, at + joint.length + 1);
    }
    return made;
  },
  print: (value) =>
    Object.entries(value)
      .map(([joint, load]) => `${joint} ${load}`)
      .join(', ') || 'none',
};

export const yes: Codec<boolean> = {
  read: (word) => readWord(['yes'], 'mark', word) === 'yes',
  print: () => 'yes',
};

/** `about own|partner value ±n: why`. */
export const fit: Codec<Fit> = {
  read(line) {
    const found = /^(\S+) +(\S+) +(\S+) +([-+−]?\d): +(.+)$/su.exec(line);
    if (!found) throw new BookSlip(`"${line}" is no fit; expected: about own|partner value ±n: why`);
    const [, about = '', of = '', value = '', effect = '', why = ''] = found;
    const known = readWord(
      Object.keys(BUILD_VALUES) as (keyof typeof BUILD_VALUES)[],
      'thing about a build',
      about,
    );
    return FitSchema.parse({
      about: known,
      of: readWord(['own', 'partner'], 'side of a fit', of, line.indexOf(of, about.length)),
      value: readWord<string>(
        BUILD_VALUES[known],
        `value of ${about}`,
        value,
        line.indexOf(value, about.length + of.length),
      ),
      effect: number(-2, 2).read(effect.replace('−', '-')),
      why: unescapeText(why),
    });
  },
  print: ({ about, of, value, effect, why }) =>
    `${about} ${of} ${value} ${effect > 0 ? '+' : ''}${effect}: ${escapeText(why)}`,
};

/** Where an arrow with blanks around it stands that no backslash stands before. */
function findArrow(line: string): { at: number; length: number } | undefined {
  for (let at = 0; at < line.length; at++) {
    if (line[at] === '\\') at++;
    else {
      const [found] = /^\s(?:→|->)\s/.exec(line.slice(at, at + 4)) ?? [];
      if (found) return { at, length: found.length };
    }
  }
  return undefined;
}

/** Two texts with an arrow between them: "what goes wrong → what mends it"; the second may be left out where it may. */
export const arrow = (second: string, needed: boolean): Codec<[string, string | undefined]> => ({
  read(line) {
    const found = findArrow(line);
    if (!found && needed) throw new BookSlip(`no " → " in it; expected: … → ${second}`);
    if (!found) return [unescapeText(line), undefined];
    return [
      unescapeText(trimBlanks(line.slice(0, found.at))),
      unescapeText(line.slice(found.at + found.length).trimStart()),
    ];
  },
  // An arrow of the text itself stands behind a backslash.
  print: ([left, right]) => (right ? `${arrowless(left)} → ${escapeText(right)}` : arrowless(left)),
});
const arrowless = (left: string): string => escapeText(left).replace(/(^|\s)(→|->)(?=\s|$)/g, '$1\\$2');

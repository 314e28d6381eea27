import { OUTCOME_WORDS } from '@aftersquall/core/body';
import {
  type Answer,
  callName,
  isOutcomeWord,
  type LandingChoice,
  type Named,
  parseAnswer,
  quoteName,
} from '@aftersquall/core/formats';
import {
  allNames,
  type Exchange,
  type GuardMap,
  indexMap,
  isOutcome,
  type Landing,
  OUTCOMES,
} from '@aftersquall/core/model';
import { searchNames } from '../../../components/searchNames.ts';
import { say } from '../words.ts';

/** An answer as it is typed into a cell: "two on one 70% else knee-line 8s". */
export function answerText(map: GuardMap, exchange: Exchange): string {
  const name = (landing: Landing): string => {
    if (isOutcome(landing)) return landing.outcome;
    const word = callName(indexMap(map).position.get(landing.position)!, map.positions);
    return quoteName(word, landing.mirrored, isOutcomeWord(word));
  };
  return [
    name(exchange.to),
    `${Math.round(exchange.chance * 1e4) / 100}%`,
    exchange.otherwise && `else ${name(exchange.otherwise)}`,
    exchange.seconds !== undefined && `${exchange.seconds}s`,
  ]
    .filter(Boolean)
    .join(' ');
}

const ONLY_FIGURES = /^\s*(?:(\d+(?:[.,]\d+)?)\s*%)?\s*(?:(\d+(?:[.,]\d+)?)\s*s)?\s*$/i;

/** What is meant by figures alone over an answer that is there: "65%" is the same answer with another chance. */
export function correction(map: GuardMap, exchange: Exchange, text: string): string {
  const [, percent, seconds] = ONLY_FIGURES.exec(text) ?? [];
  if (percent === undefined && seconds === undefined) return text;
  const number = (digits: string): number => Number(digits.replace(',', '.'));
  return answerText(map, {
    ...exchange,
    ...(percent !== undefined && { chance: number(percent) / 100 }),
    ...(seconds !== undefined && { seconds: number(seconds) }),
  });
}

export interface Proposal {
  /** What goes into the text. */
  word: string;
  name: string;
  /** What it is, in a word. */
  what: string;
  landing: LandingChoice;
}

const TOKEN = /(^|\belse\s+)(new\s+)?(~?)("(?:[^"\\]|\\.)*"?|[^"%]*?)$/i;

interface TypedName {
  /** Where it begins in the text, `new` and `~` included. */
  from: number;
  typed: string;
  mirrored: boolean;
  fresh: boolean;
}

/** The name being typed at the caret. Undefined after a chance. */
export function nameAt(text: string, caret: number): TypedName | undefined {
  const found = TOKEN.exec(text.slice(0, caret));
  if (!found) return undefined;
  const [, lead = '', fresh = '', tilde = '', typed = ''] = found;
  if (/\s\d[\d.,]*\s*$/.test(typed)) return undefined;
  return {
    from: found.index + lead.length,
    typed: typed.replaceAll('"', ''),
    mirrored: tilde === '~',
    fresh: fresh !== '',
  };
}

interface Place extends Proposal {
  names: string[];
}

const outcomes: Place[] = OUTCOMES.map((outcome) => ({
  names: [OUTCOME_WORDS[outcome], outcome],
  name: OUTCOME_WORDS[outcome],
  word: outcome,
  what: 'outcome',
  landing: { outcome },
}));

const positionsOf = (map: GuardMap): Place[] =>
  map.positions.map((position) => ({
    names: [...allNames(position), position.id],
    name: position.name,
    word: quoteName(callName(position, map.positions), false, isOutcomeWord(position.name)),
    what: 'position',
    landing: { position: position.id },
  }));

/** An end may be shortened to so many letters. */
const SHORTEST_END = 4;

/** What a name may mean and, first of all, what it does mean; undefined where it means nothing, or nothing clear. */
interface Meaning {
  proposals: Proposal[];
  meant: Proposal | undefined;
}

/**
 * Positions and outcomes that a name may mean: those of just that name first, then positions of which it begins a name,
 * then positions and then outcomes that have its words. What only has its words is meant where no other position (or,
 * without one, no other outcome) does.
 */
function meaningOf(map: GuardMap, typed: string): Meaning {
  const name = typed.trim();
  const positions = positionsOf(map);
  if (name === '') return { proposals: [...outcomes, ...positions].map(bare), meant: undefined };
  const exact = [...positions, ...outcomes].filter(({ names }) =>
    names.some((other) => sameName(other, name)),
  );
  const worded = [positions, outcomes].flatMap((places) => searchNames(places, name, ({ names }) => names));
  const begun = worded.filter(
    ({ names, what }) =>
      what === 'position' && names.some((other) => other.toLowerCase().startsWith(name.toLowerCase())),
  );
  // "pass" is the end of that name before it is how a position's name begins.
  const shortened =
    name.length < SHORTEST_END ? [] : outcomes.filter(({ word }) => word.startsWith(name.toLowerCase()));
  const found = [...new Set([...exact, ...shortened, ...begun, ...worded])];
  const likely = worded.filter(({ what }) => what === (worded[0]?.what ?? ''));
  const meant = exact[0] ?? shortened[0] ?? begun[0] ?? (likely.length === 1 ? likely[0] : undefined);
  const proposed = found.map(bare);
  return {
    proposals: exact.length > 0 ? proposed : [...proposed, newPositionOf(name)],
    meant: meant && bare(meant),
  };
}

const bare = ({ names: _, ...proposal }: Place): Proposal => proposal;
const sameName = (a: string, b: string): boolean => a.toLowerCase() === b.toLowerCase();

const newPositionOf = (name: string): Proposal => ({
  word: `new ${quoteName(name)}`,
  name,
  what: 'new position',
  landing: { newPosition: name },
});

/** What may be meant by the name that is being typed, the likeliest first; a position yet to be made comes last. */
export function proposals(map: GuardMap, { typed, fresh }: Pick<TypedName, 'typed' | 'fresh'>): Proposal[] {
  if (!fresh) return meaningOf(map, typed).proposals;
  return typed.trim() === '' ? [] : [newPositionOf(typed.trim())];
}

/** The one position that has just this name, id or alias; a name in quotation marks means nothing else. */
const named = (map: GuardMap, name: string): Proposal | undefined => {
  const found = positionsOf(map).find(({ names }) => names.some((other) => sameName(other, name)));
  return found && bare(found);
};

/** What a name means where an answer leads, or why it means nothing. */
function landingFor(
  map: GuardMap,
  { text, mirrored, quoted, fresh }: Named,
): { landing: LandingChoice; name: string } | { trouble: string } {
  const side = mirrored ? { mirrored: true } : {};
  if (fresh) {
    const known = named(map, text);
    return known
      ? { trouble: say.therePositionAlreadyLeave(known.name) }
      : { landing: { newPosition: text, ...side }, name: `new position ${text}` };
  }
  const { meant, proposals: possible } = quoted
    ? { meant: named(map, text), proposals: [] }
    : meaningOf(map, text);
  if (!meant) return { trouble: unclear(text, possible) };
  const { landing, name } = meant;
  if ('outcome' in landing) return { landing, name };
  return { landing: { ...landing, ...side }, name: mirrored ? `${name}, mirrored` : name };
}

/** The first few names, and how many more there are. */
const oneOf = (names: readonly string[]): string =>
  names.length <= 4 ? names.join(' or ') : `${names.slice(0, 3).join(' or ')} or ${names.length - 3} more`;

/** Why a name means nothing: several places, or none, perhaps with a chance that lacks its sign. */
function unclear(text: string, possible: readonly Proposal[]): string {
  const known = possible.filter(({ what }) => what !== 'new position');
  if (known.length > 0)
    return `“${text}” could be ${oneOf(known.map(({ name }) => name))}: choose one with the arrows.`;
  const number = /^(.*\S)\s+(\d+(?:[.,]\d+)?)$/.exec(text);
  const asChance = number ? ` For a chance write ${number[1]} ${number[2]}%.` : '';
  return say.nothingCalledNewPosition(text, quoteName(text), asChance);
}

/** What a typed answer says, with the names of the places it leads to; or what is wrong with it. */
export function readAnswer(
  map: GuardMap,
  text: string,
): { answer: Answer; to: string; otherwise?: string } | { trouble: string } {
  const read = parseAnswer(text, map.positions.flatMap(allNames));
  if ('error' in read) return { trouble: `${capital(read.error.message)}.` };
  const { chance, seconds } = read.answer;
  const to = landingFor(map, read.answer.to);
  if ('trouble' in to) return to;
  const otherwise = read.answer.otherwise && landingFor(map, read.answer.otherwise);
  if (otherwise && 'trouble' in otherwise) return otherwise;
  return {
    answer: {
      to: to.landing,
      ...(otherwise && { otherwise: otherwise.landing }),
      ...(chance !== undefined && { chance }),
      ...(seconds !== undefined && { seconds }),
    },
    to: to.name,
    ...(otherwise && { otherwise: otherwise.name }),
  };
}

const capital = (sentence: string): string => sentence.charAt(0).toUpperCase() + sentence.slice(1);

import {
  callName,
  type Exchange,
  type GuardMap,
  indexMap,
  isOutcome,
  isOutcomeWord,
  type Landing,
  OUTCOME_WORDS,
  OUTCOMES,
  quoteName,
  type ReactionRef,
  type ReadLines,
  readLines,
} from '@aftersquall/core';
import { matchSorter } from 'match-sorter';

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

export interface Proposal {
  /** What goes into the text. */
  word: string;
  name: string;
  /** What it is, in a word. */
  what: string;
}

const TOKEN = /(^|\belse\s+)(~?)("(?:[^"\\]|\\.)*"?|[^"%]*?)$/i;

/** The name being typed at the caret: where it begins, and what there is of it. Undefined after a chance. */
export function nameAt(
  text: string,
  caret: number,
): { from: number; typed: string; mirrored: boolean } | undefined {
  const before = text.slice(0, caret);
  const found = TOKEN.exec(before);
  if (!found) return undefined;
  const [, lead = '', tilde = '', typed = ''] = found;
  if (/\s\d[\d.,]*\s*$/.test(typed)) return undefined;
  return { from: found.index + lead.length, typed: typed.replaceAll('"', ''), mirrored: tilde === '~' };
}

const outcomes = OUTCOMES.map((outcome) => ({
  id: outcome as string,
  name: OUTCOME_WORDS[outcome],
  aliases: [] as string[],
  word: outcome as string,
  what: 'outcome',
}));

/** Positions and outcomes that a name may mean, the likeliest first; last, a position of that name yet to be made. */
export function proposals(map: GuardMap, typed: string): Proposal[] {
  const positions = map.positions.map((position) => ({
    id: position.id,
    name: position.name,
    aliases: position.aliases,
    word: quoteName(callName(position, map.positions), false, isOutcomeWord(position.name)),
    what: 'position',
  }));
  const name = typed.trim();
  if (name === '') return [...outcomes, ...positions];
  const found = matchSorter([...positions, ...outcomes], name, {
    keys: ['name', 'aliases', 'id'],
    threshold: matchSorter.rankings.CONTAINS,
  });
  const exact = found.some((thing) =>
    [thing.id, thing.name, ...thing.aliases].some((other) => other.toLowerCase() === name.toLowerCase()),
  );
  const proposed = found.map(({ word, name: whole, what }): Proposal => ({ word, name: whole, what }));
  return exact ? proposed : [...proposed, { word: `"${name}"`, name, what: 'new position' }];
}

/** The text with every name that is only hinted at ("two") written out, as the first proposal reads it. */
export function writtenOut(map: GuardMap, text: string): string {
  const full = /^(\s*)(~?)([^"]*?)(\s+\d[\d.,]*\s*%.*|\s+else\s.*|\s+\d[\d.,]*\s*s\s*|\s*)$/i.exec(text);
  if (!full) return text;
  const [, lead, tilde, name, rest] = full as unknown as [string, string, string, string, string];
  const otherwise = /^(.*?\belse\s+)(~?)([^"]*?)(\s+\d[\d.,]*\s*s\s*|\s*)$/i.exec(rest);
  const tail = otherwise
    ? `${otherwise[1]}${otherwise[2]}${wordFor(map, otherwise[3]!)}${otherwise[4]}`
    : rest;
  return `${lead}${tilde}${wordFor(map, name)}${tail}`;
}

const wordFor = (map: GuardMap, typed: string): string =>
  typed.trim() === '' ? typed : (proposals(map, typed)[0]?.word ?? typed);

/** What a typed answer would do to the map; errors say what is wrong with it. */
export function readAnswer(
  map: GuardMap,
  where: { position: string; move: string; reaction: ReactionRef | 'none'; variant?: string | undefined },
  text: string,
): ReadLines {
  const met = where.reaction === 'none' ? 'none' : quoteName(where.reaction.id, where.reaction.mirrored);
  const variant = where.variant ? ` @ ${where.variant}` : '';
  return readLines(map, `${where.position}: ${where.move}${variant} | ${met} -> ${writtenOut(map, text)}`);
}

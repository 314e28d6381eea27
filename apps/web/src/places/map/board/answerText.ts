import {
  type Answer,
  callName,
  type Exchange,
  type GuardMap,
  indexMap,
  isOutcome,
  isOutcomeWord,
  type Landing,
  type LandingChoice,
  type Named,
  OUTCOME_WORDS,
  OUTCOMES,
  parseAnswer,
  quoteName,
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
  landing: LandingChoice;
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
  landing: { outcome } as LandingChoice,
}));

/** Positions and outcomes that a name may mean, the likeliest first; last, a position of that name yet to be made. */
export function proposals(map: GuardMap, typed: string): Proposal[] {
  const positions = map.positions.map((position) => ({
    id: position.id,
    name: position.name,
    aliases: position.aliases,
    word: quoteName(callName(position, map.positions), false, isOutcomeWord(position.name)),
    what: 'position',
    landing: { position: position.id } as LandingChoice,
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
  const proposed = found.map(({ id: _, aliases: __, ...proposal }): Proposal => proposal);
  return exact
    ? proposed
    : [...proposed, { word: `"${name}"`, name, what: 'new position', landing: { newPosition: name } }];
}

/** What a name means where an answer leads: the first of what is proposed for it. */
function landingFor(map: GuardMap, { text, mirrored, quoted }: Named): LandingChoice {
  const side = mirrored ? { mirrored: true } : {};
  const landing = quoted ? exactly(map, text) : proposals(map, text)[0]?.landing;
  if (!landing) return { newPosition: text, ...side };
  return 'outcome' in landing ? landing : { ...landing, ...side };
}

/** The one position that has just this name, id or alias; a name in quotation marks means nothing else. */
function exactly(map: GuardMap, name: string): LandingChoice | undefined {
  const wanted = name.toLowerCase();
  const found = map.positions.find(
    (position) =>
      position.id === name ||
      [position.name, ...position.aliases].some((word) => word.toLowerCase() === wanted),
  );
  return found && { position: found.id };
}

/** What a typed answer says, or what is wrong with it. */
export function readAnswer(map: GuardMap, text: string): { answer: Answer } | { trouble: string } {
  const read = parseAnswer(text);
  if ('error' in read) return { trouble: read.error.message };
  const { to, otherwise, chance, seconds } = read.answer;
  return {
    answer: {
      to: landingFor(map, to),
      ...(otherwise && { otherwise: landingFor(map, otherwise) }),
      ...(chance !== undefined && { chance }),
      ...(seconds !== undefined && { seconds }),
    },
  };
}

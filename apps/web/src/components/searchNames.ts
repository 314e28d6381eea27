import { matchSorter } from 'match-sorter';

/** A name as it is compared: its words, whatever stands between them. */
const wordsOf = (name: string): string => name.replace(/[^\p{L}\p{N}]+/gu, ' ').trim();

/**
 * The things that were meant by what was typed: those of just that name first, then those whose name it begins, then
 * those in whose names every typed word begins a word, in any order.
 */
export function searchNames<T>(
  things: readonly T[],
  typed: string,
  namesOf: (thing: T) => readonly string[],
): T[] {
  const sought = wordsOf(typed);
  if (sought === '') return [];
  const options = {
    keys: [(thing: T) => namesOf(thing).map(wordsOf)],
    threshold: matchSorter.rankings.WORD_STARTS_WITH,
  };
  const whole = matchSorter(things, sought, options);
  const parts = sought
    .split(' ')
    .reduce<readonly T[]>((left, word) => matchSorter(left, word, options), things);
  return [...new Set([...whole, ...parts])];
}

/**
 * As `searchNames`; where nothing has all of the words, what has most of them: a word too many ("triangle choke") still
 * finds.
 */
export function searchLoosely<T>(
  things: readonly T[],
  typed: string,
  namesOf: (thing: T) => readonly string[],
): T[] {
  const exact = searchNames(things, typed, namesOf);
  if (exact.length > 0) return exact;
  const found = new Map<T, number>();
  for (const word of new Set(wordsOf(typed).split(' ')))
    for (const thing of searchNames(things, word, namesOf)) found.set(thing, (found.get(thing) ?? 0) + 1);
  const most = Math.max(0, ...found.values());
  return [...found].flatMap(([thing, words]) => (words === most ? [thing] : []));
}

import type { Apparel } from '../model/primitives.ts';

const BARE_WORDS: readonly (readonly [RegExp, string])[] = [
  [/\btrouser (?:cuff|leg)(s?)\b/gi, 'ankle$1'],
  [/\bjacket(s?)\b/gi, 'shoulder$1'],
  [/\bsleeve hand\b/gi, 'held hand'],
  [/\b(strips?) the collar\b(?! grip)/gi, '$1 the neck grip'],
  [/\b(?:sleeve|cuff)(s?)\b/gi, 'wrist$1'],
  [/\blapels?\b/gi, 'chest'],
  [/\bcollars?\b/gi, 'neck'],
  [/\btrousers?\b/gi, 'ankles'],
  [/\bin the belt\b/gi, 'at the hip'],
  [/\b(the|their) belt\b/gi, '$1 waist'],
  // "Both trouser cuffs or ankles": one of them is enough then.
  [/\b(\w+) or \1\b/gi, '$1'],
  [/\b(a) (?=ankle)/gi, '$1n '],
];

/** The text for an apparel: without a jacket, words of cloth become what is under it. */
export const wornWords = (text: string, apparel: Apparel): string =>
  apparel === 'gi' ? text : BARE_WORDS.reduce((words, [cloth, body]) => words.replace(cloth, body), text);

import type { ReactionRef, Tendency } from '@aftersquall/core/model';
import { say } from './words.ts';

export interface Entry {
  ref: ReactionRef;
  /** As typed; nothing counts as none. */
  text: string;
}
export type Unit = 'per cent' | 'counts';

export interface Shares {
  /** What can be kept. */
  shares?: Tendency['reactions'];
  /** How many times in all, where it was counted. */
  seen?: number;
  /** What is wrong, and how to mend it. */
  trouble?: string;
  /** The same numbers taken for the whole, where they do not add up. */
  scaled?: Tendency['reactions'];
}

/** Per cents may be off by this much in all, for rounding. */
const ROUNDING = 0.5;

/** What was typed about one look, as shares that sum to one: counts always do, per cents have to. */
export function sharesOf(entries: readonly Entry[], unit: Unit): Shares {
  const numbers = entries.map(({ text }) => (text.trim() === '' ? 0 : Number(text)));
  if (numbers.some((number) => !(number >= 0))) return { trouble: say.giveNumbers0Up };
  const sum = numbers.reduce((total, number) => total + number, 0);
  if (sum === 0) return {};
  const shares = entries.map(({ ref }, i) => ({ ...ref, share: numbers[i]! / sum }));
  if (unit === 'counts') return { shares, seen: Math.round(sum) };
  if (Math.abs(sum - 100) <= ROUNDING) return { shares };
  const off = Math.round(Math.abs(sum - 100) * 10) / 10;
  return {
    trouble: `These add up to ${Math.round(sum * 10) / 10} %: ${off} % too ${sum > 100 ? 'much' : 'little'}.`,
    scaled: shares,
  };
}

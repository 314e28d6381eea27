import { type Card, createEmptyCard, fsrs, Rating } from 'ts-fsrs';

/** What has been practised on some days, as a memory model has it. */
export type Memory = Card;

/** No chance in the intervals, and days as the smallest step: the same dates give the same memory. */
const scheduler = fsrs({ enable_fuzz: false, enable_short_term: false });

/** A day as the memory model counts it: noon, so that no clock change makes another day of it. */
const noon = (date: string): Date => new Date(`${date}T12:00:00Z`);

/**
 * The memory after a practice in which it held; the first makes it. The model is `ts-fsrs`' (the free spaced-repetition scheduler).
 * @param date year-month-day, not before the last practice
 */
export function practised(memory: Memory | undefined, date: string): Memory {
  const now = noon(date);
  return scheduler.next(memory ?? createEmptyCard(now), now, Rating.Good).card;
}

/** How likely it is still there on a day, in [0, 1]; 1 on the day of practice itself. */
export function retained(memory: Memory, date: string): number {
  const now = noon(date);
  if (memory.last_review && now <= memory.last_review) return 1;
  return scheduler.get_retrievability(memory, now, false);
}

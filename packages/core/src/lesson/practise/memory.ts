import { type Card, createEmptyCard, fsrs, type Grade as Rated, Rating } from 'ts-fsrs';
import type { Grade } from '../../model/practiceRecord.ts';

/** What has been practised on some days, as a memory model has it. */
export type Memory = Card;

/** No chance in the intervals, and days as the smallest step: the same dates give the same memory. */
const scheduler = fsrs({ enable_fuzz: false, enable_short_term: false });

/** A day as the memory model counts it: noon, so that no clock change makes another day of it. */
const noon = (date: string): Date => new Date(`${date}T12:00:00Z`);

/** The coach's words as the memory model has them. */
const RATING: Record<Grade, Rated> = {
  lost: Rating.Again,
  patchy: Rating.Hard,
  held: Rating.Good,
  sharp: Rating.Easy,
};

/**
 * The memory after a practice, by how well it was there; the first makes it. The model is `ts-fsrs`' (the free spaced-repetition scheduler).
 * @param date year-month-day, not before the last practice
 */
export function practised(memory: Memory | undefined, date: string, grade: Grade = 'held'): Memory {
  const now = noon(date);
  return scheduler.next(memory ?? createEmptyCard(now), now, RATING[grade]).card;
}

/** How likely it is still there on a day, in [0, 1]; 1 on the day of practice itself. */
export function retained(memory: Memory, date: string): number {
  const now = noon(date);
  if (memory.last_review && now <= memory.last_review) return 1;
  return scheduler.get_retrievability(memory, now, false);
}

import { type Memory, practised, retained } from '../lesson/practise/memory.ts';
import type { Practice } from '../model/practice.ts';
import type { Grade } from '../model/practiceRecord.ts';

/** How well an exchange is kept, by the group or by one athlete. */
export interface Kept {
  exchange: string;
  position: string;
  move: string;
  meets: string;
  /** How likely it is still there, in [0, 1]. */
  retention: number;
  /** The last day on which it was drilled or graded, and how often it was. */
  last: string;
  times: number;
  /** The day until which it is kept to nine in ten, by the memory model. */
  due: string;
  /** The coach's last word on it, if there is one. */
  grade: Grade | undefined;
}

/**
 * What fades, the most faded first: every day on which an exchange was drilled counts as held unless the coach graded it.
 * @param date the day it is asked for, year-month-day; what came later does not count
 * @param athlete whose grades count; the group's where nobody is named
 */
export function fadingOf(practice: Practice, date: string, athlete?: string): Kept[] {
  const days = new Map<
    string,
    { words: Pick<Kept, 'exchange' | 'position' | 'move' | 'meets'>; on: Map<string, Grade> }
  >();
  const note = (
    { exchange, position, move, meets, date: day }: Practice['taught'][number] | Practice['grades'][number],
    grade: Grade | undefined,
  ) => {
    if (day > date) return;
    const known = days.get(exchange) ?? {
      words: { exchange, position, move, meets },
      on: new Map<string, Grade>(),
    };
    known.on.set(day, grade ?? known.on.get(day) ?? 'held');
    days.set(exchange, known);
  };
  for (const taught of practice.taught) note(taught, undefined);
  for (const graded of practice.grades) if (graded.athlete === athlete) note(graded, graded.grade);
  const graded = new Set(
    practice.grades.filter((one) => one.athlete === athlete).map(({ exchange }) => exchange),
  );
  const kept = [...days.values()].map(({ words, on }): Kept => {
    const order = [...on].sort(([a], [b]) => (a < b ? -1 : 1));
    let memory: Memory | undefined;
    for (const [day, grade] of order) memory = practised(memory, day, grade);
    const [last, grade] = order.at(-1)!;
    return {
      ...words,
      retention: retained(memory!, date),
      last,
      times: order.length,
      due: memory!.due.toISOString().slice(0, 10),
      grade: graded.has(words.exchange) ? grade : undefined,
    };
  });
  return kept.sort((a, b) => a.retention - b.retention || (a.exchange < b.exchange ? -1 : 1));
}

import type { ClassPlan, DocumentSummary, TaughtOn } from '@aftersquall/core';

/** A class as the list of classes has it. */
export type ClassHead = Pick<
  ClassPlan,
  'id' | 'name' | 'map' | 'minutes' | 'people' | 'apparel' | 'when' | 'lesson' | 'leftOver'
>;
/** One with a day. */
export type DatedClass = ClassHead & { when: NonNullable<ClassPlan['when']> };

export const headOf = ({ id, head }: DocumentSummary): ClassHead => ({
  ...(head as Omit<ClassHead, 'id'>),
  id,
});

export const isDated = (plan: ClassHead): plan is DatedClass => plan.when !== undefined;

/** In the order in which they are held; those without a day first. */
export const byDay = (a: ClassHead, b: ClassHead): number => {
  const [day, other] = [a, b].map(({ when }) => (when ? `${when.date} ${when.start}` : ''));
  return day! < other! ? -1 : Number(day! > other!);
};

/** What classes did for what is known. */
export const taughtIn = (classes: readonly DatedClass[]): TaughtOn[] =>
  classes.flatMap(({ when, lesson, leftOver }) => (lesson ? [{ date: when.date, lesson, leftOver }] : []));

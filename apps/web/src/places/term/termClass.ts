import type { ClassPlan, DocumentSummary } from '@aftersquall/core';

/** A class as the list of classes shows it. */
export type ClassHead = Pick<
  ClassPlan,
  'id' | 'name' | 'map' | 'minutes' | 'people' | 'apparel' | 'when' | 'lesson'
>;
/** One with a day. */
export type DatedClass = ClassHead & { when: NonNullable<ClassPlan['when']> };

export const headOf = ({ id, head }: DocumentSummary): ClassHead => ({
  ...(head as Omit<ClassHead, 'id'>),
  id,
});

export const isDated = (plan: ClassHead): plan is DatedClass => plan.when !== undefined;

/** In the order in which they are held. */
export const byDay = (a: DatedClass, b: DatedClass): number =>
  `${a.when.date} ${a.when.start}` < `${b.when.date} ${b.when.start}` ? -1 : 1;

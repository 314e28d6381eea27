import { type DocumentSummary } from '@aftersquall/core/contract';
import { type ClassPlan, LessonSchema } from '@aftersquall/core/model';
import { today } from './records/newRecord.ts';

/** A class as the list of classes has it. */
export type ClassHead = Pick<
  ClassPlan,
  'id' | 'name' | 'map' | 'minutes' | 'people' | 'apparel' | 'when' | 'lesson' | 'leftOver'
>;
/** One with a day. */
export type DatedClass = ClassHead & { when: NonNullable<ClassPlan['when']> };

/** What an older version kept of a lesson is filled up with what it did not know of yet. */
export const headOf = ({ id, head }: DocumentSummary): ClassHead => {
  const { lesson, ...rest } = head as Omit<ClassHead, 'id'>;
  return { ...rest, id, ...(lesson && { lesson: LessonSchema.parse(lesson) }) };
};

export const isDated = (plan: ClassHead): plan is DatedClass => plan.when !== undefined;

/** In the order in which they are held; those without a day first. */
export const byDay = (a: ClassHead, b: ClassHead): number => {
  const [day, other] = [a, b].map(({ when }) => (when ? `${when.date} ${when.start}` : ''));
  return day! < other! ? -1 : Number(day! > other!);
};

/** The class that comes next: the first one from today on that was not run yet. */
export const nextOf = (
  classes: readonly DatedClass[],
  isRecorded: (plan: ClassHead) => boolean,
): DatedClass | undefined => classes.find((plan) => plan.when.date >= today() && !isRecorded(plan));

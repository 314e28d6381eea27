import {
  type ClassPlan,
  type GuardMap,
  isDrilled,
  type Lesson,
  type LessonRequest,
  type planClass,
  SHIPPED_PROFILES,
} from '@aftersquall/core';

/** What a review is to be about. */
export interface Goal {
  name: string;
  exchanges: string[];
}

/** What a review or a lesson is planned from, the map left aside. */
export type ReviewRequest = Omit<Parameters<typeof planClass>[0], 'map'>;
/** Without a root the lesson is about what would help most. */
export type AskedLesson = Omit<LessonRequest, 'map' | 'root'> & { root: string | undefined };

/** What the lesson of a class was chosen with, to choose it anew. */
export const requestOf = (map: GuardMap, plan: ClassPlan, lesson: Lesson): LessonRequest => ({
  map,
  root: lesson.root,
  level: lesson.level,
  youth: lesson.youth,
  method: lesson.method,
  known: lesson.known,
  pinned: lesson.pinned,
  out: lesson.out,
  returns: lesson.returns,
  faults: lesson.faults,
  figures: lesson.figures,
  minutes: plan.minutes,
  people: plan.people,
  apparel: plan.apparel,
  changeOverSeconds: plan.changeOverSeconds,
  sides: plan.blocks.find(isDrilled)?.sides,
  rules: SHIPPED_PROFILES.find(({ id }) => id === lesson.rules),
});

import type { LessonRequest, planClass } from '@aftersquall/core';

/** What a review is to be about. */
export interface Goal {
  name: string;
  exchanges: string[];
}

/** What a review or a lesson is planned from, the map left aside. */
export type ReviewRequest = Omit<Parameters<typeof planClass>[0], 'map'>;
/** Without a root the lesson is about what would help most. */
export type AskedLesson = Omit<LessonRequest, 'map' | 'root'> & { root: string | undefined };

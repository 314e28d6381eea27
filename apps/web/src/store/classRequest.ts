import { type LessonRequest, type planClass } from '@aftersquall/core/lesson';
import { type ClassPlan, type GuardMap, indexMap, isDrilled } from '@aftersquall/core/model';
import { SHIPPED_PROFILES } from '@aftersquall/core/rules';

/** What a review is to be about. */
export interface Goal {
  name: string;
  exchanges: string[];
}

/** What a review or a lesson is planned from, the map left aside. */
export type ReviewRequest = Omit<Parameters<typeof planClass>[0], 'map'>;
/** Without a root the lesson is about what would help most. */
export type AskedLesson = Omit<LessonRequest, 'map' | 'root'> & { root: string | undefined };

/** Where the first drill of a class starts; nowhere for one without drills. */
function startOf(map: GuardMap, { blocks }: ClassPlan): string {
  const index = indexMap(map);
  const first = blocks.find(isDrilled)?.links[0]?.exchange ?? '';
  return index.move.get(index.exchange.get(first)?.move ?? '')?.position ?? '';
}

/** What a class is planned with, to choose its lesson anew or to put a block in; a review is for everybody, of anything. */
export const requestOf = (map: GuardMap, plan: ClassPlan, lesson = plan.lesson): LessonRequest => ({
  map,
  root: lesson?.root ?? startOf(map, plan),
  level: lesson?.level ?? 'expert',
  youth: lesson?.youth,
  method: lesson?.method ?? 'mixed',
  chain: lesson?.chain,
  known: lesson?.known,
  pinned: lesson?.pinned,
  out: lesson?.out,
  returns: lesson?.returns,
  faults: lesson?.faults,
  figures: lesson?.figures,
  minutes: plan.minutes,
  people: plan.people,
  apparel: plan.apparel,
  changeOverSeconds: plan.changeOverSeconds,
  sides: plan.blocks.find(isDrilled)?.sides,
  rules: SHIPPED_PROFILES.find(({ id }) => id === lesson?.rules),
});

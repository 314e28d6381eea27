import type { PlannedLesson } from '@aftersquall/core/lesson';
import { mapOn } from '@aftersquall/core/log';
import {
  CLASS_FORMAT,
  CLASS_VERSION,
  ClassSchema,
  freshId,
  type GuardMap,
  type Practice,
} from '@aftersquall/core/model';
import { useListDocumentsQuery } from '../store/api.ts';
import type { AskedLesson } from '../store/classRequest.ts';
import { createFresh } from '../store/documents/createFresh.ts';
import { useAppDispatch } from '../store/store.ts';
import { say } from '../store/words.ts';
import { thePlanner } from './planner.ts';

type Made = { id: string; next: PlannedLesson['next'] } | { trouble: string };

/** Plans a class and saves it: its id with what could come next, or why there is none, in a sentence. */
export function useMakeClass(map: GuardMap, practice: Practice | undefined) {
  const dispatch = useAppDispatch();
  const { data: classes } = useListDocumentsQuery({ params: { kind: 'class' } });
  return async ({ root: wanted, ...asked }: AskedLesson): Promise<Made> => {
    if (asked.figures && !practice) return { trouble: say.countedResultsNotLoaded };
    try {
      const planner = thePlanner();
      const on = asked.figures && practice ? mapOn(map, practice, asked.figures) : map;
      const root = wanted ?? (await planner.helpfulRoot({ ...asked, map: on }));
      const { name, lesson, blocks, leftOver, next } = await planner.planLesson({ ...asked, map: on, root });
      const taken = (classes ?? []).map(({ id }) => id);
      const { minutes, people, apparel } = asked;
      const head = { format: CLASS_FORMAT, version: CLASS_VERSION, id: freshId(name, taken), name };
      const body = { map: map.id, minutes, people, apparel, blocks, leftOver, lesson };
      const made = await dispatch(createFresh('class', ClassSchema.parse({ ...head, ...body }), taken));
      return made.refusal ? { trouble: made.refusal.message } : { id: made.id, next };
    } catch (error) {
      return { trouble: (error as Error).message };
    }
  };
}

import { type TermRequest } from '@aftersquall/core/lesson';
import { CLASS_FORMAT, CLASS_VERSION, ClassSchema, freshId } from '@aftersquall/core/model';
import { createFresh } from '../../store/documents/createFresh.ts';
import { notify } from '../../store/notices.ts';
import type { AppThunk } from '../../store/store.ts';
import type { PlanTerm } from './usePlanning.ts';
import { say } from './words.ts';

/** Plans a term and keeps a class for each of its days. */
export const keepTerm =
  (request: TermRequest, taken: readonly string[], onKept: (first: string) => void) =>
  (plan: PlanTerm): AppThunk<Promise<void>> =>
  async (dispatch) => {
    const planned = await plan(request);
    const ids = [...taken];
    const kept: string[] = [];
    for (const { date, start, minutes, name, planned: found } of planned) {
      const { lesson, blocks, leftOver } = found;
      const document = ClassSchema.parse({
        format: CLASS_FORMAT,
        version: CLASS_VERSION,
        id: freshId(`${date}-${lesson.root}`.slice(0, 70), ids),
        name,
        map: request.map.id,
        minutes,
        people: request.people,
        apparel: request.apparel,
        when: { date, start },
        blocks,
        leftOver,
        lesson,
      });
      const made = await dispatch(createFresh('class', document, ids));
      if (made.refusal) throw new Error(made.refusal.message);
      ids.push(made.id);
      kept.push(made.id);
    }
    const [first] = kept;
    if (!first) throw new Error('No class fits. Choose other themes or another level.');
    const short = request.dates.length - planned.length;
    const rest = short > 0 ? ` For ${short} more there is nothing left to teach.` : '';
    dispatch(
      notify({
        text: say.classesCalendar(kept.length, rest),
        made: kept.map((id) => ({ kind: 'class', id })),
      }),
    );
    onKept(first);
  };

import { diffDocuments } from '@aftersquall/core/documents';
import { mapOn } from '@aftersquall/core/log';
import { type GuardMap } from '@aftersquall/core/model';
import { SHIPPED_PROFILES } from '@aftersquall/core/rules';
import { type DatedClass, nextOf } from '../../store/classHead.ts';
import { selectSession } from '../../store/documents/documentsSlice.ts';
import { changeDocument, openDocument } from '../../store/documents/engine.ts';
import { notify } from '../../store/notices.ts';
import type { Held } from '../../store/records/useHeld.ts';
import type { AppThunk } from '../../store/store.ts';
import type { PlanTerm } from './usePlanning.ts';

/** Plans a class and what comes after it anew, on the days there are, by what was practised before; each class can be undone. */
export const renewTerm =
  (
    map: GuardMap,
    from: DatedClass,
    classes: readonly DatedClass[],
    { practice, held, isRecorded, faults }: Held,
  ) =>
  (plan: PlanTerm): AppThunk<Promise<void>> =>
  async (dispatch, getState) => {
    const at = classes.indexOf(from);
    const later = classes.slice(at).filter((one) => one.lesson && !isRecorded(one));
    const [next] = later;
    if (!next?.lesson) return;
    const { level, youth, rules, method, figures } = next.lesson;
    const planned = await plan({
      map: figures && practice ? mapOn(map, practice, figures) : map,
      dates: later.map(({ when, minutes }) => ({ ...when, minutes })),
      themes: [...new Set(later.map(({ lesson }) => lesson!.root))],
      held: held(classes.slice(0, at)),
      // What goes wrong now is for the class that comes now.
      faults: next === nextOf(classes, isRecorded) ? faults : [],
      figures,
      people: next.people,
      apparel: next.apparel,
      level,
      youth,
      rules: SHIPPED_PROFILES.find(({ id }) => id === rules),
      method,
    });
    const nameOf = (root: string | undefined) => map.positions.find(({ id }) => id === root)?.name;
    for (const [i, { name: named, planned: found }] of planned.entries()) {
      const address = { kind: 'class' as const, id: later[i]!.id };
      await dispatch(openDocument(address));
      const shown = selectSession('class', address.id)(getState())?.shown;
      if (!shown) continue;
      const { lesson, blocks, leftOver } = found;
      // A name that the coach has given stays.
      const name = shown.name === nameOf(shown.lesson?.root) ? named : shown.name;
      dispatch(
        changeDocument(
          address,
          diffDocuments(shown, { ...shown, name, lesson, blocks, leftOver }, 'the term planned again'),
        ),
      );
    }
    const short = later.length - planned.length;
    const rest =
      short > 0 ? ` There is nothing left to teach in the last ${short}. They stay as they were.` : '';
    dispatch(notify({ text: `Planned ${planned.length} classes again.${rest}` }));
  };

import type { LastClass } from '@aftersquall/core/lesson';
import { type Beginning, beginFrom } from '@aftersquall/core/log';
import type { GuardMap } from '@aftersquall/core/model';
import { useMemo } from 'react';
import { byDay, type ClassHead } from '../classHead.ts';
import { today } from './newRecord.ts';
import { type Held, pastOf, useHeld } from './useHeld.ts';

export interface Begun extends Pick<Held, 'practice' | 'isRecorded'> {
  /** Faults, what comes back and what is known; absent while nothing was recorded. */
  beginning: Beginning | undefined;
  /** The class before it. */
  last: LastClass | undefined;
}

/** What the next class of a map starts from, as far as records and calendar say. */
export function useBeginning(map: GuardMap, classes: readonly ClassHead[]): Begun {
  const { practice, held, isRecorded } = useHeld(map, classes);
  const beginning = useMemo(
    () =>
      practice && practice.sessions.length > 0
        ? beginFrom(map, practice, { date: today(), days: held(pastOf(classes)) })
        : undefined,
    [map, practice, held, classes],
  );
  const last = pastOf(classes)
    .toSorted(byDay)
    .findLast(({ lesson }) => lesson);
  return {
    practice,
    isRecorded,
    beginning,
    last: last?.lesson && { name: last.name, root: last.lesson.root },
  };
}

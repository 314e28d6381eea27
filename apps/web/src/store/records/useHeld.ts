import { movesOfLesson, type TaughtOn } from '@aftersquall/core/lesson';
import { seenLately, taughtFrom } from '@aftersquall/core/log';
import { type GuardMap, type Practice, type SeenFault } from '@aftersquall/core/model';
import { useMemo } from 'react';
import { useSumPracticeQuery } from '../api.ts';
import { type ClassHead, type DatedClass, isDated } from '../classHead.ts';
import { today } from './newRecord.ts';

/** What was practised, by the records where there are some and by the calendar where there are none. */
export interface Held {
  /** All that was recorded, summed up; absent while the server has not said. */
  practice: Practice | undefined;
  /** Days that are recorded, in order. */
  days: TaughtOn[];
  /** Whether a class was run and recorded. */
  isRecorded: (plan: ClassHead) => boolean;
  /** Recorded days, and classes that count as held by their plan, in order. */
  held: (planned: readonly DatedClass[]) => TaughtOn[];
  /** Those that matter today. */
  faults: SeenFault[];
}

/** What is known of practice on a map, for planners and for what they are shown by. */
export function useHeld(map: GuardMap, classes: readonly ClassHead[]): Held {
  const { data: practice } = useSumPracticeQuery(
    { params: {}, query: { map: map.id } },
    { refetchOnMountOrArgChange: true },
  );
  return useMemo(() => {
    const days = practice ? taughtFrom(map, practice, classes) : [];
    // What was begun by mistake and ended at once was not held.
    const ran = practice?.sessions.filter(({ reached }) => reached > 0) ?? [];
    const recorded = new Set(ran.map((session) => session.class));
    const isRecorded = ({ id }: ClassHead) => recorded.has(id);
    const held = (planned: readonly DatedClass[]) =>
      [...days, ...planned.filter((plan) => !isRecorded(plan)).flatMap(byPlan)].sort((a, b) =>
        a.date < b.date ? -1 : Number(a.date > b.date),
      );
    const faults = practice ? seenLately(practice, today()) : [];
    return { practice, days, isRecorded, held, faults };
  }, [map, practice, classes]);
}

const byPlan = ({ when, lesson, leftOver }: DatedClass): TaughtOn[] =>
  lesson ? [{ date: when.date, moves: movesOfLesson(lesson), leftOver }] : [];

/** Classes whose day has passed. */
export const pastOf = (classes: readonly ClassHead[]): DatedClass[] =>
  classes.filter(isDated).filter(({ when }) => when.date < today());

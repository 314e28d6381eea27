import { type Beginning, mapOn } from '@aftersquall/core/log';
import type { GuardMap, Practice } from '@aftersquall/core/model';
import { SHIPPED_PROFILES } from '@aftersquall/core/rules';
import { useMemo } from 'react';
import type { AskedLesson } from './classRequest.ts';
import { useAppSelector } from './store.ts';

/** How long a class is and for how many. */
type Numbers = Pick<AskedLesson, 'minutes' | 'people'>;

/** What a class is planned with, as “New class” has it: all but where it starts; and the map with the figures chosen there. */
export function useAskedLesson(
  map: GuardMap,
  practice: Practice | undefined,
  beginning: Beginning | undefined,
): { askedFor: (numbers: Numbers) => Omit<AskedLesson, 'root'>; figured: GuardMap } {
  const goal = useAppSelector((state) => state.classGoal);
  const { apparel, rules } = useAppSelector(({ settings }) => settings);
  const figured = useMemo(
    () => (goal.figures && practice ? mapOn(map, practice, goal.figures) : map),
    [map, practice, goal.figures],
  );
  const askedFor = (numbers: Numbers) => ({
    ...numbers,
    apparel,
    level: goal.level,
    youth: goal.youth,
    rules: SHIPPED_PROFILES.find(({ id }) => id === rules),
    method: goal.method,
    sides: goal.sides,
    figures: goal.figures,
    ...(goal.fromLog && beginning),
  });
  return { askedFor, figured };
}

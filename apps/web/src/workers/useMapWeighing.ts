import type { GuardMap } from '@aftersquall/core/model';
import { useMemo } from 'react';
import { useAppSelector } from '../store/store.ts';
import { type Question, questionOf } from './questionOf.ts';
import { useWeighing } from './useWeighing.ts';

/** The map as it is, under the apparel, the rules and the level that every place goes by, as a question to the worker. */
export function useMapQuestion(map: GuardMap): Question {
  const { apparel, rules, level } = useAppSelector(({ settings }) => settings);
  return useMemo(
    () => questionOf(map, { apparel, level, ...(rules && { rules }) }),
    [map, apparel, rules, level],
  );
}

/** The same, weighed. */
export const useMapWeighing = (map: GuardMap) => useWeighing(map, useMapQuestion(map).options);

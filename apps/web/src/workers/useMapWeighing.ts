import type { GuardMap } from '@aftersquall/core/model';
import { useMemo } from 'react';
import { useAppSelector } from '../store/store.ts';
import { questionOf } from './questionOf.ts';
import { useWeighing } from './useWeighing.ts';

/** The map weighed as it is, under the apparel, the rules and the level that every place goes by. */
export function useMapWeighing(map: GuardMap) {
  const { apparel, rules, level } = useAppSelector(({ settings }) => settings);
  const { options } = useMemo(
    () => questionOf(map, { apparel, level, ...(rules && { rules }) }),
    [map, apparel, rules, level],
  );
  return useWeighing(map, options);
}

import { BASES, type GuardMap, mapOn, type WeighedOn } from '@aftersquall/core';
import { useMemo } from 'react';
import { useSumPracticeQuery } from '../api.ts';

/** The map with the chances of the coach, of the log, or of both; as it is where nothing is asked or nothing is known. */
export function useFigures(map: GuardMap, asked: string | null): GuardMap {
  const basis = BASES.find((one) => one === asked) as WeighedOn | undefined;
  const { data } = useSumPracticeQuery({ params: {}, query: { map: map.id } }, { skip: !basis });
  return useMemo(() => (basis && data ? mapOn(map, data, basis) : map), [map, basis, data]);
}

import { type Basis, type GuardMap, mapOn } from '@aftersquall/core';
import { useMemo } from 'react';
import { useSumPracticeQuery } from '../api.ts';

/**
 * The map with the chances of the coach, of the log, or of both; as it is where nothing is asked or nothing is known.
 * @param athlete whose tries count; everybody's where nobody is named
 */
export function useFigures<M extends GuardMap | undefined>(
  map: M,
  basis: Basis | undefined,
  athlete?: string,
): M {
  const { data } = useSumPracticeQuery(
    { params: {}, query: { map: map?.id ?? '', ...(athlete && { athlete }) } },
    { skip: !basis || !map },
  );
  return useMemo(() => (map && basis && data ? (mapOn(map, data, basis) as M) : map), [map, basis, data]);
}

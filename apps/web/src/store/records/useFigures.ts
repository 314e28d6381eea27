import { mapOn } from '@aftersquall/core/log';
import { type Basis, type GuardMap } from '@aftersquall/core/model';
import { useMemo } from 'react';
import { useSumPracticeQuery } from '../api.ts';
import { say } from '../words.ts';

/** A map with the chances that were asked for, or why it has those of the map itself. */
export interface Figured<M> {
  map: M;
  /** What its chances rest on; nothing where the map's own were asked for. */
  on: Basis | 'loading' | 'unavailable' | undefined;
}

/** Why the log cannot be reckoned with, as a sentence; nothing where it can be. */
export function logMissing(on: Figured<unknown>['on']): string | undefined {
  if (on === 'loading') return say.countedResultsLoadingUntil;
  if (on === 'unavailable') return say.countedResultsDoNot;
  return undefined;
}

/**
 * The map with the chances of the coach, of the log, or of both; as it is where nothing is asked, or as long as the log
 * is not here.
 * @param athlete whose tries count; everybody's where nobody is named
 */
export function useFigures<M extends GuardMap | undefined>(
  map: M,
  basis: Basis | undefined,
  athlete?: string,
): Figured<M> {
  const { currentData, isError } = useSumPracticeQuery(
    { params: {}, query: { map: map?.id ?? '', ...(athlete && { athlete }) } },
    { skip: !basis || !map },
  );
  return useMemo(() => {
    if (!map || !basis) return { map, on: undefined };
    if (currentData) return { map: mapOn(map, currentData, basis) as M, on: basis };
    return { map, on: isError ? 'unavailable' : 'loading' };
  }, [map, basis, currentData, isError]);
}

import { useMemo } from 'react';
import { useListDocumentsQuery } from './api.ts';
import { byDay, type ClassHead, type DatedClass, headOf, isDated } from './classHead.ts';

/** The classes of a map, those with a day in order behind those without; undefined while the server has not said. */
export function useClasses(map: string): ClassHead[] | undefined {
  const { data } = useListDocumentsQuery({ params: { kind: 'class' } });
  return useMemo(
    () =>
      data
        ?.map(headOf)
        .filter((plan) => plan.map === map)
        .sort(byDay),
    [data, map],
  );
}

/** Those of them that have a day, in order. */
export function useDatedClasses(map: string): DatedClass[] | undefined {
  const classes = useClasses(map);
  return useMemo(() => classes?.filter(isDated), [classes]);
}

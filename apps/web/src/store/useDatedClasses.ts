import { useMemo } from 'react';
import { useListDocumentsQuery } from './api.ts';
import { byDay, type DatedClass, headOf, isDated } from './classHead.ts';

/** The classes of a map that have a day, in order; undefined while the server has not said. */
export function useDatedClasses(map: string): DatedClass[] | undefined {
  const { data } = useListDocumentsQuery({ params: { kind: 'class' } });
  return useMemo(
    () =>
      data
        ?.map(headOf)
        .filter((plan): plan is DatedClass => plan.map === map && isDated(plan))
        .sort(byDay),
    [data, map],
  );
}

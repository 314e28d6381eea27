import type { LastClass, Proposal } from '@aftersquall/core/lesson';
import type { GuardMap } from '@aftersquall/core/model';
import { useEffect, useState } from 'react';
import type { AskedLesson } from '../../store/classRequest.ts';
import { thePlanner } from '../../workers/planner.ts';

/** Asked for when the form has stood for so long, ms. */
const SETTLED = 300;

/** What is proposed beside what is asked for. */
interface Beside {
  last: LastClass | undefined;
  without: readonly string[];
  most: number;
}

/**
 * Classes that could be next, worked out away from the screen and again when what is asked for changes. An empty list
 * where there are none, nothing while they are being worked out or while it is not known what to ask.
 */
export function useProposals(
  map: GuardMap,
  asked: Omit<AskedLesson, 'root'> | undefined,
  beside: Beside,
): readonly Proposal[] | undefined {
  const [found, setFound] = useState<{ map: GuardMap; key: string; proposals: readonly Proposal[] }>();
  const key = JSON.stringify([asked, beside]);
  useEffect(() => {
    const [wanted, more] = JSON.parse(key) as [typeof asked, Beside];
    if (!wanted) return;
    let current = true;
    const timer = setTimeout(async () => {
      const proposals = await thePlanner()
        .proposeClasses({ ...wanted, map }, more)
        // A map that cannot be weighed, or has no moves: the form says so.
        .catch((): Proposal[] => []);
      if (current) setFound({ map, key, proposals });
    }, SETTLED);
    return () => {
      current = false;
      clearTimeout(timer);
    };
  }, [map, key]);
  return found?.map === map && found.key === key ? found.proposals : undefined;
}

import type { PlannedTermClass, TermRequest } from '@aftersquall/core/lesson';
import { proxy } from 'comlink';
import { useEffect, useRef, useState } from 'react';
import { notify } from '../../store/notices.ts';
import { type AppThunk, useAppDispatch } from '../../store/store.ts';
import { stopPlanner, thePlanner } from '../../workers/planner.ts';
import { say } from './words.ts';

/** Plans a term away from the screen. */
export type PlanTerm = (request: TermRequest) => Promise<PlannedTermClass[]>;

/** What is planned with the planner at hand, how far it is, and what stops it; nothing is changed by what was stopped. */
export function usePlanning() {
  const dispatch = useAppDispatch();
  const [progress, setProgress] = useState<{ done: number; total: number }>();
  const stopping = useRef<(() => void) | undefined>(undefined);
  const run = async (work: (plan: PlanTerm) => AppThunk<Promise<void>>) => {
    const stopped = new Promise<never>((_, refuse) => {
      stopping.current = () => refuse(new Error(say.stoppedNothingChanged));
    });
    stopped.catch(() => undefined);
    const plan: PlanTerm = (request) => {
      setProgress({ done: 0, total: request.dates.length });
      const told = proxy((done: number, total: number) => setProgress({ done, total }));
      return Promise.race([thePlanner().planTerm(request, told), stopped]);
    };
    try {
      await dispatch(work(plan));
    } catch (error) {
      dispatch(notify({ text: (error as Error).message }));
    } finally {
      stopping.current = undefined;
      setProgress(undefined);
    }
  };
  const stop = () => {
    if (!stopping.current) return;
    stopPlanner();
    stopping.current();
  };
  // What nobody waits for any more is not planned to its end.
  useEffect(() => () => void (stopping.current && stopPlanner()), []);
  return { progress, run, stop };
}

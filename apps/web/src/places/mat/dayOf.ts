import { format } from 'date-fns';
import type { Run } from './useRun.ts';

/** The day of a run by the club's clock: the one on which its first event happened. */
export const dayOf = ({ events }: Pick<Run, 'events'>): string =>
  format(new Date(events[0]?.at ?? Date.now()), 'yyyy-MM-dd');

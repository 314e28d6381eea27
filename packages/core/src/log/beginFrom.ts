import { learn, nothingLearnt, returnsOn, type TaughtOn } from '../lesson/practise/learnt.ts';
import type { ReturnOf } from '../lesson/practise/returnBlocks.ts';
import type { GuardMap } from '../model/map.ts';
import type { SeenFault } from '../model/notes.ts';
import type { Practice } from '../model/practice.ts';
import { faultsNow, faultTrends, weeksBetween } from './faultTrend.ts';

/** What the log says a class begins from. */
export interface Beginning {
  known: string[];
  returns: ReturnOf[];
  faults: SeenFault[];
}

/**
 * What a class on a day begins from: what is known by then, what comes back (carried over, then fading), and the faults
 * that matter.
 * @param days of practice, in order; those after the date do not count
 */
export function beginFrom(
  map: GuardMap,
  practice: Practice,
  { date, days }: { date: string; days: readonly TaughtOn[] },
): Beginning {
  const learnt = nothingLearnt();
  for (const day of days) if (day.date <= date) learn(learnt, day);
  return {
    known: [...learnt.memories.keys()],
    returns: returnsOn(map, learnt, date),
    faults: seenLately(practice, date),
  };
}

/** The faults that matter on a day, as a class keeps them. */
export function seenLately(practice: Practice, date: string): SeenFault[] {
  const first = practice.faults.reduce((least, { week }) => (week < least ? week : least), date);
  return faultsNow(faultTrends(practice, weeksBetween(first, date))).map(
    ({ of, id, name, fault, falsePositive }) => ({ of, id, name, fault, falsePositive }),
  );
}

import type { ClassPlan } from '../../model/classPlan.ts';
import type { Exchange } from '../../model/exchange.ts';

/** Of a class's time at most so much is for what comes back. */
const FOR_RETURNS = 0.2;
/** Reps on a side of anything that comes back. */
export const AGAIN_REPS = 2;

/** How many seconds of a class are for what comes back, faults and moves together. */
export const returnBudget = (classSeconds: number): number => classSeconds * FOR_RETURNS;

/** What there is for that which comes back. */
export interface AgainTime {
  sides: 1 | 2;
  /** Seconds. */
  budget: number;
  room: Pick<ClassPlan, 'people' | 'changeOverSeconds'>;
  /** Whether an exchange may be done in this class: by its apparel, its level, its rules. */
  may: (exchange: Exchange) => boolean;
}

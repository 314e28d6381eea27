import { type Belief, betaPosterior } from './betaPosterior.ts';
import { wilsonInterval } from './wilsonInterval.ts';

/** How often something was tried and worked. */
export interface Tally {
  worked: number;
  tried: number;
}

export interface ChanceEstimate {
  /** The coach's guess and the trials together. */
  blend: Belief;
  /** The trials by themselves; nothing where there are none. */
  logged: (Belief & Tally) | undefined;
  /** So many more trials until the blend is known to ten points either way, if they go as it says. */
  more: number;
}

/** A coach's guess weighs as much as so many trials. */
export const PRIOR_TRIALS = 6;
/** Half the width of an interval that is narrow enough. */
const ENOUGH = 0.1;
const MAX_TRIES_ASKED = 1000;

/** What a chance is, from the coach's guess and what was tried against resistance. */
export function estimateChance(
  guess: number,
  { worked, tried }: Tally,
  priorTrials = PRIOR_TRIALS,
): ChanceEstimate {
  const prior = { mean: guess, weight: priorTrials };
  const blend = betaPosterior(prior, { successes: worked, failures: tried - worked });
  const [low, high] = wilsonInterval(worked, tried);
  return {
    blend,
    logged: tried > 0 ? { mean: worked / tried, low, high, worked, tried } : undefined,
    more: trialsToGo(blend, priorTrials + tried),
  };
}

/** How many trials, going as the belief says, until it is known to ten points either way. */
function trialsToGo({ mean }: Belief, weight: number): number {
  const narrow = (more: number): boolean => {
    const { low, high } = betaPosterior({ mean, weight: weight + more }, { successes: 0, failures: 0 });
    return (high - low) / 2 <= ENOUGH;
  };
  let [few, many] = [0, MAX_TRIES_ASKED];
  if (!narrow(many)) return MAX_TRIES_ASKED;
  while (few < many) {
    const middle = Math.floor((few + many) / 2);
    if (narrow(middle)) many = middle;
    else few = middle + 1;
  }
  return few;
}

import { betaQuantile } from './incompleteBeta.ts';

/** What is believed of a chance. */
export interface Belief {
  mean: number;
  /** The middle 95 % lie between these. */
  low: number;
  high: number;
}

/** A chance of nothing or of all leaves nothing to learn: it counts as this far from the edge. */
const EDGE = 0.01;

/**
 * A belief about a chance after some trials: a Beta prior of a mean that weighs as much as so many trials, updated.
 * @throws RangeError for a mean outside [0, 1], a weight that is not positive, or negative counts
 */
export function betaPosterior(
  prior: { mean: number; weight: number },
  { successes, failures }: { successes: number; failures: number },
): Belief {
  if (!(prior.mean >= 0 && prior.mean <= 1 && prior.weight > 0 && successes >= 0 && failures >= 0))
    throw new RangeError('a prior needs a mean in [0, 1] and a positive weight, and counts are not negative');
  const mean = Math.min(1 - EDGE, Math.max(EDGE, prior.mean));
  const a = mean * prior.weight + successes;
  const b = (1 - mean) * prior.weight + failures;
  return { mean: a / (a + b), low: betaQuantile(0.025, a, b), high: betaQuantile(0.975, a, b) };
}

import { normalQuantile } from './normalQuantile.ts';

/**
 * Wilson's score interval of a share: where the true chance lies, given so many successes.
 * Source: E. B. Wilson, Journal of the American Statistical Association 22 (1927).
 * @returns [low, high] in [0, 1]; [0, 1] where nothing was tried
 * @throws RangeError for counts that cannot be
 */
export function wilsonInterval(successes: number, trials: number, confidence = 0.95): [number, number] {
  if (!(trials >= 0 && successes >= 0 && successes <= trials))
    throw new RangeError(`${successes} of ${trials} cannot be counted`);
  if (trials === 0) return [0, 1];
  const z = normalQuantile(1 - (1 - confidence) / 2);
  const share = successes / trials;
  const middle = share + (z * z) / (2 * trials);
  const half = z * Math.sqrt((share * (1 - share)) / trials + (z * z) / (4 * trials * trials));
  const scale = 1 + (z * z) / trials;
  return [Math.max(0, (middle - half) / scale), Math.min(1, (middle + half) / scale)];
}

import type { TippingProfile } from './tippingProfile.ts';

/** The directions of a profile in which top is weakest, degrees: guarded ≤ least + 0.2·|least|. */
export function weakestArc({ directions }: Pick<TippingProfile, 'directions'>): Set<number> {
  const least = Math.min(...directions.map(({ guarded }) => guarded));
  const limit = least + 0.2 * Math.abs(least) + 1e-9;
  return new Set(directions.filter(({ guarded }) => guarded <= limit).map(({ degrees }) => degrees));
}

import type { Mat } from '../../model/club.ts';

/** One lane is so wide, metres, and is gone down so fast, metres a second: common practice, no published source. */
const LANE = 1.5;
const PACE = 0.5;

/** How a movement goes down the mat: so many at a time, in so many waves, each person so many lengths. */
export interface Lanes {
  lanes: number;
  waves: number;
  lengths: number;
}

/**
 * Lanes and waves on a mat; undefined where its size is not known. A wave starts when the one before is through.
 * @param seconds that there are
 */
export function lanesOn(
  { length, width }: Pick<Mat, 'length' | 'width'>,
  people: number,
  seconds: number,
): Lanes | undefined {
  if (!length || !width) return undefined;
  const lanes = Math.max(1, Math.min(people, Math.floor(width / LANE)));
  const waves = Math.ceil(people / lanes);
  return { lanes, waves, lengths: Math.floor(seconds / ((waves * length) / PACE)) };
}

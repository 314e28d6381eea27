import { describe, expect, it } from 'vitest';
import { lanesOn } from './lanes.ts';

describe('lanes down the mat', () => {
  it.each([
    // 14 on 8 m: 5 lanes, 3 waves of 24 s on 12 m, so 72 s for each to have gone once.
    [{ length: 12, width: 8 }, 14, 180, { lanes: 5, waves: 3, lengths: 2 }],
    [{ length: 12, width: 8 }, 3, 60, { lanes: 3, waves: 1, lengths: 2 }],
    [{ length: 6, width: 1 }, 2, 60, { lanes: 1, waves: 2, lengths: 2 }],
    [{ length: 20, width: 10 }, 20, 60, { lanes: 6, waves: 4, lengths: 0 }],
  ])('%j, %i people, %i s', (mat, people, seconds, lanes) => {
    expect(lanesOn(mat, people, seconds)).toEqual(lanes);
  });

  it('are not known where the mat is not', () => {
    expect(lanesOn({ length: 12 }, 14, 180)).toBeUndefined();
  });
});

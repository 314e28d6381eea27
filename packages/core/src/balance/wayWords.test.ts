import { describe, expect, it } from 'vitest';
import { arcWords, wayWords } from './wayWords.ts';

describe('a direction on the mat', () => {
  it('is said in words, all the way round', () => {
    expect([0, 44, 90, 181, 270, 350].map((degrees) => wayWords(degrees))).toEqual([
      "top's front",
      "top's front right",
      "top's right",
      "top's back",
      "top's left",
      "top's front",
    ]);
    expect(wayWords(60, (contact) => contact === 'handR')).toBe("top's front right, over the trapped arm");
    expect(wayWords(300, (contact) => contact === 'handR')).toBe("top's front left");
  });

  it('is one arc where neighbours are, also across the front', () => {
    expect(arcWords([345, 0, 15, 180])).toBe("top's back (180°); top's front (345–15°)");
  });
});

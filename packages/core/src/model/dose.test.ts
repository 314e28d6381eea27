import { describe, expect, it } from 'vitest';
import { doseSeconds } from './dose.ts';

describe('how long a dose takes', () => {
  it.each([
    ['8', 24],
    ['6 a side', 36],
    ['2 × 6', 36],
    ['2 × 8 a side; then pair', 96],
    ['6 slow an arm', 36],
    ['6 each', 36],
    ['3 × 30 s', 90],
    ['2 × 30 s each', 120],
    ['5, slow', 15],
  ])('%s', (dose, seconds) => expect(doseSeconds(dose)).toBe(seconds));

  it.each([
    '2 lengths',
    'one length forward, one back',
    'until it is easy',
    '',
  ])('is not said by %j', (dose) => expect(doseSeconds(dose)).toBeUndefined());
});

import fc from 'fast-check';
import jstat from 'jstat';
import { describe, expect, it } from 'vitest';
import { betaPosterior } from './betaPosterior.ts';
import { estimateChance } from './estimateChance.ts';
import { betaQuantile, incompleteBeta } from './incompleteBeta.ts';
import { normalQuantile } from './normalQuantile.ts';
import { wilsonInterval } from './wilsonInterval.ts';

describe("Wilson's interval", () => {
  // R. G. Newcombe, Statistics in Medicine 17 (1998), table I.
  it.each([
    [81, 263, 0.2553, 0.3662],
    [15, 148, 0.0624, 0.1605],
    [0, 20, 0, 0.1611],
    [1, 29, 0.0061, 0.1718],
  ])('of %i in %i is the one that is printed', (successes, trials, low, high) => {
    const [least, most] = wilsonInterval(successes, trials);
    expect(least).toBeCloseTo(low, 4);
    expect(most).toBeCloseTo(high, 4);
  });

  it('says nothing of what was never tried, and refuses what cannot be counted', () => {
    expect(wilsonInterval(0, 0)).toEqual([0, 1]);
    expect(() => wilsonInterval(3, 2)).toThrow(RangeError);
  });
});

describe('quantiles', () => {
  it('of the normal distribution are those of tables and of jstat', () => {
    expect(normalQuantile(0.975)).toBeCloseTo(1.959964, 6);
    for (let share = 0.001; share < 1; share += 0.037)
      expect(normalQuantile(share)).toBeCloseTo(jstat.normal.inv(share, 0, 1), 6);
  });

  it('of beta distributions are those of jstat', () => {
    const shape = fc.double({ min: 0.3, max: 60, noNaN: true });
    fc.assert(
      fc.property(shape, shape, fc.double({ min: 0.01, max: 0.99, noNaN: true }), (a, b, share) => {
        // jstat stops at seven digits; turned round, ours is the same to twelve.
        expect(incompleteBeta(share, a, b)).toBeCloseTo(jstat.ibeta(share, a, b), 6);
        expect(incompleteBeta(share, a, b)).toBeCloseTo(1 - incompleteBeta(1 - share, b, a), 11);
        expect(incompleteBeta(betaQuantile(share, a, b), a, b)).toBeCloseTo(share, 8);
      }),
    );
    expect(betaQuantile(0.5, 1, 1)).toBeCloseTo(0.5, 12);
  });
});

describe('a chance from guess and trials', () => {
  it('is Beta(a + successes, b + failures)', () => {
    const { mean, low, high } = betaPosterior({ mean: 0.5, weight: 6 }, { successes: 9, failures: 3 });
    expect(mean).toBeCloseTo(12 / 18, 12);
    expect(low).toBeCloseTo(jstat.beta.inv(0.025, 12, 6), 6);
    expect(high).toBeCloseTo(jstat.beta.inv(0.975, 12, 6), 6);
    expect(() => betaPosterior({ mean: 2, weight: 6 }, { successes: 0, failures: 0 })).toThrow(RangeError);
  });

  it('is the guess while nothing was tried, and what was tried once that is much', () => {
    const none = estimateChance(0.4, { worked: 0, tried: 0 });
    expect(none.blend.mean).toBeCloseTo(0.4, 12);
    expect(none.logged).toBeUndefined();
    expect(estimateChance(0.4, { worked: 900, tried: 1000 }).blend.mean).toBeCloseTo(0.9, 2);
  });

  it('lies between the two, and is known better the more was tried', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 99 }), fc.nat(40), fc.nat(40), (percent, worked, failed) => {
        const tried = worked + failed;
        const { blend, logged, more } = estimateChance(percent / 100, { worked, tried });
        if (logged) {
          const ends = [percent / 100, logged.mean];
          expect(blend.mean).toBeGreaterThanOrEqual(Math.min(...ends) - 1e-9);
          expect(blend.mean).toBeLessThanOrEqual(Math.max(...ends) + 1e-9);
        }
        const half = (blend.high - blend.low) / 2;
        expect(more === 0).toBe(half <= 0.1);
      }),
    );
  });

  it('needs as many more trials as it says', () => {
    const { more } = estimateChance(0.5, { worked: 0, tried: 0 });
    const after = (extra: number) => {
      const { low, high } = betaPosterior({ mean: 0.5, weight: 6 + extra }, { successes: 0, failures: 0 });
      return (high - low) / 2;
    };
    expect(after(more)).toBeLessThanOrEqual(0.1);
    expect(after(more - 1)).toBeGreaterThan(0.1);
  });
});

import { describe, expect, it } from 'vitest';
import { pointsText, signedPoints } from './pointsText.ts';

describe('points in writing', () => {
  it.each([
    [0.874, '0.87', '+0.87'],
    [-0.966, '−0.97', '−0.97'],
    [0.004, '0.00', '0.00'],
    [-0.004, '0.00', '0.00'],
    [0, '0.00', '0.00'],
    [12, '12.00', '+12.00'],
  ])('%d is %s, and with its sign %s', (points, text, signed) => {
    expect(pointsText(points)).toBe(text);
    expect(signedPoints(points)).toBe(signed);
  });

  it('have as many decimals as asked for', () => {
    expect([pointsText(-0.0006, 3), signedPoints(0.13, 3)]).toEqual(['−0.001', '+0.130']);
  });
});

import { mirror } from '@aftersquall/core/body';
import { CONTACTS, FACET_NAMES, PARTS, type Target } from '@aftersquall/core/model';
import { describe, expect, it } from 'vitest';
import {
  contactAt,
  facetsIn,
  jointAt,
  PLAN,
  partsIn,
  REGIONS,
  regionAt,
  regionOf,
  targetAt,
} from './geometry.ts';

const turned = ([x, y]: [number, number]) => [PLAN.width - x, y];

describe('the two-body plan', () => {
  it('is seen with the eyes of bottom: our left is left, and so is the right of top, who faces us', () => {
    expect(contactAt('own', 'handL')[0]).toBeLessThan(160);
    expect(contactAt('top', 'handR')[0]).toBeLessThan(160);
    // A cross grip crosses the picture, a same-side grip does not.
    const sleeve = targetAt({ of: 'top', part: 'sleeve', side: 'R', at: 'cuff' })!;
    expect(contactAt('own', 'handR')[0]).toBeGreaterThan(160);
    expect(sleeve[0]).toBeLessThan(160);
  });

  it('turns over with the mirror, limb by limb and target by target', () => {
    for (const body of ['top', 'own'] as const) {
      for (const contact of CONTACTS.filter((c) => /[LR]$/.test(c)))
        expect(contactAt(body, mirror('contact', contact))).toEqual(turned(contactAt(body, contact)));
    }
    for (const part of PARTS.filter((p) => p !== 'mat')) {
      for (const side of ['L', 'R'] as const) {
        const target: Target = { of: 'top', part, side };
        const [x, y] = targetAt(mirror('target', target))!;
        const [turnedX, turnedY] = turned(targetAt(target)!) as [number, number];
        expect(x, part).toBeCloseTo(turnedX);
        expect(y, part).toBeCloseTo(turnedY);
      }
    }
  });

  it('has a place for every part, inside the picture, and none for the mat', () => {
    for (const of of ['top', 'own'] as const) {
      for (const region of REGIONS) {
        for (const choice of partsIn(region)) {
          const [x, y] = targetAt({ of, ...choice })!;
          expect(x > 0 && x < PLAN.width && y > 0 && y < PLAN.height, JSON.stringify(choice)).toBe(true);
        }
      }
    }
    expect(targetAt({ of: 'mat', part: 'mat', side: 'C' })).toBeUndefined();
    const offered = new Set(REGIONS.flatMap((region) => partsIn(region).map(({ part }) => part)));
    expect([...PARTS].filter((part) => part !== 'mat' && !offered.has(part))).toEqual([]);
  });

  it('shows every sign in one region of one body', () => {
    for (const facet of FACET_NAMES) {
      const { body, region } = regionOf(facet);
      expect(facetsIn(body, region), facet).toContain(facet);
    }
    expect(regionAt('armR')).toBe('armR');
    expect(regionAt('handL')).toBe('armL');
    expect(regionAt('hips')).toBe('trunk');
    expect(jointAt('top', 'L', 'elbow')[0]).toBeGreaterThan(160);
  });
});

import { describe, expect, it } from 'vitest';
import { HAZARD_TAGS } from '../model/hazards.ts';
import { RulesProfileSchema } from '../model/rulesProfile.ts';
import { legality } from './legality.ts';
import { SHIPPED_PROFILES } from './shippedProfiles.ts';

const profile = (id: string) => SHIPPED_PROFILES.find((known) => known.id === id)!;

describe('legality', () => {
  it('bars, warns of a referee, or lets pass, with the reason', () => {
    expect(legality([], profile('novice-gi'))).toEqual({ legal: true, risk: false });
    expect(legality(['heel-hook'], undefined)).toEqual({ legal: true, risk: false });
    expect(legality(['strangle', 'heel-hook'], profile('novice-gi'))).toEqual({
      legal: false,
      risk: false,
      why: 'heel hook is barred under Novice, gi',
    });
    expect(legality(['straight-ankle'], profile('novice-gi'))).toMatchObject({ legal: true, risk: true });
  });
});

describe('the shipped profiles', () => {
  it('are valid, neutral in name, and never both bar and warn', () => {
    for (const shipped of SHIPPED_PROFILES) {
      expect(RulesProfileSchema.parse(shipped)).toEqual(shipped);
      expect(shipped.barred.filter((tag) => shipped.refereeRisk.includes(tag))).toEqual([]);
      expect(shipped.name).not.toMatch(/federation|IBJJF|league/i);
    }
    expect(new Set(SHIPPED_PROFILES.map(({ id }) => id)).size).toBe(SHIPPED_PROFILES.length);
    expect(new Set(SHIPPED_PROFILES.flatMap(({ barred }) => barred)).size).toBeLessThan(HAZARD_TAGS.length);
  });

  it('score as the federation rule book does', () => {
    // IBJJF rule book, from memory: takedown 2, sweep 2, knee on belly 2, guard pass 3, mount 4, back 4.
    for (const id of ['novice-gi', 'intermediate-gi', 'expert-gi', 'expert-no-gi']) {
      expect(profile(id).points).toMatchObject({
        takedown: 2,
        sweep: 2,
        'knee-on-belly': 2,
        pass: 3,
        mount: 4,
        back: 4,
      });
    }
    // Common practice, no published source: a sweep that settles in mount is 6 in one movement.
    const { sweep, mount } = profile('novice-gi').points;
    expect(sweep + mount).toBe(6);
    expect(Object.values(profile('submission-only').points).every((points) => points === 0)).toBe(true);
  });

  it('bar leg attacks as the federation rule book does', () => {
    // IBJJF rule book, from memory: heel hooks and knee reaping barred with the gi at every level, allowed without
    // it to adult brown and black belts since 2021; straight ankle locks from adult white belt; knee bars, toe
    // holds and calf slicers for adult brown and black belts.
    for (const shipped of SHIPPED_PROFILES.filter(({ apparel }) => apparel === 'gi')) {
      expect(shipped.barred).toEqual(expect.arrayContaining(['heel-hook', 'knee-reap']));
    }
    expect(legality(['heel-hook'], profile('expert-no-gi')).legal).toBe(true);
    expect(legality(['straight-ankle'], profile('novice-gi')).legal).toBe(true);
    for (const tag of ['knee-bar', 'toe-hold', 'calf-slicer'] as const) {
      expect(legality([tag], profile('novice-gi')).legal).toBe(false);
      expect(legality([tag], profile('intermediate-gi')).legal).toBe(false);
      expect(legality([tag], profile('expert-gi')).legal).toBe(true);
    }
  });

  it('keep joint attacks on the shoulder and the straight ankle away from the young', () => {
    for (const tag of ['straight-ankle', 'shoulder-lock', 'heel-hook', 'neck-crank'] as const) {
      expect(legality([tag], profile('youth-gi')).legal).toBe(false);
    }
  });
});

import { describe, expect, it } from 'vitest';
import { barredTags, isLegalForTop, legality } from './legality.ts';
import { SHIPPED_PROFILES } from './shippedProfiles.ts';

describe('what rules bar', () => {
  const profile = SHIPPED_PROFILES.find(({ barred }) => barred.includes('slam'))!;

  it('is never bottom’s move for what top may do about it: a triangle is not a slam', () => {
    expect(profile).toBeDefined();
    expect(legality(['strangle', 'slam'], { ...profile, barred: ['slam'] })).toMatchObject({ legal: true });
    expect(barredTags(['slam', 'jump'], { barred: ['slam', 'jump'] })).toEqual([]);
  });

  it('is what bottom attacks with', () => {
    expect(barredTags(['heel-hook', 'slam'], { barred: ['heel-hook', 'slam'] })).toEqual(['heel-hook']);
    expect(legality(['heel-hook'], { ...profile, barred: ['heel-hook'] })).toMatchObject({ legal: false });
  });

  it('is top’s own act, too', () => {
    expect(isLegalForTop({ hazards: ['slam'] }, { barred: ['slam'] })).toBe(false);
    expect(isLegalForTop({ hazards: ['slam'] }, undefined)).toBe(true);
    expect(isLegalForTop({}, { barred: ['slam'] })).toBe(true);
  });
});

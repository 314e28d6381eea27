import { readFileSync } from 'node:fs';
import { parseMapFile } from '@aftersquall/core/formats';
import { reactionKey } from '@aftersquall/core/model';
import { describe, expect, it } from 'vitest';
import { landingChoices, landingOf, landingValue, reactionChoices, reactionOf } from './landingChoices.ts';

const demo = parseMapFile(
  readFileSync(new URL('../../../../../testing/club/kelpwick.map.json', import.meta.url), 'utf8'),
);

describe('where an exchange leads, as the value of a select', () => {
  it('goes there and back for every exchange of the demo, and is among the choices', () => {
    const offered = new Set(landingChoices(demo).map(({ value }) => value));
    for (const { to, otherwise } of demo.exchanges)
      for (const landing of [to, otherwise]) {
        if (!landing) continue;
        expect(landingOf(landingValue(landing))).toEqual(landing);
        expect(offered).toContain(landingValue(landing));
      }
    expect(landingValue(undefined)).toBe('');
    expect(landingOf('')).toBeUndefined();
  });

  it('does so for what top does, on either side and for nothing at all', () => {
    const offered = new Set(reactionChoices(demo).map(({ value }) => value));
    for (const { reaction } of demo.exchanges) {
      expect(reactionOf(reactionKey(reaction))).toEqual(reaction);
      if (reaction !== 'none') expect(offered).toContain(reactionKey(reaction));
    }
    expect(reactionOf('~strip-collar')).toEqual({ id: 'strip-collar', mirrored: true });
    expect(offered.size).toBe(2 * demo.reactions.length);
  });
});

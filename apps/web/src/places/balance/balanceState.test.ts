import { readFileSync } from 'node:fs';
import { weakestArc } from '@aftersquall/core/balance';
import { parseMapFile } from '@aftersquall/core/formats';
import { describe, expect, it } from 'vitest';
import { profileOf, STARTING, stateOfSweep } from './balanceState.ts';

const demo = parseMapFile(
  readFileSync(new URL('../../../../../testing/club/kelpwick.map.json', import.meta.url), 'utf8'),
);
const move = (id: string) => demo.moves.find((each) => each.id === id)!;

describe('what is set on the mat', () => {
  it('is the sweep’s: its direction, the posts its holds take', () => {
    const state = stateOfSweep(demo, move('over-under-sweep'), 'none', STARTING);
    expect(state.degrees).toBe(move('over-under-sweep').direction);
    expect(Object.values(state.posts)).toContain('blocked');
    expect(state).toMatchObject({ stature: STARTING.stature, mass: STARTING.mass, pushAt: 'belt' });
  });

  it('changes with what top did', () => {
    const sweep = move('over-under-sweep');
    const quiet = stateOfSweep(demo, sweep, 'none', STARTING);
    const changed = demo.exchanges
      .filter(({ move: id, reaction }) => id === sweep.id && reaction !== 'none')
      .map(({ reaction }) => stateOfSweep(demo, sweep, reaction, STARTING))
      .filter((state) => JSON.stringify(state) !== JSON.stringify(quiet));
    expect(changed.length).toBeGreaterThan(0);
  });

  it('has every fifteenth degree and the one looked at', () => {
    const { profile, pushHeight } = profileOf({ ...STARTING, degrees: 52 });
    expect(profile.directions.map(({ degrees }) => degrees)).toContain(52);
    expect(profile.directions).toHaveLength(25);
    expect(profileOf(STARTING).profile.directions).toHaveLength(24);
    expect(pushHeight).toBeGreaterThan(0.1);
    const heights = (['knees', 'belt', 'shoulders'] as const).map(
      (pushAt) => profileOf({ ...STARTING, stance: 'standing', pushAt }).pushHeight,
    );
    expect(heights).toEqual([...heights].sort((a, b) => a - b));
  });

  it('is never steadier for a post taken away, nor weaker for one put down', () => {
    const guarded = (posts: (typeof STARTING)['posts']) =>
      profileOf({ ...STARTING, posts }).profile.directions.map((way) => way.guarded);
    const free = guarded({});
    const blocked = guarded({ handR: 'blocked', footR: 'blocked' });
    const added = guarded({ handR: 'added' });
    for (const [i, margin] of free.entries()) {
      expect(blocked[i]!).toBeLessThanOrEqual(margin + 1e-9);
      expect(added[i]!).toBeGreaterThanOrEqual(margin - 1e-9);
    }
    expect(blocked.some((margin, i) => margin < free[i]! - 1e-6)).toBe(true);
  });

  it('marks the weakest directions, the least among them', () => {
    const { profile } = profileOf(STARTING);
    const arc = weakestArc(profile);
    const least = profile.directions.reduce((a, b) => (b.guarded < a.guarded ? b : a));
    expect(arc).toContain(least.degrees);
    expect(arc.size).toBeLessThan(profile.directions.length);
  });
});

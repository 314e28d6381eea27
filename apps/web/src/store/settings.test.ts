import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { keepSettings, setApparel, setLevel, setRules, settings } from './settings.ts';

let kept: string | null;
beforeEach(() => {
  kept = null;
  vi.stubGlobal('localStorage', {
    getItem: () => kept,
    setItem: (_: string, value: string) => {
      kept = value;
    },
  });
});
afterEach(() => vi.unstubAllGlobals());
const fresh = () => settings(undefined, { type: 'start' });

describe('settings', () => {
  it('begin in a jacket, without rules, at club level, as light or dark as the system', () => {
    expect(fresh()).toMatchObject({
      apparel: 'gi',
      rules: '',
      level: { top: 'club' },
      builds: {},
      putAway: [],
    });
    expect(fresh().theme).toBeUndefined();
  });

  it('are there again on the next visit', () => {
    const level = { top: 'sharp', bottom: 'like the opponent' } as const;
    const chosen = [setApparel('no-gi'), setRules('club-room'), setLevel(level)];
    keepSettings(chosen.reduce(settings, fresh()));
    expect(fresh()).toMatchObject({ apparel: 'no-gi', rules: 'club-room', level });
  });

  it('begin anew where what was kept cannot be read, and have what an older visit did not know', () => {
    kept = '{"theme": "dar';
    expect(fresh()).toMatchObject({ putAway: [] });
    kept = '{"theme": "dark"}';
    expect(fresh()).toMatchObject({ theme: 'dark', apparel: 'gi', builds: {} });
  });
});

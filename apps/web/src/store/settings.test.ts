import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { keepSettings, setApparel, setRules, settings } from './settings.ts';

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
  it('begin in a jacket, without rules, as light or dark as the system', () => {
    expect(fresh()).toMatchObject({ apparel: 'gi', rules: '', builds: {}, putAway: [] });
    expect(fresh().theme).toBeUndefined();
  });

  it('are there again on the next visit', () => {
    keepSettings(settings(settings(fresh(), setApparel('no-gi')), setRules('club-room')));
    expect(fresh()).toMatchObject({ apparel: 'no-gi', rules: 'club-room' });
  });

  it('begin anew where what was kept cannot be read, and have what an older visit did not know', () => {
    kept = '{"theme": "dar';
    expect(fresh()).toMatchObject({ putAway: [] });
    kept = '{"theme": "dark"}';
    expect(fresh()).toMatchObject({ theme: 'dark', apparel: 'gi', builds: {} });
  });
});

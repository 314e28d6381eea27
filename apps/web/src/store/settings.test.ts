import 'fake-indexeddb/auto';
import { configureStore } from '@reduxjs/toolkit';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { createDevice, type Device } from '../device/device.ts';
import {
  keepSettings,
  putAway,
  setApparel,
  setCoach,
  setLevel,
  setTheme,
  settings,
  settingsOn,
  takeSettings,
} from './settings.ts';

let small: Map<string, string>;
beforeEach(() => {
  small = new Map();
  vi.stubGlobal('localStorage', {
    getItem: (key: string) => small.get(key) ?? null,
    setItem: (key: string, value: string) => small.set(key, value),
  });
});
afterEach(() => vi.unstubAllGlobals());

let devices = 0;
/** A tab on a device: its store, with the settings that the device has. */
async function tabOn(name: string) {
  const device: Device = createDevice(name);
  await device.cells.read();
  const store = configureStore({
    reducer: { settings },
    middleware: (defaults) => defaults().prepend(keepSettings(device.cells)),
  });
  store.dispatch(takeSettings(settingsOn(device.cells)));
  return {
    store,
    /** Until all that was set is on disk. */
    done: () => device.db.inTurn(async () => undefined),
    settings: () => store.getState().settings,
  };
}

describe('settings', () => {
  it('begin in a jacket, without rules, at club level, as light or dark as the system', () => {
    const fresh = settings(undefined, { type: 'start' });
    expect(fresh).toMatchObject({
      apparel: 'gi',
      rules: '',
      level: { top: 'club' },
      builds: {},
      putAway: [],
    });
    expect(fresh.theme).toBeUndefined();
  });

  it('are there again on the next visit, the theme before anything else', async () => {
    const name = `settings-${devices++}`;
    const before = await tabOn(name);
    const level = { top: 'sharp', bottom: 'like the opponent' } as const;
    before.store.dispatch(setApparel('no-gi'));
    before.store.dispatch(setLevel(level));
    before.store.dispatch(setTheme('dark'));
    await before.done();
    expect((await tabOn(name)).settings()).toMatchObject({
      apparel: 'no-gi',
      level,
      theme: 'dark',
      rules: '',
    });
    expect(settings(undefined, { type: 'start' }).theme).toBe('dark');
  });

  it('of one tab are not written over by what another tab does', async () => {
    const name = `settings-${devices++}`;
    const [one, two] = [await tabOn(name), await tabOn(name)];
    one.store.dispatch(setCoach('Coach Tern'));
    await one.done();
    // The other tab was opened before, and knows nothing of the name.
    two.store.dispatch(putAway('hint'));
    two.store.dispatch(setApparel('no-gi'));
    await two.done();
    expect((await tabOn(name)).settings()).toMatchObject({
      coach: 'Coach Tern',
      apparel: 'no-gi',
      putAway: ['hint'],
    });
  });
});

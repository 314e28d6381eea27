import type { Apparel, Builds } from '@aftersquall/core';
import { createSlice, type PayloadAction } from '@reduxjs/toolkit';

interface Settings {
  theme: 'light' | 'dark';
  apparel: Apparel;
  rules: string;
  /** Who makes the changes, for the history. */
  coach: string;
  /** Builds of the two who are read about, as far as they are known. */
  builds: Builds;
  /** The map that was open last. */
  lastMap?: string | undefined;
}

const KEY = 'aftersquall.settings';
const defaults: Settings = { theme: 'light', apparel: 'gi', rules: '', coach: '', builds: {} };

function stored(): Settings {
  try {
    return { ...defaults, ...JSON.parse(localStorage.getItem(KEY) ?? '{}') };
  } catch {
    return defaults;
  }
}

const slice = createSlice({
  name: 'settings',
  initialState: stored,
  reducers: {
    setTheme(settings, { payload }: PayloadAction<Settings['theme']>) {
      settings.theme = payload;
    },
    setApparel(settings, { payload }: PayloadAction<Apparel>) {
      settings.apparel = payload;
    },
    setBuilds(settings, { payload }: PayloadAction<Builds>) {
      settings.builds = payload;
    },
    setCoach(settings, { payload }: PayloadAction<string>) {
      settings.coach = payload;
    },
    showMap(settings, { payload }: PayloadAction<string>) {
      settings.lastMap = payload;
    },
    setRules(settings, { payload }: PayloadAction<string>) {
      settings.rules = payload;
    },
  },
});

export const settings = slice.reducer;
export const { setTheme, setApparel, setBuilds, setCoach, setRules, showMap } = slice.actions;

/** Keeps the settings for the next visit. */
export function keepSettings(value: Settings): void {
  localStorage.setItem(KEY, JSON.stringify(value));
}

import type { Apparel, Builds } from '@aftersquall/core';
import { createSlice, type PayloadAction } from '@reduxjs/toolkit';

export type Theme = 'light' | 'dark';

interface Settings {
  /** Undefined until one is chosen: then it is the system's. */
  theme?: Theme | undefined;
  apparel: Apparel;
  rules: string;
  /** Who makes the changes, for the history. */
  coach: string;
  /** Builds of the two who are read about, as far as they are known. */
  builds: Builds;
  /** Explanations that were read and put away. */
  putAway: string[];
  /** The map that was open last. */
  lastMap?: string | undefined;
}

const KEY = 'aftersquall.settings';
const defaults: Settings = { apparel: 'gi', rules: '', coach: '', builds: {}, putAway: [] };

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
    setTheme(settings, { payload }: PayloadAction<Theme>) {
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
    putAway(settings, { payload }: PayloadAction<string>) {
      settings.putAway = [...new Set([...settings.putAway, payload])];
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
export const { setTheme, setApparel, setBuilds, setCoach, setRules, putAway, showMap } = slice.actions;

/** Keeps the settings for the next visit. */
export function keepSettings(value: Settings): void {
  localStorage.setItem(KEY, JSON.stringify(value));
}

import { type Apparel, type Builds, CLUB_LEVEL, type PlayLevel } from '@aftersquall/core';
import { createSlice, type PayloadAction } from '@reduxjs/toolkit';

export type Theme = 'light' | 'dark';
/** How light it is where the class is run: ink on paper, or paper on ink. */
type Hall = 'dim' | 'bright';

interface Settings {
  /** Undefined until one is chosen: then it is the system's. */
  theme?: Theme | undefined;
  hall: Hall;
  apparel: Apparel;
  rules: string;
  /** Between whom a round is that is weighed. */
  level: PlayLevel;
  /** Who makes the changes, for the history. */
  coach: string;
  /** Builds of the two who are read about, as far as they are known. */
  builds: Builds;
  /** Explanations that were read and put away. */
  putAway: string[];
  /** Positions that were read lately, the last one first. */
  lately: string[];
  /** The map that was open last. */
  lastMap?: string | undefined;
}

const KEY = 'aftersquall.settings';
/** So many are remembered. */
const LATELY = 7;
const defaults: Settings = {
  hall: 'dim',
  apparel: 'gi',
  rules: '',
  level: CLUB_LEVEL,
  coach: '',
  builds: {},
  putAway: [],
  lately: [],
};

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
    setHall(settings, { payload }: PayloadAction<Hall>) {
      settings.hall = payload;
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
    setLevel(settings, { payload }: PayloadAction<PlayLevel>) {
      settings.level = payload;
    },
    putAway(settings, { payload }: PayloadAction<string>) {
      settings.putAway = [...new Set([...settings.putAway, payload])];
    },
    readAt(settings, { payload }: PayloadAction<string>) {
      settings.lately = [payload, ...settings.lately.filter((id) => id !== payload)].slice(0, LATELY);
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
export const {
  setTheme,
  setHall,
  setApparel,
  setBuilds,
  setCoach,
  setLevel,
  setRules,
  putAway,
  readAt,
  showMap,
} = slice.actions;

/** Keeps the settings for the next visit. */
export function keepSettings(value: Settings): void {
  localStorage.setItem(KEY, JSON.stringify(value));
}

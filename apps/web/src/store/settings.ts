import { type Apparel, CLUB_LEVEL, type PlayLevel } from '@aftersquall/core/model';
import { type Builds } from '@aftersquall/core/read';
import { createListenerMiddleware, createSlice, type Middleware, type PayloadAction } from '@reduxjs/toolkit';
import type { Cells } from '../device/cells.ts';

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

/** The theme alone is in the browser's small store: it is wanted before the first paint. */
const THEME = 'aftersquall.theme';
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

function themeKept(): Theme | undefined {
  const kept = typeof localStorage === 'undefined' ? undefined : localStorage.getItem(THEME);
  return kept === 'dark' || kept === 'light' ? kept : undefined;
}

const slice = createSlice({
  name: 'settings',
  initialState: (): Settings => ({ ...defaults, theme: themeKept() }),
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
    /** What the device kept, or another tab has set just now. */
    takeSettings: (settings, { payload }: PayloadAction<Partial<Settings>>) => ({ ...settings, ...payload }),
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
  takeSettings,
} = slice.actions;

const isKey = (key: string): key is keyof Settings => key in defaults || key === 'theme' || key === 'lastMap';

/** What the device keeps of the settings; what it does not know of stays as it begins. */
export function settingsOn(cells: Cells): Partial<Settings> {
  const keys = [...Object.keys(defaults), 'lastMap'];
  return Object.fromEntries(
    keys.flatMap((key) => {
      const value = cells.setting(key);
      return value === undefined ? [] : [[key, value]];
    }),
  );
}

/** Patches each setting that an action has changed, and none of the others: another tab may have set those. */
export function keepSettings(cells: Cells): Middleware {
  const listener = createListenerMiddleware<{ settings: Settings }>();
  listener.startListening({
    predicate: (action, now, before) => now.settings !== before.settings && !takeSettings.match(action),
    effect(_, { getState, getOriginalState }) {
      const [now, before] = [getState().settings, getOriginalState().settings];
      for (const key of Object.keys(now).filter(isKey)) {
        if (now[key] === before[key]) continue;
        if (key === 'theme') localStorage.setItem(THEME, now.theme!);
        else cells.keepSetting(key, now[key]);
      }
    },
  });
  return listener.middleware;
}

/** Takes what other tabs set, as they set it. Gives what ends it. */
export function hearSettings(cells: Cells, take: (changed: Partial<Settings>) => void): () => void {
  const onStorage = ({ key }: StorageEvent) => key === THEME && take({ theme: themeKept() });
  addEventListener('storage', onStorage);
  const end = cells.hearSettings((key, value) => isKey(key) && take({ [key]: value }));
  return () => {
    removeEventListener('storage', onStorage);
    end();
  };
}

import { useEffect, useSyncExternalStore } from 'react';
import type { Theme } from '../store/settings.ts';
import { useAppSelector } from '../store/store.ts';

const dark = matchMedia('(prefers-color-scheme: dark)');
const follow = (changed: () => void) => {
  dark.addEventListener('change', changed);
  return () => dark.removeEventListener('change', changed);
};

/** The theme in use: the chosen one, else light or dark as the system is. */
export function useChosenTheme(): Theme {
  const systemIsDark = useSyncExternalStore(follow, () => dark.matches);
  return useAppSelector((state) => state.settings.theme) ?? (systemIsDark ? 'dark' : 'light');
}

/** The theme in use, put on the document so that every component follows. */
export function useTheme(): Theme {
  const theme = useChosenTheme();
  useEffect(() => {
    document.documentElement.dataset.bsTheme = theme;
  }, [theme]);
  return theme;
}

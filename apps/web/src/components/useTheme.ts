import { useEffect } from 'react';
import { useAppSelector } from '../store/store.ts';

/** The theme in use, put on the document so that every component follows. */
export function useTheme(): 'light' | 'dark' {
  const theme = useAppSelector((state) => state.settings.theme);
  useEffect(() => {
    document.documentElement.dataset.bsTheme = theme;
  }, [theme]);
  return theme;
}

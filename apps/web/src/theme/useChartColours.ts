import { useChosenTheme } from '../components/useTheme.ts';

/** The colours of charts, which cannot take them from the styles: as in `theme.scss`. */
const COLOURS = {
  light: { ink: '#1f2a33', own: '#0d6555', top: '#5b3b98', grid: 'rgba(128, 128, 128, 0.25)' },
  dark: { ink: '#ece4d4', own: '#63cdb5', top: '#c0a7f0', grid: 'rgba(128, 128, 128, 0.25)' },
};

export const useChartColours = () => COLOURS[useChosenTheme()];

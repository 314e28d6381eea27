import { CHART_COLOURS } from './chartColours.ts';
import { useChosenTheme } from './useTheme.ts';

export const useChartColours = () => CHART_COLOURS[useChosenTheme()];

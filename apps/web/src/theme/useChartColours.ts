import { useChosenTheme } from '../components/useTheme.ts';
import { CHART_COLOURS } from './chartColours.ts';

export const useChartColours = () => CHART_COLOURS[useChosenTheme()];

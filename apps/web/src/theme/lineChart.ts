import { CategoryScale, Chart, Legend, LinearScale, LineElement, PointElement, Tooltip } from 'chart.js';

Chart.register(CategoryScale, Legend, LinearScale, LineElement, PointElement, Tooltip);
// A drawing on a canvas does not inherit the face of the page.
Chart.defaults.font.family = '"Atkinson Hyperlegible Next Variable", sans-serif';
Chart.defaults.font.size = 13;

export { Line } from 'react-chartjs-2';

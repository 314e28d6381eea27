/** The colours of charts, which cannot take them from the styles: as in `theme.scss`. */
export const CHART_COLOURS = {
  light: { ink: '#1f2a33', own: '#0d6555', top: '#573a8a', grid: 'rgba(128, 128, 128, 0.25)' },
  dark: { ink: '#ece4d4', own: '#63cdb5', top: '#bda5f4', grid: 'rgba(128, 128, 128, 0.25)' },
};

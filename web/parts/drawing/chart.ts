import 'chartjs-adapter-date-fns';
import {
  Chart,
  Filler,
  LinearScale,
  LineController,
  LineElement,
  PointElement,
  TimeScale,
  Tooltip,
} from 'chart.js';

Chart.register(Filler, LinearScale, LineController, LineElement, PointElement, TimeScale, Tooltip);

/** A colour of the theme as it is now; charts are drawn on a canvas, which knows no variables. */
export const themeColour = (role: 'ink' | 'quiet' | 'rule' | 'plum'): string =>
  getComputedStyle(document.documentElement).getPropertyValue(`--color-${role}`).trim();

/** `#rrggbb` with an opacity. */
export const faint = (hex: string, opacity: number): string =>
  `${hex}${Math.round(opacity * 255)
    .toString(16)
    .padStart(2, '0')}`;

/** Axes in the type and colours of the app. */
export function axisLook() {
  Chart.defaults.font.family = 'Atkinson Hyperlegible Next Variable';
  Chart.defaults.font.size = 13;
  Chart.defaults.locale = document.documentElement.lang;
  return {
    ticks: { color: themeColour('quiet'), maxRotation: 0, maxTicksLimit: 8 },
    grid: { color: themeColour('rule') },
  };
}

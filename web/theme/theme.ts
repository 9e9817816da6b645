import { followed } from '../state/store';

const KEY = 'nervato-theme';
/** The theme is the system's until one is chosen; applied again when the system's changes. */
const AS_THE_SYSTEM = 'system';
const dark = window.matchMedia('(prefers-color-scheme: dark)');

/** `paper` by day; `floor` turns the ground to ink for gyms. */
export const theme = followed(
  () => localStorage.getItem(KEY) ?? (dark.matches ? 'floor' : 'paper'),
  (value) => {
    if (value !== AS_THE_SYSTEM) localStorage.setItem(KEY, value);
  },
);

/** Puts the theme on the page, and keeps it there as the system's changes; call before the first paint. */
export function applyTheme(): void {
  show();
  dark.addEventListener('change', () => {
    theme.set(AS_THE_SYSTEM);
    show();
  });
}

export function toggleTheme(): void {
  theme.set(theme.get() === 'floor' ? 'paper' : 'floor');
  show();
}

function show(): void {
  document.documentElement.dataset.theme = theme.get();
}

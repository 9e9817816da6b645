import { storedValue } from '../state/stored-value';

/** `paper` by day; `floor` turns the ground to ink for gyms. */
export const theme = storedValue('nervato-theme', 'paper');

/** Puts the stored theme on the page; call before the first paint and after a change. */
export function applyTheme(): void {
  document.documentElement.dataset.theme = theme.get();
}

export function toggleTheme(): void {
  theme.set(theme.get() === 'floor' ? 'paper' : 'floor');
  applyTheme();
}

import { useSheet } from './sheets';

function Sheet({ styles }: { styles: string }): null {
  useSheet(styles);
  return null;
}

/**
 * Replaces the package `react-style-singleton` (see vite.config.ts), by which a dialog keeps the page behind it from
 * scrolling: the package writes an inline style element. Two dialogs at once say the same twice, which changes nothing.
 */
export const styleSingleton = () => Sheet;

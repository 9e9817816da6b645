import { store } from './store';

/** How a new version of the app is taken, once one is there; the page is made anew by it. */
export const newVersion = store<(() => void) | null>(null);

import { store } from './store';

/** How a new version of the app is taken, once one is there; it reloads the page. */
export const newVersion = store<(() => void) | null>(null);

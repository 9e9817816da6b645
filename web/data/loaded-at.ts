import { serverNow } from './clock';

/** When this page was loaded, by the server's clock. */
export const loadedAtMs = serverNow();

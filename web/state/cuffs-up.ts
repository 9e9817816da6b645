import { store } from './store';

/** Whether a cuff that this device runs or measures with is up: while it is, nobody is locked out or signed out. */
export const cuffsUp = store(false);

import { store } from './store';

/** Whether a cuff that this device runs or measures with is up: while it is, the device does not lock or sign out. */
export const cuffsUp = store(false);

import { storedValue } from '../parts/stored-value';

/** `yes` while this device makes no sound. */
export const muted = storedValue('nervato-muted', 'no');

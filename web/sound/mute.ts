import { storedValue } from '../state/stored-value';

/** `yes` while this device makes no sound. */
export const muted = storedValue('nervato-muted', 'no');

/** `no` while this device leaves the pace tones to another one; alarms sound all the same. */
export const paced = storedValue('nervato-paced', 'yes');

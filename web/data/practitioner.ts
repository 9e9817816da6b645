import { followed, type Store } from '../state/store';
import { storedValue } from '../state/stored-value';

/** Id of who is signed in at this device, as far as this page knows; empty until somebody is. */
export const workingPractitioner = storedValue('nervato-practitioner', '');

/** Whether this device was locked, `yes` through a reload and without the server too, until somebody has come in again. */
export const wasLocked = storedValue('nervato-locked', 'no');

let isOpen: 'open' | 'shut' | null = null;
const atFirst = () => (workingPractitioner.get() === '' || wasLocked.get() === 'yes' ? 'shut' : 'open');

/** Whether what is on record may be shown: `shut` until somebody has signed in, when it was locked, and when a sign-in has ended. */
export const door: Store<'open' | 'shut'> = followed(
  () => {
    isOpen ??= atFirst();
    return isOpen;
  },
  (next) => {
    isOpen = next;
  },
);

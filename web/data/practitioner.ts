import { followed, type Store } from '../state/store';
import { storedValue } from '../state/stored-value';

/** Id of who is signed in at this device, as far as this page knows; empty before a sign-in. */
export const workingPractitioner = storedValue('nervato-practitioner', '');

/** Whether this device was locked, `yes` through a reload and without the server too, until the next sign-in. */
export const wasLocked = storedValue('nervato-locked', 'no');

let known: 'unlocked' | 'locked' | null = null;
const atFirst = () => (workingPractitioner.get() === '' || wasLocked.get() === 'yes' ? 'locked' : 'unlocked');

/** Whether what is on record may be shown: `locked` until an account has signed in, when it was locked, and when a sign-in has ended. */
export const lockState: Store<'unlocked' | 'locked'> = followed(
  () => {
    known ??= atFirst();
    return known;
  },
  (next) => {
    known = next;
  },
);

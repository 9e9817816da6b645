import { storedValue } from '../state/stored-value';

/** Id of who works at this device; empty until one has been chosen. */
export const workingPractitioner = storedValue('nervato-practitioner', '');

import { storedValue } from '../parts/stored-value';

/** Id of who works at this device; empty until one has been chosen. */
export const workingPractitioner = storedValue('nervato-practitioner', '');

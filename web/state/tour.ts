import { storedValue } from './stored-value';

/** Whether the tour is to be shown on this device: 'due' from a practice's first start, until it was left or seen. */
export const tour = storedValue('nervato-tour', 'none');

import { storedValue } from './stored-value';

/** The id of a person made up on this device to play with; '' where there is none. */
export const madeUpPerson = storedValue('nervato-made-up-person', '');

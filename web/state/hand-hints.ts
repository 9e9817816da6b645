import { storedValue } from './stored-value';

/** Whether what an experienced hand does without thinking is listed at its step on this device: 'shown', or 'off' for who knows it. */
export const handHints = storedValue('nervato-hand-hints', 'shown');

import { followed, type Store } from './store';

/** A setting of this device, in local storage. @param key its name there @param usual what it is until it has been set */
export const storedValue = (key: string, usual: string): Store<string> =>
  followed(
    () => localStorage.getItem(key) ?? usual,
    (value) => localStorage.setItem(key, value),
  );

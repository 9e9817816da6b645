import { useSyncExternalStore } from 'react';

/** A setting of this device, in local storage, that components follow. */
export type StoredValue = { get: () => string; set: (value: string) => void; use: () => string };

/** @param key name in local storage @param usual what it is until it has been set */
export function storedValue(key: string, usual: string): StoredValue {
  const listeners = new Set<() => void>();
  const get = () => localStorage.getItem(key) ?? usual;
  return {
    get,
    set: (value) => {
      localStorage.setItem(key, value);
      for (const listener of listeners) listener();
    },
    use: () =>
      useSyncExternalStore((listener) => {
        listeners.add(listener);
        return () => listeners.delete(listener);
      }, get),
  };
}

import { useSyncExternalStore } from 'react';

/** A value outside of React that components follow. */
export type Store<T> = { get: () => T; set: (next: T) => void; use: () => T };

export function store<T>(first: T): Store<T> {
  let value = first;
  const listeners = new Set<() => void>();
  const get = () => value;
  return {
    get,
    set: (next) => {
      value = next;
      for (const listener of listeners) listener();
    },
    use: () =>
      useSyncExternalStore((listener) => {
        listeners.add(listener);
        return () => listeners.delete(listener);
      }, get),
  };
}

import { useSyncExternalStore } from 'react';

/** A value outside of React that components follow. */
export type Store<T> = { get: () => T; set: (next: T) => void; use: () => T };

/** A value in memory. */
export function store<T>(first: T): Store<T> {
  let value = first;
  return followed(
    () => value,
    (next) => {
      value = next;
    },
  );
}

/** What components follow of a value that is kept wherever `get` and `put` say. */
export function followed<T>(get: () => T, put: (next: T) => void): Store<T> {
  const listeners = new Set<() => void>();
  return {
    get,
    set: (next) => {
      put(next);
      for (const listener of listeners) listener();
    },
    use: () =>
      useSyncExternalStore((listener) => {
        listeners.add(listener);
        return () => listeners.delete(listener);
      }, get),
  };
}

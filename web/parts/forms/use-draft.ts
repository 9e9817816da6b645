import { useEffect, useState } from 'react';

/** State that survives leaving the view and a reload of the tab, under `key`. `null` clears it. */
export function useDraft<T>(key: string, first: T): [T, (next: T) => void, () => void] {
  const [value, setValue] = useState<T>(() => {
    const kept = sessionStorage.getItem(key);
    return kept === null ? first : (JSON.parse(kept) as T);
  });
  useEffect(() => sessionStorage.setItem(key, JSON.stringify(value)), [key, value]);
  const clear = () => {
    setValue(first);
    sessionStorage.removeItem(key);
  };
  return [value, setValue, clear];
}

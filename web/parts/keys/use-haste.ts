import { useEffect, useRef, useState } from 'react';

/**
 * Who types and presses Enter means what the search finds, though the answer may still be on its way.
 * @param isSettled whether what is found is what was typed @param take what is done with it, once it is known
 * @returns notes that Enter was pressed
 */
export function useHaste(isSettled: boolean, take: () => void): () => void {
  const [hasty, setHasty] = useState(false);
  const latest = useRef(take);
  latest.current = take;
  useEffect(() => {
    if (!hasty || !isSettled) return;
    setHasty(false);
    latest.current();
  }, [hasty, isSettled]);
  return () => setHasty(true);
}

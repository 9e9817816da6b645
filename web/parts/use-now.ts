import { useEffect, useState } from 'react';

/** Wall-clock ms, renewed every `everyMs`. Clocks are worked out from it, never by counting ticks. */
export function useNow(everyMs: number): number {
  const [nowMs, setNowMs] = useState(Date.now);
  useEffect(() => {
    const timer = setInterval(() => setNowMs(Date.now()), everyMs);
    return () => clearInterval(timer);
  }, [everyMs]);
  return nowMs;
}

import { useEffect, useState } from 'react';
import { serverNow } from '../data/clock';

/** Now in ms by the server's clock, renewed every `everyMs`. Clocks are worked out from it, never by counting ticks. */
export function useNow(everyMs: number): number {
  const [nowMs, setNowMs] = useState(serverNow);
  useEffect(() => {
    const timer = setInterval(() => setNowMs(serverNow()), everyMs);
    return () => clearInterval(timer);
  }, [everyMs]);
  return nowMs;
}

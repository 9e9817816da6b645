import { useEffect, useState } from 'react';
import { serverNow } from '../../data/clock';
import { onTick } from './ticks';

/**
 * Now in ms by the server's clock, renewed at every whole multiple of `everyMs` together with all that changes as often.
 * Clocks are worked out from it, never by counting ticks.
 */
export function useNow(everyMs: number): number {
  const [nowMs, setNowMs] = useState(serverNow);
  useEffect(() => onTick(everyMs, () => setNowMs(serverNow())), [everyMs]);
  return nowMs;
}

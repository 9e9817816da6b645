import { useEffect } from 'react';

/** Keeps the screen on while `active`, where the browser can; taken again when the page comes back into view. */
export function useWakeLock(active: boolean): void {
  useEffect(() => {
    if (!active || !('wakeLock' in navigator)) return;
    let lock: WakeLockSentinel | null = null;
    let ended = false;
    const take = async () => {
      if (document.visibilityState !== 'visible') return;
      // Refused on low battery, for one: the screen then goes dark, and the clock is right when it wakes.
      const taken = await navigator.wakeLock.request('screen').catch(() => null);
      if (ended) void taken?.release();
      else lock = taken;
    };
    void take();
    document.addEventListener('visibilitychange', take);
    return () => {
      ended = true;
      document.removeEventListener('visibilitychange', take);
      void lock?.release();
    };
  }, [active]);
}

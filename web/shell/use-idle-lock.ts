import { useEffect } from 'react';
import { lock } from '../data/lock';
import { lockState } from '../data/practitioner';
import { cuffsUp } from '../state/cuffs-up';
import { storedValue } from '../state/stored-value';

/** After how many minutes without a touch this device locks. */
export const lockMinutes = storedValue('nervato-lock-minutes', '10');

const TOUCHES = ['pointerdown', 'keydown', 'wheel'] as const;
const LOOK_MS = 5_000;

/** Locks the device once it was not touched for a while, and never while a cuff is up. */
export function useIdleLock(): void {
  useEffect(() => {
    let touchedMs = Date.now();
    const touch = () => {
      touchedMs = Date.now();
    };
    for (const kind of TOUCHES) window.addEventListener(kind, touch, { passive: true });
    const timer = setInterval(() => {
      // What a cuff kept awake has its time from when it is down.
      if (cuffsUp.get() || lockState.get() === 'locked') touch();
      else if (Date.now() - touchedMs > Number(lockMinutes.get()) * 60_000) void lock();
    }, LOOK_MS);
    return () => {
      clearInterval(timer);
      for (const kind of TOUCHES) window.removeEventListener(kind, touch);
    };
  }, []);
}

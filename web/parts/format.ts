import { format } from 'date-fns';

/** "4:07" for clocks; rounds down, and shows a minus when below zero. */
export function clock(ms: number): string {
  const seconds = Math.floor(Math.abs(ms) / 1000);
  const sign = ms < 0 && seconds > 0 ? '−' : '';
  return `${sign}${Math.floor(seconds / 60)}:${String(seconds % 60).padStart(2, '0')}`;
}

/** "0:30" for countdowns; rounds up, so it reads 0:00 only when the time is really over. */
export const countdown = (ms: number): string => clock(Math.ceil(ms / 1000) * 1000);

/** "104 mmHg", or that a strap is up whose pressure nobody knows. */
export const pressureWords = (pressureMmHg: number | null): string =>
  pressureMmHg !== null ? `${pressureMmHg} mmHg` : 'by feel';

/** "24 Nov, 14:05". */
export const dayAndTime = (atMs: number): string => format(atMs, 'd MMM, HH:mm');

/** "24 Nov 2026". */
export const day = (atMs: number): string => format(atMs, 'd MMM yyyy');

/** At most `decimals` places, without trailing zeros. */
export const plain = (value: number, decimals = 1): string => String(Number(value.toFixed(decimals)));

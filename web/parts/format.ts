/** "4:07" for clocks; rounds down, and shows a minus when below zero. */
export function clock(ms: number): string {
  const seconds = Math.floor(Math.abs(ms) / 1000);
  const sign = ms < 0 && seconds > 0 ? '−' : '';
  return `${sign}${Math.floor(seconds / 60)}:${two(seconds % 60)}`;
}

/** "0:30" for countdowns; rounds up, so it reads 0:00 only when the time is really over. */
export const countdown = (ms: number): string => clock(Math.ceil(ms / 1000) * 1000);

/** "104 mmHg", or that a strap is up whose pressure nobody knows. */
export const pressureWords = (pressureMmHg: number | null): string =>
  pressureMmHg !== null ? `${pressureMmHg} mmHg` : 'by feel';

const MONTHS = ['Jan', 'Feb', 'Mar', 'Apr', 'May', 'Jun', 'Jul', 'Aug', 'Sep', 'Oct', 'Nov', 'Dec'];

const two = (figure: number): string => String(figure).padStart(2, '0');

/** "24 Nov, 14:05". */
export function dayAndTime(atMs: number): string {
  const at = new Date(atMs);
  return `${at.getDate()} ${MONTHS[at.getMonth()]}, ${two(at.getHours())}:${two(at.getMinutes())}`;
}

/** "24 Nov 2026". */
export function day(atMs: number): string {
  const at = new Date(atMs);
  return `${at.getDate()} ${MONTHS[at.getMonth()]} ${at.getFullYear()}`;
}

/** The last second of a date that was chosen, in ms; null where none was. */
export const endOfDayMs = (iso: string): number | null =>
  iso === '' ? null : new Date(`${iso}T23:59:59`).getTime();

/** At most `decimals` places, without trailing zeros. */
export const plain = (value: number, decimals = 1): string => String(Number(value.toFixed(decimals)));

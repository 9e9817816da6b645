import { MS_PER_DAY } from '../quantity/units';

/** Whole days that have passed. */
const daysSince = (atMs: number, nowMs: number): number => Math.floor((nowMs - atMs) / MS_PER_DAY);

/** "today", "1 day old", "12 days old". */
export function ageWords(atMs: number, nowMs: number): string {
  const days = daysSince(atMs, nowMs);
  if (days < 1) return 'today';
  return days === 1 ? '1 day old' : `${days} days old`;
}

/** "today", "1 day ago", "12 days ago". */
export function agoWords(atMs: number, nowMs: number): string {
  const days = daysSince(atMs, nowMs);
  if (days < 1) return 'today';
  return days === 1 ? '1 day ago' : `${days} days ago`;
}

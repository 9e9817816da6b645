import { MS_PER_DAY } from '../quantity/units';

function daysWords(atMs: number, nowMs: number, after: string): string {
  const days = Math.floor((nowMs - atMs) / MS_PER_DAY);
  if (days < 1) return 'today';
  return `${days} ${days === 1 ? 'day' : 'days'} ${after}`;
}

/** "today", "1 day old", "12 days old". */
export const ageWords = (atMs: number, nowMs: number): string => daysWords(atMs, nowMs, 'old');

/** "today", "1 day ago", "12 days ago". */
export const agoWords = (atMs: number, nowMs: number): string => daysWords(atMs, nowMs, 'ago');

import { type Message, msg } from '../message/message';
import { MS_PER_DAY } from '../quantity/units';

/** Whole days that have passed. */
const daysSince = (atMs: number, nowMs: number): number => Math.floor((nowMs - atMs) / MS_PER_DAY);

/** "today", "1 day old", "12 days old". */
export function ageWords(atMs: number, nowMs: number): Message {
  const days = daysSince(atMs, nowMs);
  return days < 1 ? msg('today') : msg('{days, plural, one {# day old} other {# days old}}', { days });
}

/** "today", "1 day ago", "12 days ago". */
export function agoWords(atMs: number, nowMs: number): Message {
  const days = daysSince(atMs, nowMs);
  return days < 1 ? msg('today') : msg('{days, plural, one {# day ago} other {# days ago}}', { days });
}

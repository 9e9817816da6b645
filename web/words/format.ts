import { t } from '@lingui/core/macro';
import type { TempoId } from '#core/protocol';
import { figure } from '../language/translate';

/** "4:07" for clocks; rounds down, and shows a minus when below zero. */
export function clock(ms: number): string {
  const seconds = Math.floor(Math.abs(ms) / 1000);
  const sign = ms < 0 && seconds > 0 ? '−' : '';
  return `${sign}${Math.floor(seconds / 60)}:${two(seconds % 60)}`;
}

/** "0:30" for countdowns; rounds up, so it reads 0:00 only when the time is really over. */
export const countdown = (ms: number): string => clock(Math.ceil(ms / 1000) * 1000);

/** "104 mmHg", or that a strap is up whose pressure is not known. */
export const pressureWords = (pressureMmHg: number | null): string =>
  pressureMmHg !== null ? `${pressureMmHg} mmHg` : t`by feel`;

const MONTHS = [
  t`Jan`,
  t`Feb`,
  t`Mar`,
  t`Apr`,
  t`May`,
  t`Jun`,
  t`Jul`,
  t`Aug`,
  t`Sep`,
  t`Oct`,
  t`Nov`,
  t`Dec`,
];

const two = (figure: number): string => String(figure).padStart(2, '0');

/** "24 Nov, 14:05". */
export function dayAndTime(atMs: number): string {
  const at = new Date(atMs);
  const [date, month, time] = [
    at.getDate(),
    MONTHS[at.getMonth()] ?? '',
    `${two(at.getHours())}:${two(at.getMinutes())}`,
  ];
  return t`${date} ${month}, ${time}`;
}

/** "24 Nov 2026". */
export function day(atMs: number): string {
  const at = new Date(atMs);
  const [date, month, year] = [at.getDate(), MONTHS[at.getMonth()] ?? '', at.getFullYear()];
  return t`${date} ${month} ${year}`;
}

/** The last second of a date that was chosen, in ms; null where none was. */
export const endOfDayMs = (iso: string): number | null =>
  iso === '' ? null : new Date(`${iso}T23:59:59`).getTime();

/** "1.5–0–1.5": seconds up, held and down. */
export const tempoWords = (id: TempoId): string =>
  id
    .split('-')
    .map((seconds) => figure(Number(seconds)))
    .join('–');

/** At most `decimals` places, without trailing zeros. */
export const plain = (value: number, decimals = 1): string => figure(Number(value.toFixed(decimals)));

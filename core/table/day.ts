import { type Message, msg } from '../message/message';
import { dayOf, isoOf } from '../quantity/days';

/** In which order a column of dates has day, month and year. */
export const DATE_ORDER_IDS = ['year-month-day', 'day-month-year', 'month-day-year'] as const;
export type DateOrder = (typeof DATE_ORDER_IDS)[number];

export const DATE_ORDERS: Record<DateOrder, { label: Message; parts: readonly ('y' | 'm' | 'd')[] }> = {
  'year-month-day': { label: msg('year, month, day'), parts: ['y', 'm', 'd'] },
  'day-month-year': { label: msg('day, month, year'), parts: ['d', 'm', 'y'] },
  'month-day-year': { label: msg('month, day, year'), parts: ['m', 'd', 'y'] },
};

const SHAPE = /^(\d{1,4})[-./ ]{1,2}(\d{1,2})[-./ ]{1,2}(\d{1,4})\.?(?:[T ].*)?$/;

/**
 * A date as it was typed, as an ISO day; `null` where it is none. Two figures of a year are of this century.
 * @example readDay('4.5.2026', 'day-month-year') //=> '2026-05-04'
 */
export function readDay(text: string, order: DateOrder): string | null {
  const parted = SHAPE.exec(text.trim());
  if (!parted) return null;
  const { parts } = DATE_ORDERS[order];
  const part = (name: 'y' | 'm' | 'd') => parted[parts.indexOf(name) + 1] ?? '';
  const [year, month, day] = [part('y'), part('m'), part('d')];
  // A year in front is written out: 13/5/26 is of 2026.
  if (year.length !== 4 && (year.length !== 2 || parts[0] === 'y')) return null;
  const iso = `${year.length === 2 ? `20${year}` : year}-${month.padStart(2, '0')}-${day.padStart(2, '0')}`;
  // The 31st of a month of thirty days is none, though some would read it as the 1st of the next.
  const found = dayOf(iso);
  return Number.isInteger(found) && isoOf(found) === iso ? iso : null;
}

/**
 * The orders in which a whole column of dates can be read: those with the fewest dates that are none. Where dots are written
 * the day comes first, so between two orders the dots decide; between strokes or hyphens only the practice can say.
 * @example dateOrdersOf(['13/5/2026']) //=> ['day-month-year']
 * @example dateOrdersOf(['4/5/2026']) //=> ['day-month-year', 'month-day-year']
 * @example dateOrdersOf(['4.5.2026']) //=> ['day-month-year']
 */
export function dateOrdersOf(texts: readonly string[]): DateOrder[] {
  const typed = texts.filter((text) => text.trim() !== '');
  const orders = Object.keys(DATE_ORDERS) as DateOrder[];
  const misread = (order: DateOrder) => typed.filter((text) => readDay(text, order) === null).length;
  const least = Math.min(...orders.map(misread));
  if (typed.length === 0 || least === typed.length) return [];
  const found = orders.filter((order) => misread(order) === least);
  const dates = typed.filter((text) => readDay(text, 'day-month-year') !== null);
  const isDotted = dates.length > 0 && dates.every((text) => DOTTED.test(text.trim()));
  return isDotted && found.includes('day-month-year') ? ['day-month-year'] : found;
}

const DOTTED = /^\d{1,2}\. ?\d{1,2}\. ?\d{2,4}/;

/**
 * The first date of a column that another order would read as another day, and the day it is read as; `null` where none is.
 * @example ambiguousDay(['13/2/2026', '02/12/2026'], 'day-month-year') //=> { text: '02/12/2026', day: '2026-12-02' }
 */
export function ambiguousDay(
  texts: readonly string[],
  order: DateOrder,
): { text: string; day: string } | null {
  if (dateOrdersOf(texts).length < 2) return null;
  for (const text of texts) {
    const day = readDay(text, order);
    const others = (Object.keys(DATE_ORDERS) as DateOrder[]).map((other) => readDay(text, other));
    if (day !== null && others.some((other) => other !== null && other !== day))
      return { text: text.trim(), day };
  }
  return null;
}

import { type DateOrder, readDay } from './day';

const MONTHS = ['jan', 'feb', 'mar', 'apr', 'may', 'jun', 'jul', 'aug', 'sep', 'oct', 'nov', 'dec'];

/** "24 Nov 2026" or "Nov 24, 2026", with the month's name in full or its first letters. */
const NAMED = [
  /^(?<day>\d{1,2})\.?\s+(?<month>[a-z]{3,9})\.?,?\s+(?<year>\d{4})$/,
  /^(?<month>[a-z]{3,9})\.?\s+(?<day>\d{1,2}),?\s+(?<year>\d{4})$/,
];

/**
 * A day as it is typed, as an ISO day; `null` where it is none. The year in front or a month by its name needs no order.
 * @example readTypedDay('24 Nov 2026', 'day-month-year') //=> '2026-11-24'
 * @example readTypedDay('5/4/2026', 'month-day-year') //=> '2026-05-04'
 */
export function readTypedDay(text: string, order: DateOrder): string | null {
  const typed = text.trim().toLowerCase();
  for (const shape of NAMED) {
    const { day, month = '', year } = shape.exec(typed)?.groups ?? {};
    const place = MONTHS.findIndex((name) => month.startsWith(name));
    if (day && year && place >= 0) return readDay(`${year}-${place + 1}-${day}`, 'year-month-day');
  }
  return readDay(typed, 'year-month-day') ?? readDay(typed, order);
}

const TIME = /^(?<hour>\d{1,2})(?:[:.h ]?(?<minute>\d{2}))?\s*(?<half>am|pm)?$/;

/**
 * A time of day as it is typed, as hours and minutes; `null` where it is none.
 * @example readTypedTime('5.30 pm') //=> '17:30'
 * @example readTypedTime('1730') //=> '17:30'
 */
export function readTypedTime(text: string): string | null {
  const { hour, minute = '00', half } = TIME.exec(text.trim().toLowerCase())?.groups ?? {};
  if (hour === undefined) return null;
  const said = Number(hour);
  if (half && (said < 1 || said > 12)) return null;
  const hours = half ? (said % 12) + (half === 'pm' ? 12 : 0) : said;
  if (hours > 23 || Number(minute) > 59) return null;
  return `${String(hours).padStart(2, '0')}:${minute}`;
}

import { t } from '@lingui/core/macro';
import ICAL from 'ical.js';
import type { Appointment } from '#core/course';
import { type Day, dayOf } from '#core/quantity';

/** Why a file is no calendar, and what to do. */
export class NotACalendar extends Error {}

/** A rule may repeat for ever: so many times of one are looked at. */
const MOST_TIMES = 2_000;
const MOST_EVENTS = 20_000;

/** What a calendar has for some days, and how many of its appointments are broken. */
export type CalendarRead = { appointments: Appointment[]; broken: number };

/**
 * The appointments of a calendar file that reach into some days, repeated ones for each time. Times are the calendar's own: an
 * appointment is on the day it says. One that is broken does not hide the others.
 * @throws NotACalendar with what to do
 */
export function readCalendar(text: string, fromDay: Day, toDay: Day): CalendarRead {
  const events = eventsOf(text);
  const read = events.map((event) => {
    try {
      return appointmentsOf(new ICAL.Event(event), fromDay, toDay);
    } catch {
      return null;
    }
  });
  return {
    appointments: read.flatMap((one) => one ?? []),
    broken: read.filter((one) => one === null).length,
  };
}

function eventsOf(text: string): ICAL.Component[] {
  try {
    const events = new ICAL.Component(ICAL.parse(text)).getAllSubcomponents('vevent');
    if (events.length <= MOST_EVENTS) return events;
  } catch {
    throw new NotACalendar(
      t`This is no calendar. Take it out of your calendar as an .ics file, and choose that.`,
    );
  }
  throw new NotACalendar(t`More than ${MOST_EVENTS} appointments: export a shorter time.`);
}

function appointmentsOf(event: ICAL.Event, fromDay: Day, toDay: Day): Appointment[] {
  if (event.component.getFirstPropertyValue('status') === 'CANCELLED') return [];
  const found = event.isRecurring()
    ? repeated(event, fromDay, toDay)
    : once(event, event.startDate, fromDay, toDay);
  if (found.some(isBroken)) throw new RangeError('A broken appointment.');
  return found;
}

// The package takes a broken figure for a day that is none, and a year of five digits is none either.
const isBroken = ({ fromDay, toDay, lastsMs }: Appointment) =>
  !Number.isInteger(fromDay) ||
  !Number.isInteger(toDay) ||
  toDay < fromDay ||
  !Number.isFinite(lastsMs) ||
  lastsMs < 0;

function once(event: ICAL.Event, start: ICAL.Time, fromDay: Day, toDay: Day): Appointment[] {
  const lastsMs = event.duration.toSeconds() * 1000;
  const first = dayIn(start);
  // An appointment of whole days ends at the beginning of the day after.
  const last = start.isDate
    ? first + Math.max(1, Math.round(lastsMs / 86_400_000)) - 1
    : dayIn(endOf(start, event));
  if (last < fromDay || first > toDay) return [];
  return [{ title: event.summary ?? '', fromDay: first, toDay: last, isAllDay: start.isDate, lastsMs }];
}

function endOf(start: ICAL.Time, event: ICAL.Event): ICAL.Time {
  const end = start.clone();
  end.addDuration(event.duration);
  return end;
}

function repeated(event: ICAL.Event, fromDay: Day, toDay: Day): Appointment[] {
  const found: Appointment[] = [];
  const times = event.iterator();
  for (let looked = 0; looked < MOST_TIMES; looked += 1) {
    const start = times.next();
    if (!start || dayIn(start) > toDay) break;
    found.push(...once(event, start, fromDay, toDay));
  }
  return found;
}

const dayIn = ({ year, month, day }: ICAL.Time): Day =>
  dayOf(`${year}-${String(month).padStart(2, '0')}-${String(day).padStart(2, '0')}`);

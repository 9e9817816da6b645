import ical from 'ical-generator';
import { GOALS } from '#core/plan/goals';
import type { ProgrammeFact } from '#core/record/facts';

const LASTS_MINUTES = 45;

/**
 * A block as an iCalendar file. It names no person and no measurement: calendars are shared.
 * Times are local to whoever reads it, as an appointment in a practice is.
 */
export function calendarOf({ id, wish, days }: ProgrammeFact, practiceName: string, nowMs: number): string {
  const calendar = ical({
    name: `Training at ${practiceName}`,
    prodId: { company: 'Nervato', product: 'Nervato' },
  });
  days.forEach((day, place) => {
    const start = new Date(`${day}T${wish.atTime}:00`);
    calendar.createEvent({
      id: `${id}-${place}`,
      stamp: new Date(nowMs),
      start,
      end: new Date(start.getTime() + LASTS_MINUTES * 60_000),
      floating: true,
      summary: `Training, session ${place + 1} of ${days.length}`,
      description: GOALS[wish.goal].label,
      location: practiceName,
    });
  });
  return calendar.toString();
}

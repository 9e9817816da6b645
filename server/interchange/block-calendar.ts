import ical from 'ical-generator';
import { isoOf } from '#core/course/days';
import type { BlockStanding } from '#core/record/block-in-force';

const LASTS_MINUTES = 45;

/**
 * A block as it stands, as an iCalendar file: what was missed is not in it, what makes it up is. It names no person and no
 * measurement: calendars are shared. Times are local to whoever reads it, as an appointment in a practice is.
 */
export function calendarOf(
  { block, entries, plans }: BlockStanding,
  practiceName: string,
  nowMs: number,
): string {
  const calendar = ical({
    name: `Training at ${practiceName}`,
    prodId: { company: 'Nervato', product: 'Nervato' },
  });
  const sessions = entries.filter(({ state }) => state !== 'missed');
  sessions.forEach((entry, place) => {
    const day = isoOf(entry.state === 'done' ? entry.doneOn : entry.day);
    const start = new Date(`${day}T${block.wish.atTime}:00`);
    calendar.createEvent({
      id: `${block.id}-${place}`,
      stamp: new Date(nowMs),
      start,
      end: new Date(start.getTime() + LASTS_MINUTES * 60_000),
      floating: true,
      summary: `Training, session ${place + 1} of ${sessions.length}`,
      description: plans.find(({ id }) => id === entry.coursePlanId)?.name ?? '',
      location: practiceName,
    });
  });
  return calendar.toString();
}

import ical, { type ICalCalendar } from 'ical-generator';
import { RELEASE } from '#contract/release';
import { isoOf } from '#core/quantity';
import type { BlockStanding } from '#core/record';

const LASTS_MINUTES = 45;

/** Whose block it is, where that is to be said. */
export type CalendarOf = { standing: BlockStanding; name: string | null };

/**
 * Blocks as they are, as an iCalendar file: what was missed is not in it, what makes it up is. It names no measurement, and
 * no one unless that was asked for: calendars are shared. Times are local to the reader, as an appointment in a practice is.
 */
export function calendarOf(blocks: readonly CalendarOf[], practiceName: string, nowMs: number): string {
  const calendar = ical({
    name: `Training at ${oneLine(practiceName)}`,
    prodId: { company: 'Nervato', product: `Nervato ${RELEASE}` },
  });
  for (const { standing, name } of blocks) addBlock(calendar, standing, name, practiceName, nowMs);
  return calendar.toString();
}

function addBlock(
  calendar: ICalCalendar,
  { block, entries, plans }: BlockStanding,
  name: string | null,
  practiceName: string,
  nowMs: number,
): void {
  const sessions = entries.filter(({ state }) => state !== 'missed');
  sessions.forEach((entry, place) => {
    const day = isoOf(entry.state === 'done' ? entry.doneOn : entry.day);
    // A floating time is written by its UTC figures, whatever zone the server is in.
    const start = new Date(`${day}T${block.wish.atTime}:00Z`);
    calendar.createEvent({
      id: `${block.id}-${place}`,
      stamp: new Date(nowMs),
      start,
      end: new Date(start.getTime() + LASTS_MINUTES * 60_000),
      floating: true,
      summary: oneLine(`${name ?? 'Training'}, session ${place + 1} of ${sessions.length}`),
      description: oneLine(plans.find(({ id }) => id === entry.coursePlanId)?.name ?? ''),
      location: oneLine(practiceName),
    });
  });
}

/** A name with a line break in it begins no line of its own. */
const oneLine = (text: string): string => text.replace(/[\r\n\u0085\u2028\u2029]+/g, ' ');

import ical, { type ICalCalendar } from 'ical-generator';
import { RELEASE } from '#contract/release';
import { compile, type Plan } from '#core/plan';
import { isoOf, MS_PER_MINUTE } from '#core/quantity';
import type { BlockStanding } from '#core/record';
import { inEnglish } from '#language/render';

/** Whose block it is, where that is to be said. */
export type CalendarOf = { standing: BlockStanding; name: string | null };

/** So long a session takes beside its sets: to put the cuffs on, and the walk after. */
const AROUND_MS = 10 * MS_PER_MINUTE;
const TO_NEXT_MS = 5 * MS_PER_MINUTE;

/**
 * Blocks as they are, as an iCalendar file: what was missed is not in it, what makes it up is. It names no measurement, and
 * no one unless that was asked for: calendars are shared. Every session has an id of its own, so that one that is missed or moved
 * moves no other; its time is that of the practice's clock on its day, whatever the clocks have changed to since.
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
  entries.forEach((entry, place) => {
    if (entry.state === 'missed') return;
    const day = isoOf(entry.state === 'done' ? entry.doneOn : entry.day);
    const plan = plans.find(({ id }) => id === entry.coursePlanId);
    // The practice's own clock, which is the server's: the time of day stays when clocks change.
    const start = new Date(`${day}T${block.wish.atTime}:00`);
    const isMoved = entry.state === 'done' && entry.doneOn !== entry.day;
    calendar.createEvent({
      id: entry.id ?? ownId(block, entries, place),
      sequence: (entry.sequence ?? 0) + (isMoved ? 1 : 0),
      stamp: new Date(nowMs),
      start,
      end: new Date(start.getTime() + lastsMs(plan?.plan)),
      summary: oneLine(`${name ?? 'Training'}, session ${place + 1} of ${entries.length}`),
      description: oneLine(plan ? inEnglish(plan.name) : ''),
      location: oneLine(practiceName),
    });
  });
}

/** Of a session that was kept without an id, or makes up for a missed one: by its plan and day, or its place in the block. */
function ownId({ id }: { id: string }, entries: BlockStanding['entries'], place: number): string {
  const entry = entries[place];
  if (entry?.state === 'to-come' && entry.makesUp) return `${id}-${entry.coursePlanId}-${isoOf(entry.day)}`;
  // Its place among all that were kept, so that one that is missed changes no other's.
  const kept = entries.slice(0, place).filter((one) => one.state !== 'to-come' || !one.makesUp).length;
  return `${id}-${kept}`;
}

/** From the first cuff to the walk, in whole fives of minutes. */
const lastsMs = (plan: Plan | undefined): number =>
  Math.ceil(((plan ? compile(plan).endMs : 0) + AROUND_MS) / TO_NEXT_MS) * TO_NEXT_MS;

/** A name with a line break in it begins no line of its own. */
const oneLine = (text: string): string => text.replace(/[\r\n\u0085\u2028\u2029]+/g, ' ');

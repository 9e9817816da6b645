import { z } from 'zod';
import { type Message, msg, only, type Text } from '../message/message';
import { type Day, dayOf, isoDaySchema, isoOf } from '../quantity/days';
import type { OnDay } from './on-day';

/** What a day of the calendar may be (rule CRS-5). */
export const seasonKindSchema = z.enum(['game', 'journey', 'sore', 'heavy', 'off']);
export type SeasonKind = z.infer<typeof seasonKindSchema>;

const MOST_DAYS = 120;

/** A game, a journey, a sore day: a dated thing that sessions keep away from; it can be moved or postponed (rule CRS-5). */
export const seasonDaySchema = z
  .object({
    id: z.string().min(1).max(64),
    kind: seasonKindSchema,
    day: isoDaySchema,
    /** The last day of it, where it takes several. */
    toDay: isoDaySchema.optional(),
    title: z.string().trim().max(80, msg('At most 80 characters.')),
    /** Before a game: sessions may fall on the day before, as is wished. */
    dayBeforeToo: z.literal(true).optional(),
  })
  .refine(({ day, toDay = day }) => toDay >= day && dayOf(toDay) - dayOf(day) < MOST_DAYS, {
    path: ['toDay'],
    message: msg('At most 120 days, the last not before the first.').message,
  });
export type SeasonDay = z.infer<typeof seasonDaySchema>;

export const SEASON_LABELS: Record<SeasonKind, Message> = {
  game: msg('Game'),
  journey: msg('Journey'),
  sore: msg('Sore day'),
  heavy: msg('Heavy training'),
  off: msg('Day off'),
};

/** What a day of the calendar is called: its own title, else its kind. */
export const seasonName = ({ title, kind }: SeasonDay): Text => (title === '' ? SEASON_LABELS[kind] : title);

/** The days it takes. */
export const daysOf = (one: SeasonDay): Day[] =>
  Array.from(
    { length: dayOf(one.toDay ?? one.day) - dayOf(one.day) + 1 },
    (_, ahead) => dayOf(one.day) + ahead,
  );

/** Days on which no session falls because of it: its own, and the one before a game unless that is wished; none of heavy training. */
export function keptFree(one: SeasonDay): Day[] {
  if (one.kind === 'heavy') return [];
  const days = daysOf(one);
  return one.kind === 'game' && !one.dayBeforeToo ? [dayOf(one.day) - 1, ...days] : days;
}

/** Days of heavy training that are dated. */
export const heavyOn = (season: readonly SeasonDay[]): Day[] =>
  season.filter(({ kind }) => kind === 'heavy').flatMap(daysOf);

/** The same so many days later; earlier below 0. */
export const postponed = (one: SeasonDay, byDays: number): SeasonDay => ({
  ...one,
  day: isoOf(dayOf(one.day) + byDays),
  ...(one.toDay === undefined ? {} : { toDay: isoOf(dayOf(one.toDay) + byDays) }),
});

/** Why no session falls on a day, in words; null where nothing of the calendar keeps it free. */
export function whyFree(day: Day, season: readonly SeasonDay[]): Message | null {
  const one = season.find((of) => keptFree(of).includes(day));
  if (!one) return null;
  const name = seasonName(one);
  return daysOf(one).includes(day) ? only(name) : msg('the day before {name}', { name });
}

/** A session that went from one day to another, and why. */
export type Rescheduled = { coursePlanId: string; from: Day; to: Day; why: Message };

/**
 * Sessions that lie on another day than before because of the calendar, each with why (rule CRS-5): those that left a day that is
 * kept free now, in the order of their days.
 */
export function rescheduled(
  before: readonly OnDay[],
  after: readonly OnDay[],
  season: readonly SeasonDay[],
): Rescheduled[] {
  return [...new Set(before.map(({ coursePlanId }) => coursePlanId))].flatMap((coursePlanId) => {
    const of = (sessions: readonly OnDay[]) =>
      sessions.filter((one) => one.coursePlanId === coursePlanId).map(({ day }) => day);
    const gone = of(before).filter((day) => !of(after).includes(day));
    const come = of(after).filter((day) => !of(before).includes(day));
    return gone.flatMap((from): Rescheduled[] => {
      const why = whyFree(from, season);
      const nearest = [...come].sort((a, b) => Math.abs(a - from) - Math.abs(b - from))[0];
      if (why === null || nearest === undefined) return [];
      come.splice(come.indexOf(nearest), 1);
      return [{ coursePlanId, from, to: nearest, why }];
    });
  });
}

import { type Block, blockSchema } from '../block';

/** A block of the first releases: days of one goal and limb, without a plan. */
type DaysOnly = {
  wish: {
    startsOn: string;
    weeks: number;
    perWeek: number;
    available: number[];
    heavy: number[];
    besideHeavy: 'apart' | 'finisher';
    deloadEvery: number | null;
    daysOff: string[];
    atTime: string;
  };
  sessions: string[];
};

// What a deload was said to be then.
const DELOAD_PERCENT = 60;

/**
 * A kept block in the shape of now. One of the first releases, which had bare days, is one of the plan the person has.
 * @param coursePlanId of that plan; null where there is none @returns null for a block that no plan fills
 */
export function readBlock(kept: unknown, coursePlanId: string | null): Block | null {
  const now = blockSchema.safeParse(withPresentNames(kept));
  if (now.success) return now.data;
  const { wish, sessions } = kept as DaysOnly;
  if (coursePlanId === null) return null;
  return {
    wish: {
      startsOn: wish.startsOn,
      weeks: wish.weeks,
      lines: [
        {
          coursePlanId,
          perWeek: wish.perWeek,
          timesADay: 1,
          available: wish.available,
          onHeavyDays: wish.besideHeavy,
        },
      ],
      heavy: wish.heavy,
      deload:
        wish.deloadEvery === null ? null : { everyWeeks: wish.deloadEvery, setsPercent: DELOAD_PERCENT },
      season: wish.daysOff.map(dayOff),
      atTime: wish.atTime,
    },
    sessions: sessions.map((day) => ({ day, coursePlanId })),
  };
}

/** A day off of an earlier release, which had nothing but its date. */
const dayOff = (day: string) => ({ id: `off ${day}`, kind: 'off' as const, day, title: '' });

/** Releases before 2026-12 said `besideHeavy` of a line, and had days off for days of the calendar. */
function withPresentNames(kept: unknown): unknown {
  const { wish, ...rest } = kept as { wish?: { lines?: Record<string, unknown>[] } };
  if (!Array.isArray(wish?.lines)) return kept;
  const { daysOff, season, ...others } = wish as { daysOff?: string[]; season?: unknown };
  const lines = wish.lines.map(({ besideHeavy, ...line }) =>
    besideHeavy === undefined ? line : { ...line, onHeavyDays: besideHeavy },
  );
  return { wish: { ...others, lines, season: season ?? (daysOff ?? []).map(dayOff) }, ...rest };
}

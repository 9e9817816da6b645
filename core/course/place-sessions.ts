import { list, type Message, msg, sentences } from '../message/message';
import { type Day, weekdayOf, weekdaysText, weekdayText } from '../quantity/days';
import { RULES, type RuleId } from '../rules/catalogue';

/** What sessions are placed under. Days are numbers of days; weekdays run from 0, Monday. */
export type Constraints = {
  startDay: Day;
  weeks: number;
  perWeek: number;
  available: readonly number[];
  /** Weekdays of heavy training, and whether sessions keep apart from them or finish them (rule PRO-4). */
  heavy: readonly number[];
  onHeavyDays: 'apart' | 'finisher';
  daysOff: readonly Day[];
  /** Days of heavy training that are dated. */
  heavyOn?: readonly Day[];
  /** Sessions already done; they stay and count. */
  done: readonly Day[];
  /** No session is placed before this day. */
  fromDay: Day;
  /** Days planned before, which a re-plan would rather keep. */
  kept: readonly Day[];
  /** Days on which other plans move the same limbs: never on one, and rather not beside one. */
  taken?: readonly Day[];
  /** Passive work: days that follow each other are as good as others (rule PRO-3). */
  isDaily?: boolean;
};

/** A wish that could not be met, in words. */
export type Unmet = { week: number; message: Message; rule: RuleId };

export type Placement = { days: Day[]; unmet: Unmet[] };

const COST = { fourInSeven: 1_000, nextDay: 20, nextToHeavyDay: 4, moved: 3, perDayOffEven: 1 };
const MOST_IN_SEVEN = RULES['PRO-3'].figures.mostPerWeek;

/** One way to fill a week: its days, in order. */
type Fill = readonly Day[];
/** The cheapest way to reach the end of a week with the same last days. */
type Path = { cost: number; days: Day[] };

/**
 * Days for the sessions of a block, spread as evenly as the constraints allow (rules PRO-3, PRO-4).
 * Never two on one day, so at least 24 h apart at one hour; never on a day off, an unavailable weekday or, when apart, a
 * heavy one; never more than three in any seven days where there is a way (rule CRS-5). Weeks run from the start day. Of all
 * placements it returns one of least cost, by dynamic programming.
 * @returns the days in order, those done included, and what could not be satisfied
 */
export function placeSessions(constraints: Constraints): Placement {
  const { weeks, startDay, perWeek, done } = constraints;
  const unmet: Unmet[] = [];
  let paths: Path[] = [{ cost: 0, days: [] }];
  for (let week = 0; week < weeks; week += 1) {
    const firstDay = startDay + 7 * week;
    const over = done.filter((day) => day >= firstDay && day < firstDay + 7);
    const allowed = allowedDays(constraints, firstDay).filter((day) => !over.includes(day));
    const isPast = firstDay + 7 <= constraints.fromDay;
    const wanted = isPast ? 0 : Math.max(0, perWeek - over.length);
    const count = Math.min(wanted, allowed.length);
    if (count < wanted) unmet.push(shortfall(week, over.length + count, perWeek, constraints));
    const fills = subsets(allowed, count).map((days) => [...days, ...over].sort((a, b) => a - b));
    paths = extend(paths, fills, constraints);
  }
  const best = cheapest(paths);
  return { days: best.days, unmet: [...unmet, ...consecutive(best.days, constraints)] };
}

/** Days of a week on which a session may fall. */
export function allowedDays(constraints: Constraints, firstDay: Day): Day[] {
  const { available, onHeavyDays, daysOff, fromDay, taken = [] } = constraints;
  const hasHeavy = constraints.heavy.length > 0 || (constraints.heavyOn ?? []).length > 0;
  return Array.from({ length: 7 }, (_, i) => firstDay + i).filter((day) => {
    const weekday = weekdayOf(day);
    if (day < fromDay || daysOff.includes(day) || taken.includes(day) || !available.includes(weekday))
      return false;
    return onHeavyDays === 'finisher' ? !hasHeavy || isHeavy(day, constraints) : !isHeavy(day, constraints);
  });
}

const isHeavy = (day: Day, { heavy, heavyOn = [] }: Pick<Constraints, 'heavy' | 'heavyOn'>): boolean =>
  heavy.includes(weekdayOf(day)) || heavyOn.includes(day);

/** All choices of `count` days, each in order. */
function subsets(days: readonly Day[], count: number): Fill[] {
  if (count === 0) return [[]];
  return days.flatMap((day, i) => subsets(days.slice(i + 1), count - 1).map((rest) => [day, ...rest]));
}

/** Keeps, for the same last days, only the cheapest path: what comes after depends on nothing else. */
function extend(paths: readonly Path[], fills: readonly Fill[], constraints: Constraints): Path[] {
  const best = new Map<string, Path>();
  for (const path of paths) {
    for (const fill of fills) {
      const days = [...path.days, ...fill];
      const lastDays = days.slice(-MOST_IN_SEVEN).join(' ');
      const cost = path.cost + costOf(fill, path.days, constraints);
      const known = best.get(lastDays);
      if (!known || cost < known.cost) best.set(lastDays, { cost, days });
    }
  }
  return [...best.values()];
}

const cheapest = (paths: readonly Path[]): Path =>
  paths.reduce((low, path) => (path.cost < low.cost ? path : low));

function costOf(fill: Fill, earlier: readonly Day[], constraints: Constraints): number {
  const { perWeek, onHeavyDays, kept, fromDay, taken = [], isDaily } = constraints;
  const even = 7 / perWeek;
  const days = [...earlier.slice(-MOST_IN_SEVEN), ...fill];
  let cost = 0;
  for (let place = days.length - fill.length; place < days.length; place += 1) {
    const day = days[place] ?? 0;
    const gap = day - (days[place - 1] ?? Number.NEGATIVE_INFINITY);
    const first = days[place - MOST_IN_SEVEN];
    if (perWeek <= MOST_IN_SEVEN && !isDaily && first !== undefined && day - first < 7)
      cost += COST.fourInSeven;
    if (Number.isFinite(gap)) {
      cost += COST.perDayOffEven * (gap - even) ** 2;
      if (gap === 1) cost += COST.nextDay;
    }
    if (onHeavyDays === 'apart' && isHeavy(day + 1, constraints)) cost += COST.nextToHeavyDay;
    if (taken.includes(day - 1) || taken.includes(day + 1)) cost += COST.nextDay;
    if (kept.length > 0 && day >= fromDay && !kept.includes(day)) cost += COST.moved;
  }
  return cost;
}

function shortfall(week: number, placed: number, perWeek: number, constraints: Constraints): Unmet {
  const reasons = [
    msg('open on {available}', {
      available: weekdaysText(constraints.available),
    }),
    ...(constraints.heavy.length > 0 ? [heavyDays(constraints)] : []),
    ...(constraints.daysOff.length > 0 ? [msg('days off')] : []),
    ...((constraints.taken?.length ?? 0) > 0 ? [msg('not on days of plans for the same limbs')] : []),
  ];
  const said = msg('Week {week}: {placed} of {perWeek} sessions fit ({reasons}).', {
    week: week + 1,
    placed,
    perWeek,
    reasons: list(reasons, '; '),
  });
  return {
    week,
    rule: 'PRO-3',
    message:
      placed < 2 && !constraints.isDaily ? sentences(said, msg('Fewer than two a week rarely works.')) : said,
  };
}

function heavyDays({ onHeavyDays, heavy }: Constraints): Message {
  const values = { heavy: weekdaysText(heavy) };
  return onHeavyDays === 'apart'
    ? msg('not on heavy days ({heavy})', values)
    : msg('only on heavy days ({heavy})', values);
}

function consecutive(days: readonly Day[], { startDay, done, perWeek, isDaily }: Constraints): Unmet[] {
  if (perWeek > 3 || isDaily) return [];
  return days.flatMap((day, i) => {
    const next = days[i + 1];
    if (next !== day + 1 || (done.includes(day) && done.includes(next))) return [];
    const week = Math.floor((next - startDay) / 7);
    return [
      {
        week,
        rule: 'PRO-3' as const,
        message: msg('Week {week}: {day} and {next} follow each other; a day between would be better.', {
          week: week + 1,
          day: weekdayText(weekdayOf(day)),
          next: weekdayText(weekdayOf(next)),
        }),
      },
    ];
  });
}

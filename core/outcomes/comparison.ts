import { z } from 'zod';
import { capital, list, type Message, msg } from '../message/message';
import { type Day, dayAt, dayOf } from '../quantity/days';
import { LIMB_NAMES, LIMBS, type Limb, limbKind, limbSchema } from '../quantity/limb';
import { seededRandom } from '../simulation/random';
import { type MeasureId, measureIdSchema } from './measures';
import type { Series } from './series';
import { nearestValue, sumOfValues, type Term } from './sum-of-values';
import { isSameFollowed } from './taken';
import { type Judged, judge, type Occasion } from './verdict';

const asked = {
  measureId: measureIdSchema,
  /** As the measure has it; empty where it has none. */
  setting: z.string().trim().max(80, msg('At most 80 letters.')),
  startsOn: z.string().refine((day) => Number.isFinite(dayOf(day)), msg('Enter a day.')),
};

/** What is compared in one person: a limb under the cuff against the other, or times with it against times without. */
export const comparisonWishSchema = z.discriminatedUnion('kind', [
  z.object({
    kind: z.literal('limbs'),
    ...asked,
    limbs: z.enum(['arm', 'leg']),
    weeks: z
      .number(msg('Enter the weeks.'))
      .int(msg('Whole weeks.'))
      .min(4, msg('At least four.'))
      .max(16, msg('At most sixteen.')),
  }),
  z.object({
    kind: z.literal('periods'),
    ...asked,
    /** Null where the measure is of the person. */
    limb: limbSchema.nullable(),
    weeksEach: z
      .number(msg('Enter the weeks.'))
      .int(msg('Whole weeks.'))
      .min(2, msg('At least two.'))
      .max(8, msg('At most eight.')),
    pairs: z
      .number(msg('Enter how many.'))
      .int(msg('A whole number.'))
      .min(2, msg('At least two.'))
      .max(4, msg('At most four.')),
  }),
]);
export type ComparisonWish = z.infer<typeof comparisonWishSchema>;

/** The same with the seed that its order was drawn by: no one chooses it, and anyone can draw it again. */
export type Comparison = ComparisonWish & { seed: number };

/** A time of it, from its first day to the last, with the cuff or without; `limb` is what is measured. */
export type Condition = { fromDay: Day; toDay: Day; withCuff: boolean; limb: Limb | null };

/** Which limb, or which time of each pair, has the cuff: drawn by the seed, the same for ever. */
export function conditionsOf(comparison: Comparison): Condition[] {
  const random = seededRandom(comparison.seed);
  const startDay = dayOf(comparison.startsOn);
  if (comparison.kind === 'limbs') {
    const cuffedFirst = random() < 0.5;
    return LIMBS.filter((limb) => limbKind(limb) === comparison.limbs).map((limb, place) => ({
      fromDay: startDay,
      toDay: startDay + 7 * comparison.weeks - 1,
      withCuff: (place === 0) === cuffedFirst,
      limb,
    }));
  }
  const days = 7 * comparison.weeksEach;
  return Array.from({ length: comparison.pairs }, () => random() < 0.5).flatMap((cuffFirst, pair) =>
    [cuffFirst, !cuffFirst].map((withCuff, second) => {
      const fromDay = startDay + days * (2 * pair + second);
      return { fromDay, toDay: fromDay + days - 1, withCuff, limb: comparison.limb };
    }),
  );
}

/** A value that the comparison is built on: whose, and the day about which it is to be taken. */
export type ToCompare = { limb: Limb | null; day: Day; taken: Occasion | null };

/** Before the first condition a value may be so old; about each end it may be so early or late. */
const BASELINE_DAYS = 14;
const EARLY_DAYS = 3;
const LATE_DAYS = 6;

/** The days about which a value of each limb is to be taken: before, between and after its conditions. */
function boundariesOf(conditions: readonly Condition[]): { limb: Limb | null; day: Day; isFirst: boolean }[] {
  const limbs = [...new Set(conditions.map(({ limb }) => limb))];
  return limbs.flatMap((limb) => {
    const own = conditions.filter((condition) => condition.limb === limb);
    return [own[0]?.fromDay ?? 0, ...own.map(({ toDay }) => toDay + 1)].map((day, place) => ({
      limb,
      day,
      isFirst: place === 0,
    }));
  });
}

/** From and to which day a value counts for a boundary. */
const windowOf = ({ day, isFirst }: { day: Day; isFirst: boolean }) => ({
  fromDay: day - (isFirst ? BASELINE_DAYS : EARLY_DAYS),
  toDay: day + (isFirst ? EARLY_DAYS : LATE_DAYS),
});

/** The last day on which a value still counts for it. */
export const lastDayOf = (comparison: Comparison): Day =>
  Math.max(...boundariesOf(conditionsOf(comparison)).map((boundary) => windowOf(boundary).toDay));

/** What is due to be measured for a comparison today. @param days when each limb's measure was taken */
export function comparisonDue(
  comparison: Comparison,
  daysTaken: (limb: Limb | null) => readonly Day[],
  today: Day,
): { measureId: MeasureId; limb: Limb | null; setting: string; fromDay: Day }[] {
  const { measureId, setting } = comparison;
  return boundariesOf(conditionsOf(comparison)).flatMap((boundary) => {
    const { fromDay, toDay } = windowOf(boundary);
    const isNow = today >= fromDay && today <= toDay;
    const isTaken = daysTaken(boundary.limb).some((day) => day >= fromDay && day <= toDay);
    return isNow && !isTaken ? [{ measureId, limb: boundary.limb, setting, fromDay }] : [];
  });
}

/** How much more it gained with the cuff than without, once every value is there. */
export type Compared = {
  values: ToCompare[];
  /** With minus without, against the errors of all values it is made of; null while one is missing. */
  verdict: Judged | null;
  /** Of all orders that could have been drawn, how many give as much or more; null where there were two only. */
  asLarge: { of: number; orders: number } | null;
};

/**
 * The difference of gains, with the cuff against without. It is a sum over the values about the ends of the conditions, one that
 * ends a condition and begins the next counts in both, so its error is that of the sum: √Σ(coefficient × error)².
 * @example gains of 2.0 with and 0.5 without, errors 0.5 each: 1.5 ± 1.96 × √(4 × 0.25) //=> change 1.5, from −0.46 to 3.46
 */
export function compareArms(
  comparison: Comparison,
  series: readonly Series[],
  zoneOffsetMs: number,
): Compared {
  const conditions = conditionsOf(comparison);
  const values = boundariesOf(conditions).map((boundary): ToCompare => {
    const { fromDay, toDay } = windowOf(boundary);
    const { measureId, setting } = comparison;
    const points = series.find((one) =>
      isSameFollowed(one, { measureId, limb: boundary.limb, setting }),
    )?.points;
    const nearest = nearestValue(points ?? [], ({ atMs }) => dayAt(atMs, zoneOffsetMs), {
      about: boundary.day,
      fromDay,
      toDay,
    });
    return { limb: boundary.limb, day: boundary.day, taken: nearest ?? null };
  });
  const measure = series.find(({ measureId }) => measureId === comparison.measureId)?.measure;
  const sum = measure && sumOf(conditions, values);
  if (!measure || !sum) return { values, verdict: null, asLarge: null };
  return {
    values,
    verdict: judge(measure.better, sum.change, sum.sd),
    asLarge:
      comparison.kind === 'limbs' ? null : countAsLarge(conditions, values, sum.change, measure.better),
  };
}

/** Gains with minus gains without, each the mean of its conditions, and its error; null while a value is missing. */
function sumOf(
  conditions: readonly Condition[],
  values: readonly ToCompare[],
): { change: number; sd: number } | null {
  const terms: Term[] = [];
  for (const { fromDay, toDay, limb, withCuff } of conditions) {
    const [start, end] = [fromDay, toDay + 1].map((day) =>
      values.find((value) => value.limb === limb && value.day === day),
    );
    if (!start?.taken || !end?.taken) return null;
    const share = (withCuff ? 1 : -1) / conditions.filter((other) => other.withCuff === withCuff).length;
    terms.push([end.taken, share], [start.taken, -share]);
  }
  return sumOfValues(terms);
}

/** Every order the pairs could have been drawn in, and how many of them favour the cuff as much as the one that was. */
function countAsLarge(
  conditions: readonly Condition[],
  values: readonly ToCompare[],
  change: number,
  better: 'higher' | 'lower' | 'neither',
): { of: number; orders: number } {
  const pairs = conditions.length / 2;
  const orders = 2 ** pairs;
  const sign = better === 'lower' ? -1 : 1;
  const asLarge = Array.from({ length: orders }, (_, order) =>
    conditions.map((condition, place) => ({
      ...condition,
      withCuff: (place % 2 === 0) === (((order >> Math.floor(place / 2)) & 1) === 1),
    })),
  ).filter((other) => sign * (sumOf(other, values)?.change ?? 0) >= sign * change - 1e-9).length;
  return { of: asLarge, orders };
}

/** What was drawn, in words. @example 'Left thigh with the cuff, right thigh without' */
export function drawnWords(comparison: Comparison): Message {
  const conditions = conditionsOf(comparison);
  if (comparison.kind === 'periods')
    return list(
      conditions.map(({ withCuff }) => (withCuff ? msg('with') : msg('without'))),
      ', ',
    );
  const limbsOf = (withCuff: boolean) =>
    conditions.flatMap(({ limb, withCuff: has }) => (limb && has === withCuff ? [LIMB_NAMES[limb]] : []));
  return msg('{limbs} with the cuff, {others} without', {
    limbs: capital(list(limbsOf(true), 'and')),
    others: list(limbsOf(false), 'and'),
  });
}

/** The conditions of a day: both limbs', or that of the time it lies in; none before and after it. */
export function conditionsOn(comparison: Comparison, day: Day): Condition[] {
  return conditionsOf(comparison).filter(({ fromDay, toDay }) => day >= fromDay && day <= toDay);
}

/** What a comparison can say, and what it cannot. */
export const COMPARISON_LIMITS: Record<ComparisonWish['kind'], { can: Message; cannot: Message }> = {
  limbs: {
    can: msg('whether the limb under the cuff gained more than the other, beyond what measuring is off by.'),
    cannot: msg(
      'The other limb gains too, from the training of the first and from everyday life, so a true difference may look smaller. Nothing about anyone else.',
    ),
  },
  periods: {
    can: msg('whether times with the cuff brought more than times without, beyond what measuring is off by.'),
    cannot: msg(
      'What one time leaves behind counts for the next, and who trains for longer gains more slowly. Nothing about anyone else.',
    ),
  },
};

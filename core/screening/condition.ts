import { z } from 'zod';
import { LIMBS, type Limb, limbSchema } from '../quantity/limb';
import { newest } from '../quantity/newest';
import { MS_PER_DAY } from '../quantity/units';
import {
  type BloodPressure,
  bloodPressureLevel,
  bloodPressureSchema,
  meanBloodPressure,
} from './blood-pressure';
import type { FoundSubject } from './clearance';
import { type ItemId, itemIdSchema, SCREEN_ITEMS } from './items';
import { procedureSchema, type Screening } from './screening';

/** What a condition is about. An operation that was named has its procedure; one that was only said has its item alone. */
export const conditionDetailSchema = z.discriminatedUnion('kind', [
  z.object({ kind: z.literal('item'), item: itemIdSchema, limbs: z.array(limbSchema).max(4) }),
  z.object({ kind: z.literal('procedure'), procedure: procedureSchema }),
  z.object({ kind: z.literal('blood-pressure'), bloodPressure: bloodPressureSchema }),
]);
export type ConditionDetail = z.infer<typeof conditionDetailSchema>;

/**
 * What a person has, or had done: a fact with its own life. A screening begins it; a later "no" does not end it. It ends by its
 * term, or by a clinician with a reason (rule SCR-1).
 */
export type Condition = {
  id: string;
  /** What began it; the same cause begins one condition, however often it is sent. */
  cause: string;
  /** When the server received what began it. */
  atMs: number;
  detail: ConditionDetail;
  /** Null where it has no term. */
  endsAtMs: number | null;
  ended: { atMs: number; by: string; reason: string } | null;
};

export type NewCondition = Omit<Condition, 'id' | 'ended'>;

/** What is judged: what a person has, with its limbs and the blood pressures that count. */
export type Answered = Pick<Screening, 'yes' | 'bloodPressures' | 'places'>;

export const subjectOf = (detail: ConditionDetail): FoundSubject => {
  switch (detail.kind) {
    case 'item':
      return detail.item;
    case 'procedure':
      return 'recent-surgery';
    case 'blood-pressure':
      return 'blood-pressure';
  }
};

type Begun = Pick<Screening, 'yes' | 'bloodPressures' | 'places' | 'procedures' | 'adultFromMs'>;

/**
 * The conditions that a screening begins: each item that is there, each operation, and a resting blood pressure that is not
 * usual (rule SCR-1).
 */
export function conditionsOfScreening(screeningId: string, screening: Begun, atMs: number): NewCondition[] {
  const { yes, bloodPressures, places = [], procedures = [], adultFromMs = null } = screening;
  const begun = (name: string, detail: ConditionDetail, endsAtMs: number | null): NewCondition => ({
    cause: `screening ${screeningId} ${name}`,
    atMs,
    detail,
    endsAtMs,
  });
  const isNamed = procedures.length > 0;
  const items = yes
    .filter((item) => item !== 'recent-surgery' || !isNamed)
    .map((item) => {
      const limbs = places.find((place) => place.item === item)?.limbs ?? [];
      return begun(item, { kind: 'item', item, limbs }, termOf(item, atMs, adultFromMs));
    });
  const operations = yes.includes('recent-surgery')
    ? procedures.map((procedure, place) =>
        begun(
          `procedure-${place}`,
          { kind: 'procedure', procedure },
          termOf('recent-surgery', procedure.atMs, null),
        ),
      )
    : [];
  const mean = bloodPressures.length > 0 ? meanBloodPressure(bloodPressures) : null;
  const pressures =
    mean !== null && bloodPressureLevel(mean) !== null
      ? [begun('blood-pressure', { kind: 'blood-pressure', bloodPressure: mean }, null)]
      : [];
  return [...items, ...operations, ...pressures];
}

/** When an item ends by itself; null where it does not. */
function termOf(item: ItemId, fromMs: number, adultFromMs: number | null): number | null {
  if (item === 'under-18') return adultFromMs;
  const { countsDays } = SCREEN_ITEMS[item];
  return countsDays === undefined ? null : fromMs + countsDays * MS_PER_DAY;
}

/** Whether a condition counts at `nowMs`: exactly at its end it still does. */
export const isCurrent = (
  { atMs, endsAtMs, ended }: Pick<Condition, 'atMs' | 'endsAtMs' | 'ended'>,
  nowMs: number,
): boolean => ended === null && atMs <= nowMs && (endsAtMs === null || nowMs <= endsAtMs);

function limbsIn({ detail }: Condition): readonly Limb[] {
  switch (detail.kind) {
    case 'item':
      return detail.limbs;
    case 'procedure':
      return detail.procedure.limb === 'no-limb' ? [] : [detail.procedure.limb];
    case 'blood-pressure':
      return [];
  }
}

/** What a person has by their conditions, as a screening would say it; of several blood pressures the newest (rule SCR-1). */
export function answeredBy(conditions: readonly Condition[], nowMs: number): Required<Answered> {
  const current = conditions.filter((condition) => isCurrent(condition, nowMs));
  const subjects = new Set(current.map(({ detail }) => subjectOf(detail)));
  const yes = itemIdSchema.options.filter((item) => subjects.has(item));
  /** None where it is, in one case at least, in no named limb: then it is of the whole person. */
  const limbsOf = (item: ItemId): Limb[] => {
    const named = current.filter(({ detail }) => subjectOf(detail) === item).map(limbsIn);
    return named.some((limbs) => limbs.length === 0)
      ? []
      : LIMBS.filter((limb) => named.some((limbs) => limbs.includes(limb)));
  };
  const last = newest(
    current.flatMap(({ atMs, detail }) =>
      detail.kind === 'blood-pressure' ? [{ atMs, bloodPressure: detail.bloodPressure }] : [],
    ),
  );
  return {
    yes,
    places: yes.flatMap((item) => {
      const limbs = limbsOf(item);
      return limbs.length > 0 ? [{ item, limbs }] : [];
    }),
    bloodPressures: last ? [last.bloodPressure] : [],
  };
}

/** What is typed now together with what is on record: a "no" takes nothing away (rule SCR-1). */
export function together(onRecord: Required<Answered>, typed: Required<Answered>): Required<Answered> {
  const yes = [...new Set([...onRecord.yes, ...typed.yes])];
  const limbsIn = (places: Required<Answered>['places'], item: ItemId): Limb[] =>
    places?.find((place) => place.item === item)?.limbs ?? [];
  return {
    yes,
    places: yes.flatMap((item) => {
      const limbs = [...new Set([...limbsIn(onRecord.places, item), ...limbsIn(typed.places, item)])];
      return limbs.length > 0 ? [{ item, limbs }] : [];
    }),
    bloodPressures: worse(onRecord.bloodPressures, typed.bloodPressures),
  };
}

/** Of what is on record and what was measured, what asks for more. */
function worse(onRecord: readonly BloodPressure[], typed: readonly BloodPressure[]): BloodPressure[] {
  const RANK = { stop: 2, clear: 1 };
  const rankOf = (readings: readonly BloodPressure[]): number => {
    const level = readings.length === 0 ? null : bloodPressureLevel(meanBloodPressure(readings));
    return level === null ? 0 : RANK[level];
  };
  return rankOf(onRecord) > rankOf(typed) ? [...onRecord] : [...typed];
}

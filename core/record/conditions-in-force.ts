import { ageOn } from '../quantity/age';
import { dayAt } from '../quantity/days';
import type { Limb } from '../quantity/limb';
import { RULES } from '../rules/catalogue';
import { bloodPressureLevel, meanBloodPressure } from '../screening/blood-pressure';
import { isInForce } from '../screening/clearance';
import { type Answered, answeredBy, type Condition, isCurrent } from '../screening/condition';
import { DAY_SIGNS, type DaySign, daySignSchema } from '../screening/day-check';
import type { ItemId } from '../screening/items';
import type { ClientFacts } from './facts';

// What a person has now. Everything that depends on it asks here, and nothing asks the newest questionnaire (rule SCR-1).

type Conditions = Pick<ClientFacts, 'conditions'> & Partial<Pick<ClientFacts, 'bornOn' | 'zoneOffsetMs'>>;

/** What a person has now, as a screening would say it; what their age says where their birth date is known, whatever was answered. */
export function answeredInForce(facts: Conditions, nowMs: number): Required<Answered> {
  const answered = answeredBy(facts.conditions, nowMs);
  const { bornOn, zoneOffsetMs = 0 } = facts;
  if (!bornOn) return answered;
  const age = ageOn(bornOn, dayAt(nowMs, zoneOffsetMs));
  const byAge = AGE_ITEMS.filter((item) => OF_AGE[item](age));
  return { ...answered, yes: [...answered.yes.filter((item) => !isAgeItem(item)), ...byAge] };
}

/** What a birth date answers by itself: those questions are not asked then. */
const AGE_ITEMS = ['under-18', 'over-65'] as const satisfies readonly ItemId[];
export const isAgeItem = (item: ItemId): boolean => AGE_ITEMS.some((one) => one === item);

const OF_AGE: Record<(typeof AGE_ITEMS)[number], (age: number) => boolean> = {
  'under-18': (age) => age < RULES['SCR-1'].figures.adultFromYears,
  'over-65': (age) => age >= RULES['PRO-6'].figures.fromYears,
};

export const has = (facts: Conditions, item: ItemId, nowMs: number): boolean =>
  answeredInForce(facts, nowMs).yes.includes(item);

/** 65 years or older, as far as it was said (rules RUN-8, PRO-6). */
export const isFrom65 = (facts: Conditions, nowMs: number): boolean => has(facts, 'over-65', nowMs);

/** Whether a guardian answers for them (rules SCR-1, SCR-6). */
export const isMinor = (facts: Conditions, nowMs: number): boolean => has(facts, 'under-18', nowMs);

/** Operations on limbs that no clinician has ended, however long ago: days since one are counted from them (rule PRO-5). */
export const proceduresOnRecord = ({ conditions }: Conditions, nowMs: number): LimbProcedure[] =>
  conditions.filter(({ ended, atMs }) => ended === null && atMs <= nowMs).flatMap(ofLimb);

/** Those of the last 12 weeks, which the rules for after an operation are about (rules SCR-1, SCR-4). */
export const proceduresInForce = ({ conditions }: Conditions, nowMs: number): LimbProcedure[] =>
  conditions.filter((condition) => isCurrent(condition, nowMs)).flatMap(ofLimb);

/** Limbs of operations of the 12 weeks before a day, whenever they were recorded: for what is entered later (rule LOAD-2). */
export const operatedOn = (conditions: readonly Condition[], dayMs: number): Limb[] =>
  conditions
    .filter(({ ended }) => ended === null)
    .flatMap((condition) => ofLimb(condition).map((of) => ({ ...of, endsAtMs: condition.endsAtMs })))
    .filter(({ atMs, endsAtMs }) => atMs <= dayMs && (endsAtMs === null || dayMs <= endsAtMs))
    .map(({ limb }) => limb);

type LimbProcedure = { limb: Limb; atMs: number };

const ofLimb = ({ detail }: Condition): LimbProcedure[] =>
  detail.kind === 'procedure' && detail.procedure.limb !== 'no-limb'
    ? [{ limb: detail.procedure.limb, atMs: detail.procedure.atMs }]
    : [];

/** Whether a limb was operated on so lately that it counts. */
export const isOperated = (facts: Conditions, limb: Limb, nowMs: number): boolean =>
  proceduresInForce(facts, nowMs).some((procedure) => procedure.limb === limb);

/** Whether an operation is on record of which nothing says where it was: that is asked, not assumed (rule SCR-1). */
export const isPlaceOfSurgeryUnknown = ({ conditions }: Conditions, nowMs: number): boolean =>
  conditions.some(
    (condition) =>
      condition.detail.kind === 'item' &&
      condition.detail.item === 'recent-surgery' &&
      isCurrent(condition, nowMs),
  );

/** What a check on the day asks: after an operation there is a question of its own (rule SCR-3). */
export const daySignsAsked = (facts: Conditions, nowMs: number): DaySign[] =>
  daySignSchema.options.filter(
    (sign) => !DAY_SIGNS[sign].postOperative || has(facts, 'recent-surgery', nowMs),
  );

/** Whether a check on the day needs a blood pressure: for hypertension, treated or not, or where a clearance asks (SCR-3). */
export function needsBloodPressure(
  facts: Pick<ClientFacts, 'conditions' | 'clearances'>,
  nowMs: number,
): boolean {
  const { yes, bloodPressures } = answeredInForce(facts, nowMs);
  const isHigh = bloodPressures.length > 0 && bloodPressureLevel(meanBloodPressure(bloodPressures)) !== null;
  return (
    isHigh ||
    yes.includes('hypertension-treated') ||
    facts.clearances.some(
      (clearance) =>
        isInForce(clearance, nowMs) &&
        clearance.subjects.some(
          (subject) => subject === 'blood-pressure' || subject === 'hypertension-treated',
        ),
    )
  );
}

/** Whether blood pressure is watched in work: for high blood pressure, treated or not, and over 65 (rule RUN-8). */
export const watchesBloodPressure = (
  facts: Pick<ClientFacts, 'conditions' | 'clearances'>,
  nowMs: number,
): boolean => needsBloodPressure(facts, nowMs) || isFrom65(facts, nowMs);

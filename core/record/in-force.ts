import type { FitFact } from '../cuff/fact';
import { fitInForce } from '../occlusion-pressure/in-force';
import type { ShelfLife } from '../occlusion-pressure/shelf-life';
import { LIMBS, type Limb } from '../quantity/limb';
import { newest } from '../quantity/newest';
import { MS_PER_DAY } from '../quantity/units';
import { RULES } from '../rules/catalogue';
import { type BloodPressure, bloodPressureLevel, meanBloodPressure } from '../screening/blood-pressure';
import { isInForce } from '../screening/clearance';
import { DAY_CHECK_HOLDS_MS, type DayCheck } from '../screening/day-check';
import type { ClientFacts } from './facts';

export { fitInForce, pressureInForce, whyDue } from '../occlusion-pressure/in-force';
// The one answer to what counts now (rule START-2): draft, checks, chain, roster, server and live session all ask here.
export { limitsInForce } from '../screening/clearance';
export { testInForce } from '../strength/in-force';
export { holdsInForce } from './holds';
export { nextPlan, plansInForce } from './plans-in-force';

/** The cuff on a limb now; `undefined` where there is none, or a strap instead. */
export function cuffInForce(
  { fits }: Pick<ClientFacts, 'fits'>,
  limb: Limb,
): Extract<FitFact, { kind: 'cuff' }> | undefined {
  const fit = fitInForce(fits, limb);
  return fit?.kind === 'cuff' ? fit : undefined;
}

const PROCEDURE_COUNTS_MS = RULES['SCR-1'].figures.procedureCountsDays * MS_PER_DAY;

/**
 * Operations of the last 12 weeks, by limb (rules SCR-1, SCR-4). A screening that names none but says that there was one
 * counts for every limb.
 */
export function proceduresInForce(
  { screenings }: Pick<ClientFacts, 'screenings'>,
  nowMs: number,
): { limb: Limb; atMs: number }[] {
  const last = newest(screenings);
  if (!last?.yes.includes('recent-surgery')) return [];
  const named = last.procedures ?? [];
  if (named.length === 0) return LIMBS.map((limb) => ({ limb, atMs: last.atMs }));
  return named
    .filter(({ atMs }) => nowMs - atMs <= PROCEDURE_COUNTS_MS)
    .map(({ limb, atMs }) => ({ limb, atMs }));
}

/** How long a pressure of a limb holds: every session after an operation on it, else as set for it, else for them (LOP-6). */
export const shelfLifeInForce = (
  facts: Pick<ClientFacts, 'screenings' | 'shelfLife' | 'limbShelfLives'>,
  limb: Limb,
  nowMs: number,
): ShelfLife =>
  proceduresInForce(facts, nowMs).some((procedure) => procedure.limb === limb)
    ? 'every-session'
    : (facts.limbShelfLives.find((own) => own.limb === limb)?.shelfLife ?? facts.shelfLife);

/** The check made today, if there is one (rule SCR-3). */
export function dayCheckInForce(
  { dayChecks }: Pick<ClientFacts, 'dayChecks'>,
  nowMs: number,
): DayCheck | undefined {
  const last = newest(dayChecks);
  return last && nowMs - last.atMs < DAY_CHECK_HOLDS_MS ? last : undefined;
}

/** Whether a check on the day needs a blood pressure: for hypertension, treated or not, or where a clearance asks (SCR-3). */
export function needsBloodPressure(
  { screenings, clearances }: Pick<ClientFacts, 'screenings' | 'clearances'>,
  nowMs: number,
): boolean {
  const last = newest(screenings);
  if (!last) return false;
  const high =
    last.bloodPressures.length > 0 && bloodPressureLevel(meanBloodPressure(last.bloodPressures)) !== null;
  return (
    high ||
    last.yes.includes('hypertension-treated') ||
    clearances.some(
      (clearance) =>
        isInForce(clearance, nowMs) &&
        clearance.subjects.some(
          (subject) => subject === 'blood-pressure' || subject === 'hypertension-treated',
        ),
    )
  );
}

/** The newest resting blood pressure of the last 12 weeks, the mean of its readings; none where there is no other (LOP-7). */
export function restingPressureInForce(
  { screenings }: Pick<ClientFacts, 'screenings'>,
  nowMs: number,
): BloodPressure | undefined {
  const last = newest(screenings.filter(({ bloodPressures }) => bloodPressures.length > 0));
  if (!last || nowMs - last.atMs > RULES['SCR-1'].figures.shelfLifeDays * MS_PER_DAY) return undefined;
  return meanBloodPressure(last.bloodPressures);
}

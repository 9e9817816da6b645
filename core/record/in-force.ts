import type { FitFact } from '../cuff/fact';
import { fitInForce } from '../occlusion-pressure/in-force';
import type { Limb } from '../quantity/limb';
import { newest } from '../quantity/newest';
import { MS_PER_DAY } from '../quantity/units';
import { RULES } from '../rules/catalogue';
import { type BloodPressure, bloodPressureLevel, meanBloodPressure } from '../screening/blood-pressure';
import { isInForce } from '../screening/clearance';
import {
  DAY_CHECK_HOLDS_MS,
  DAY_SIGNS,
  type DayCheck,
  type DaySign,
  daySignSchema,
} from '../screening/day-check';
import type { ClientFacts } from './facts';

export { fitInForce, pressureInForce, whyDue } from '../occlusion-pressure/in-force';
// The one answer to what counts now (rule START-2): draft, checks, chain, roster, server and live session all ask here.
export { limitsInForce } from '../screening/clearance';
export { testInForce } from '../strength/in-force';
export { holdsInForce } from './holds';
export { nextPlan, plansInForce } from './plans-in-force';
export { isOperated, proceduresInForce, shelfLifeInForce } from './shelf-life-in-force';

/** The cuff on a limb now; `undefined` where there is none, or a strap instead. */
export function cuffInForce(
  { fits }: Pick<ClientFacts, 'fits'>,
  limb: Limb,
): Extract<FitFact, { kind: 'cuff' }> | undefined {
  const fit = fitInForce(fits, limb);
  return fit?.kind === 'cuff' ? fit : undefined;
}

/** The check made today, if there is one (rule SCR-3). */
export function dayCheckInForce(
  { dayChecks }: Pick<ClientFacts, 'dayChecks'>,
  nowMs: number,
): DayCheck | undefined {
  const last = newest(dayChecks);
  return last && nowMs - last.atMs < DAY_CHECK_HOLDS_MS ? last : undefined;
}

/** What a check on the day asks: an operated limb has a question of its own (rule SCR-3). */
export function daySignsAsked({ screenings }: Pick<ClientFacts, 'screenings'>): DaySign[] {
  const isOperated = newest(screenings)?.yes.includes('recent-surgery');
  return daySignSchema.options.filter((sign) => !DAY_SIGNS[sign].postOperative || isOperated);
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

/** Whether blood pressure is watched in work: for high blood pressure, treated or not, and over 65 (rule RUN-8). */
export const watchesBloodPressure = (
  facts: Pick<ClientFacts, 'screenings' | 'clearances'>,
  nowMs: number,
): boolean =>
  needsBloodPressure(facts, nowMs) || (newest(facts.screenings)?.yes.includes('over-65') ?? false);

/** The newest resting blood pressure of the last 12 weeks, the mean of its readings; none where there is no other (LOP-7). */
export function restingPressureInForce(
  { screenings }: Pick<ClientFacts, 'screenings'>,
  nowMs: number,
): BloodPressure | undefined {
  const last = newest(screenings.filter(({ bloodPressures }) => bloodPressures.length > 0));
  if (!last || nowMs - last.atMs > RULES['SCR-1'].figures.shelfLifeDays * MS_PER_DAY) return undefined;
  return meanBloodPressure(last.bloodPressures);
}

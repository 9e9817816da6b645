import type { FitFact } from '../cuff/fact';
import { fitInForce } from '../occlusion-pressure/in-force';
import type { Limb } from '../quantity/limb';
import { newest } from '../quantity/newest';
import { MS_PER_DAY } from '../quantity/units';
import { RULES } from '../rules/catalogue';
import { type BloodPressure, meanBloodPressure } from '../screening/blood-pressure';
import { DAY_CHECK_HOLDS_MS, type DayCheck, daySignSchema } from '../screening/day-check';
import type { ClientFacts } from './facts';

export { fitInForce, pressureInForce, whyDue } from '../occlusion-pressure/in-force';
// The one answer to what counts now (rule START-2): draft, checks, chain, roster, server and live session all ask here.
export { testInForce } from '../strength/in-force';
export {
  answeredInForce,
  daySignsAsked,
  isAgeItem,
  isMinor,
  isOperated,
  isPlaceOfSurgeryUnknown,
  needsBloodPressure,
  operatedOn,
  proceduresInForce,
  proceduresOnRecord,
  watchesBloodPressure,
} from './conditions-in-force';
export { holdsInForce } from './holds';
export { limitsInForce } from './limits-in-force';
export { nextPlan, plansInForce } from './plans-in-force';
export { shelfLifeInForce } from './shelf-life-in-force';

/** The cuff on a limb now; `undefined` where there is none, or a strap instead. */
export function cuffInForce(
  { fits }: Pick<ClientFacts, 'fits'>,
  limb: Limb,
): Extract<FitFact, { kind: 'cuff' }> | undefined {
  const fit = fitInForce(fits, limb);
  return fit?.kind === 'cuff' ? fit : undefined;
}

/**
 * What was said today: of several checks the worst answer to each question, from the last one by a clinician on; the newest
 * blood pressure (rule SCR-3). Nothing that is dated ahead counts (rule START-4). `undefined` where there was no check.
 */
export function dayCheckInForce(
  { dayChecks }: Pick<ClientFacts, 'dayChecks'>,
  nowMs: number,
): DayCheck | undefined {
  const today = dayChecks
    .filter(({ atMs }) => atMs <= nowMs && nowMs - atMs < DAY_CHECK_HOLDS_MS)
    .sort((a, b) => a.atMs - b.atMs);
  const decided = today.findLastIndex(({ by }) => by === 'clinician');
  const counting = today.slice(Math.max(0, decided));
  const last = counting.at(-1);
  if (!last) return undefined;
  const measured = today.findLast(({ bloodPressure }) => bloodPressure !== null);
  return {
    atMs: last.atMs,
    notWell: daySignSchema.options.filter((sign) => counting.some(({ notWell }) => notWell.includes(sign))),
    painNow: Math.max(...counting.map(({ painNow }) => painNow)),
    bloodPressure: measured?.bloodPressure ?? null,
  };
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

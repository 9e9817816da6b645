import type { Derived } from '../derivation/derived';
import { type Limb, limbKind } from '../quantity/limb';
import { SCHOOLS, type SchoolId } from '../rules/schools';

const POINTS_PER_WEEK = 5;
const RE_ENTRY_MMHG = { below: 40, aDay: 10 };

/**
 * Share of LOP to propose, in %LOP (rules PRS-2, PRS-4).
 * @param weeksTrained whole weeks since the first finished session; 0 for a newcomer
 * @param capPercentLop what a clearance caps it at, or `null` (rule SCR-2)
 */
export function proposedPercent(
  limb: Limb,
  schoolId: SchoolId,
  weeksTrained: number,
  capPercentLop: number | null = null,
): Derived {
  const school = SCHOOLS[schoolId];
  const { start, usual } = school.percentLop[limbKind(limb)];
  const ramped = Math.min(usual, start + POINTS_PER_WEEK * weeksTrained);
  const value = Math.min(ramped, capPercentLop ?? ramped);
  return {
    value,
    unit: '%LOP',
    working: [
      { label: school.label, detail: `starts at ${start} %, usually ${usual} %` },
      {
        label: weeksTrained === 0 ? 'First week' : `Week ${weeksTrained + 1}`,
        detail: `${start} + ${POINTS_PER_WEEK} × ${weeksTrained}, not above ${usual} → ${ramped} %`,
      },
      ...(value < ramped ? [{ label: 'Clearance', detail: `capped at ${capPercentLop} %` }] : []),
    ],
    rules: value < ramped ? ['PRS-2', 'PRS-4', 'SCR-2'] : ['PRS-2', 'PRS-4'],
  };
}

/**
 * Pressure of passive cycles after an operation: 40 mmHg under the training pressure on the first day, 10 more each day,
 * until it is reached (rule PRS-4).
 * @param trainingMmHg the pressure to build up to @param days whole days since the first one; 0 on it
 */
export const passiveReEntryMmHg = (trainingMmHg: number, days: number): number =>
  Math.max(0, Math.min(trainingMmHg, trainingMmHg - RE_ENTRY_MMHG.below + RE_ENTRY_MMHG.aDay * days));

import { type Limb, limbKind, type Position, uprightness } from '../quantity/limb';
import type { Finding } from '../rules/finding';
import { LIMITS } from '../rules/limits';
import { SCHOOLS, type SchoolId } from '../rules/schools';

/**
 * Findings on the share of LOP asked of a limb that exercises (rules PRS-2, PRS-3).
 * @param percentLop intended share, in % of LOP
 */
export function checkExercisePercent(limb: Limb, percentLop: number, schoolId: SchoolId): Finding[] {
  const { guardLow, gradedStartArmLow, hardHigh } = LIMITS.exercisePercentLop;
  const kind = limbKind(limb);
  if (percentLop > hardHigh) {
    return [
      {
        rule: 'PRS-3',
        level: 'hard',
        subject: 'percentLop',
        message: `${percentLop} % is above ${hardHigh} % of LOP, which nobody may exercise at.`,
        remedy: `Set ${hardHigh} % or lower.`,
      },
    ];
  }
  const low = schoolId === 'graded-start' && kind === 'arm' ? gradedStartArmLow : guardLow;
  if (percentLop < low) {
    return [
      {
        rule: 'PRS-3',
        level: 'guard',
        subject: 'percentLop',
        message: `${percentLop} % is below the ${low} % that exercise is usually done at.`,
        remedy: `Set ${low} % or more, or have a clinician give the reason.`,
      },
    ];
  }
  const { start, top } = SCHOOLS[schoolId].percentLop[kind];
  if (start <= percentLop && percentLop <= top) return [];
  return [
    {
      rule: 'PRS-2',
      level: 'note',
      subject: 'percentLop',
      message: `${SCHOOLS[schoolId].label} works at ${start}–${top} % on this limb; ${percentLop} % is outside it.`,
      remedy: `Set ${start}–${top} %, or choose another school.`,
    },
  ];
}

/** Finding on exercising in another position than the one the pressure was measured in (rule LOP-5). */
export function checkPosition(measured: Position, exercised: Position): Finding[] {
  const steps = uprightness(exercised, measured);
  if (steps === 0) return [];
  const common = { rule: 'LOP-5', subject: 'position' } as const;
  return steps > 0
    ? [
        {
          ...common,
          level: 'note',
          message: `Measured ${measured}, exercised ${exercised}: real restriction is lower than planned.`,
          remedy: `Measure ${exercised} for the true figure.`,
        },
      ]
    : [
        {
          ...common,
          level: 'guard',
          message: `Measured ${measured}, exercised ${exercised}: real restriction is higher than planned.`,
          remedy: `Measure again ${exercised}, or have a clinician give the reason.`,
        },
      ];
}

import type { Finding } from '../findings/finding';
import { SCHOOLS, type SchoolId } from '../protocol/schools';
import { type Limb, limbKind, type Position, uprightness } from '../quantity/limb';
import { RULES } from '../rules/catalogue';

/** What else bounds the share of a limb that exercises. */
export type ExerciseBounds = {
  /** The share the protocol brings with it, before which the school's start steps back. */
  byProtocol?: { low: number; high: number } | null;
  /** What a clearance caps it at (rule SCR-2). */
  capPercentLop?: number | null;
  /** What the newcomer's ramp allows this week (rule PRS-4). */
  rampPercentLop?: number | null;
};

/**
 * Findings on the share of LOP asked of a limb that exercises (rules PRS-2, PRS-3, PRS-4).
 * @param percentLop intended share, in % of LOP
 */
export function checkExercisePercent(
  limb: Limb,
  percentLop: number,
  schoolId: SchoolId,
  { byProtocol = null, capPercentLop = null, rampPercentLop = null }: ExerciseBounds = {},
): Finding[] {
  const { noteBelow, gradedStartArm, most } = RULES['PRS-3'].figures.exercisePercentLop;
  const kind = limbKind(limb);
  if (percentLop > most) {
    return [
      {
        rule: 'PRS-3',
        level: 'hard',
        subject: 'percentLop',
        message: `${percentLop} % is above ${most} % of LOP, which nobody may exercise at.`,
        remedy: `Set ${most} % or lower.`,
        fix: { set: 'percentLop', to: most, as: 'most' },
      },
    ];
  }
  const low = schoolId === 'graded-start' && kind === 'arm' ? gradedStartArm : noteBelow;
  // Lower is safer: it is said, and where a clearance set it, not even that.
  if (percentLop < low) {
    if (capPercentLop !== null && percentLop <= capPercentLop && capPercentLop < low) return [];
    return [
      {
        rule: 'PRS-3',
        level: 'note',
        subject: 'percentLop',
        message: `${percentLop} % is below the ${low} % that exercise is usually done at.`,
        remedy: `Set ${low} % or more, unless less is meant.`,
        fix: { set: 'percentLop', to: low, as: 'least' },
      },
    ];
  }
  const { start, top } = SCHOOLS[schoolId].percentLop[kind];
  if (percentLop > top) {
    return [
      {
        rule: 'PRS-3',
        level: 'guard',
        subject: 'percentLop',
        message: `${percentLop} % is above the ${top} % that ${SCHOOLS[schoolId].label} goes to on this kind of limb.`,
        remedy: `Set ${top} % or lower, or have a clinician give the reason.`,
        fix: { set: 'percentLop', to: top, as: 'most' },
      },
    ];
  }
  if (rampPercentLop !== null && percentLop > rampPercentLop) {
    return [
      {
        rule: 'PRS-4',
        level: 'guard',
        subject: 'percentLop',
        message: `${percentLop} % is above the ${rampPercentLop} % that the ramp allows this week.`,
        remedy: `Set ${rampPercentLop} % or lower, or have a clinician give the reason.`,
        fix: { set: 'percentLop', to: rampPercentLop, as: 'most' },
      },
    ];
  }
  // A protocol or school that works above what the top, the ramp or a cap allows is done at that: no remedy leads past it.
  const allowed = Math.min(top, rampPercentLop ?? top, capPercentLop ?? top);
  const usual = byProtocol ?? { low: start, high: top };
  const range = { low: Math.min(usual.low, allowed), high: Math.min(usual.high, allowed) };
  if (percentLop >= range.low && percentLop <= range.high) return [];
  const who = byProtocol ? 'This protocol' : SCHOOLS[schoolId].label;
  const span = range.low === range.high ? `${range.low}` : `${range.low}–${range.high}`;
  return [
    {
      rule: 'PRS-2',
      level: 'note',
      subject: 'percentLop',
      message: `${who} works at ${span} % on this limb; ${percentLop} % is outside it.`,
      remedy: byProtocol ? `Set ${span} %.` : `Set ${span} %, or choose another school.`,
      fix:
        percentLop < range.low
          ? { set: 'percentLop', to: range.low, as: 'least' }
          : { set: 'percentLop', to: range.high, as: 'most' },
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
          level: 'hard',
          message: `Measured ${measured}, exercised ${exercised}: real restriction is higher than planned.`,
          remedy: `Measure ${exercised}, or exercise ${measured}.`,
          fix: { set: 'position', to: measured },
        },
      ];
}

/**
 * Findings on the share of LOP of passive cycles, where no limb exercises (rule PRS-3).
 * @param percentLop intended share, in % of LOP
 * @param reEntry after an operation the pressure is built up from below, so a low share is as it should be (rule PRS-4)
 */
export function checkPassivePercent(percentLop: number, reEntry = false): Finding[] {
  const { noteBelow, most } = RULES['PRS-3'].figures.passivePercentLop;
  if (percentLop > most) {
    return [
      {
        rule: 'PRS-3',
        level: 'hard',
        subject: 'percentLop',
        message: `${percentLop} % is above the occlusion pressure itself.`,
        remedy: `Set ${most} % or lower.`,
        fix: { set: 'percentLop', to: most, as: 'most' },
      },
    ];
  }
  if (percentLop >= noteBelow || reEntry) return [];
  return [
    {
      rule: 'PRS-3',
      level: 'note',
      subject: 'percentLop',
      message: `Passive cycles are done at ${noteBelow}–${most} % of LOP.`,
      remedy: `Set ${noteBelow} % or more.`,
      fix: { set: 'percentLop', to: noteBelow, as: 'least' },
    },
  ];
}

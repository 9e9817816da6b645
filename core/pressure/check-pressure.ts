import type { Finding } from '../findings/finding';
import { msg, type Value } from '../message/message';
import { SCHOOLS } from '../protocol/data/schools';
import type { SchoolId } from '../protocol/schools';
import { type Limb, limbKind, POSITION_NAMES, type Position, uprightness } from '../quantity/limb';
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
        message: msg('{percentLop} % is above {most} % of LOP, which must not be exercised at.', {
          percentLop,
          most,
        }),
        remedy: msg('Set {most} % or lower.', { most }),
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
        message: msg('{percentLop} % is below the {low} % that exercise is usually done at.', {
          percentLop,
          low,
        }),
        remedy: msg('Set {low} % or more, unless less is meant.', { low }),
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
        message: msg('{percentLop} % is above the {top} % that {school} goes to on this kind of limb.', {
          percentLop,
          top,
          school: SCHOOLS[schoolId].label,
        }),
        remedy: msg('Set {top} % or lower, or have a clinician give the reason.', { top }),
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
        message: msg('{percentLop} % is above the {rampPercentLop} % that the ramp allows this week.', {
          percentLop,
          rampPercentLop,
        }),
        remedy: msg('Set {rampPercentLop} % or lower, or have a clinician give the reason.', {
          rampPercentLop,
        }),
        fix: { set: 'percentLop', to: rampPercentLop, as: 'most' },
      },
    ];
  }
  // A protocol or school that works above what the top, the ramp or a cap allows is done at that: no remedy leads past it.
  const allowed = Math.min(top, rampPercentLop ?? top, capPercentLop ?? top);
  const usual = byProtocol ?? { low: start, high: top };
  const range = { low: Math.min(usual.low, allowed), high: Math.min(usual.high, allowed) };
  if (percentLop >= range.low && percentLop <= range.high) return [];
  const who = byProtocol ? msg('This protocol') : SCHOOLS[schoolId].label;
  const span: Value = range.low === range.high ? range.low : msg('{low}–{high}', range);
  return [
    {
      rule: 'PRS-2',
      level: 'note',
      subject: 'percentLop',
      message: msg('{who} works at {span} % on this limb; {percentLop} % is outside it.', {
        who,
        span,
        percentLop,
      }),
      remedy: byProtocol
        ? msg('Set {span} %.', { span })
        : msg('Set {span} %, or choose another school.', { span }),
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
          message: msg(
            'Measured {measured}, exercised {exercised}: real restriction is lower than planned.',
            { measured: POSITION_NAMES[measured], exercised: POSITION_NAMES[exercised] },
          ),
          remedy: msg('Measure {exercised} for the true figure.', { exercised: POSITION_NAMES[exercised] }),
        },
      ]
    : [
        {
          ...common,
          level: 'hard',
          message: msg(
            'Measured {measured}, exercised {exercised}: real restriction is higher than planned.',
            { measured: POSITION_NAMES[measured], exercised: POSITION_NAMES[exercised] },
          ),
          remedy: msg('Measure {exercised}, or exercise {measured}.', {
            exercised: POSITION_NAMES[exercised],
            measured: POSITION_NAMES[measured],
          }),
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
        message: msg('{percentLop} % is above the occlusion pressure itself.', { percentLop }),
        remedy: msg('Set {most} % or lower.', { most }),
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
      message: msg('Passive cycles are done at {noteBelow}–{most} % of LOP.', { noteBelow, most }),
      remedy: msg('Set {noteBelow} % or more.', { noteBelow }),
      fix: { set: 'percentLop', to: noteBelow, as: 'least' },
    },
  ];
}

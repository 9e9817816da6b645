import type { WorkMode } from '../protocol/work-mode';
import type { LimbKind } from '../quantity/limb';
import { MS_PER_MINUTE } from '../quantity/units';

/** Numbers that checks compare against. Each is named in the rule it comes from. */
export const LIMITS = {
  /** PRS-3 */
  exercisePercentLop: { guardLow: 40, guardHigh: 80, hardHigh: 80, gradedStartArmLow: 30 },
  /** PRS-3: never above the occlusion pressure itself, whatever the mode. */
  passivePercentLop: { passiveLow: 70, hardHigh: 100 },
  /** LOAD-3 */
  percentOneRepMax: { startLow: 20, startHigh: 30, usualHigh: 40, hardHigh: 50 },
  /** PRO-1 */
  continuousOcclusionMs: {
    hard: { arm: 15 * MS_PER_MINUTE, leg: 20 * MS_PER_MINUTE } satisfies Record<LimbKind, number>,
    /** Without a clinician's reason: one exercise; a leg in aerobic work or under a shared inflation. */
    guardPerExercise: 10 * MS_PER_MINUTE,
    guardLongLeg: 15 * MS_PER_MINUTE,
    /** In all, in one session. */
    guardInAll: { arm: 20 * MS_PER_MINUTE, leg: 30 * MS_PER_MINUTE } satisfies Record<LimbKind, number>,
    freeFlowToRestart: 60_000,
  },
  /** RUN-1 */
  alarmShareOfLimit: 0.8,
  /** LOP-7 */
  occlusionPressureMmHg: { checkAbove: 250, refuseAbove: 300, plausibleShare: 0.4, confirmWithin: 10 },
  /** LOP-3 */
  trials: { most: 3, agreeWithinMmHg: 10, recoveryMs: 60_000 },
  /** LOAD-1 */
  repsToFailure: { trustedLow: 3, trustedHigh: 10, refuseAbove: 15 },
  /** LOAD-2 */
  strengthShelfLifeDays: 42,
  /** SCR-1 */
  screeningShelfLifeDays: 84,
} as const;

/** The most anybody may put on a limb, in %LOP: below occlusion while it exercises, never above it (rule PRS-3, hard). */
export const mostPercentLop = (mode: WorkMode): number =>
  mode === 'passive' ? LIMITS.passivePercentLop.hardHigh : LIMITS.exercisePercentLop.hardHigh;

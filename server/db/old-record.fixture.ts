import type { SessionView } from '#contract/session';
import { doseOf, plannedKg } from '#core/plan';
import { correctedReps, fold, liveTimeline, mergeLogs } from '#core/session';
import { inEnglish } from '#language/render';

/** What a session comes to, whichever release kept it. */
export type OldRecord = {
  id: string;
  exercises: { label: string; pressures: [string, number][]; loadKg: number | null }[];
  sets: { reps: number; effort: number | null }[];
  dose: {
    occludedMs: number;
    volumeKgReps: number;
    limbs: {
      limb: string;
      totalOcclusionMs: number;
      longestContinuousMs: number;
      percentLopMin: number | null;
    }[];
  };
};

export function recordOf({ id, plan, events }: SessionView): OldRecord {
  const state = fold(plan, mergeLogs(events));
  const dose = doseOf(liveTimeline(plan, state, state.finishedAtMs ?? 0));
  return {
    id,
    exercises: plan.exercises.map(({ label, limbs, load }) => ({
      label: inEnglish(label),
      pressures: limbs.map((target) => [target.limb, target.kind === 'measured' ? target.pressure.value : 0]),
      loadKg: plannedKg(load),
    })),
    sets: state.sets.map((set) => ({ reps: correctedReps(set), effort: set.effort })),
    dose: {
      occludedMs: dose.occludedMs,
      volumeKgReps: dose.volumeKgReps,
      limbs: dose.limbs.map((one) => ({
        limb: one.limb,
        totalOcclusionMs: one.totalOcclusionMs,
        longestContinuousMs: one.longestContinuousMs,
        percentLopMin: one.relativePressureTimePercentLopMin,
      })),
    },
  };
}

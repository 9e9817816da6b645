import type { Inflation, Lane, Timeline } from '../plan/timeline';
import type { Limb } from '../quantity/limb';
import { tidy } from '../quantity/rounding';
import { MS_PER_MINUTE } from '../quantity/units';

/** What one limb received (rule RUN-5). */
export type LimbDose = {
  limb: Limb;
  totalOcclusionMs: number;
  longestContinuousMs: number;
  pressureTimeMmHgMin: number;
  relativePressureTimePercentLopMin: number;
};

/** What a session gave. `occludedMs` is the time at least one cuff was up; `volumeKgReps` is Σ load × repetitions. */
export type Dose = {
  limbs: LimbDose[];
  occludedMs: number;
  volumeKgReps: number;
  reps: number;
};

/** Dose of a timeline, planned, running or done (rule RUN-5). */
export function doseOf(timeline: Timeline): Dose {
  return {
    limbs: timeline.lanes.map(limbDose),
    occludedMs: unionMs(timeline.lanes.flatMap((lane) => lane.inflations)),
    volumeKgReps: tidy(timeline.sets.reduce((sum, set) => sum + set.loadKg * set.reps, 0)),
    reps: timeline.sets.reduce((sum, set) => sum + set.reps, 0),
  };
}

function limbDose(lane: Lane): LimbDose {
  const lengths = lane.inflations.map(({ fromMs, toMs }) => toMs - fromMs);
  const pressureTimeMmHgMin = lane.inflations.reduce((sum, inflation) => sum + pressureTime(inflation), 0);
  return {
    limb: lane.limb,
    totalOcclusionMs: lengths.reduce((sum, length) => sum + length, 0),
    longestContinuousMs: Math.max(0, ...lengths),
    pressureTimeMmHgMin: tidy(pressureTimeMmHgMin),
    // A strap by feel has no LOP: what is unknown is left at nothing.
    relativePressureTimePercentLopMin:
      lane.occlusionMmHg > 0 ? tidy((100 * pressureTimeMmHgMin) / lane.occlusionMmHg) : 0,
  };
}

/** Area under the pressure of one inflation, in mmHg·min. Each reading holds until the next. */
function pressureTime({ toMs, steps }: Inflation): number {
  return steps.reduce((sum, step, index) => {
    const untilMs = steps[index + 1]?.atMs ?? toMs;
    return sum + (step.pressureMmHg * (untilMs - step.atMs)) / MS_PER_MINUTE;
  }, 0);
}

function unionMs(spans: readonly { fromMs: number; toMs: number }[]): number {
  let total = 0;
  let coveredToMs = Number.NEGATIVE_INFINITY;
  for (const { fromMs, toMs } of [...spans].sort((a, b) => a.fromMs - b.fromMs)) {
    total += Math.max(0, toMs - Math.max(fromMs, coveredToMs));
    coveredToMs = Math.max(coveredToMs, toMs);
  }
  return total;
}

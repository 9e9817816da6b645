import type { Limb } from '../quantity/limb';
import { tidy } from '../quantity/rounding';
import { sumKnown } from '../quantity/sum-known';
import { MS_PER_MINUTE } from '../quantity/units';
import { clockAtEnds } from './occlusion-clock';
import { type Inflation, type Lane, pressuresHeld, type Timeline } from './timeline';

/** What one limb received (rule RUN-5). */
export type LimbDose = {
  limb: Limb;
  totalOcclusionMs: number;
  /** The highest the occlusion clock stood at (rule PRO-1). */
  longestContinuousMs: number;
  /** Null where no pressure is known. */
  pressureTimeMmHgMin: number | null;
  /** Each inflation as a share of its own exercise's LOP; null without one. */
  relativePressureTimePercentLopMin: number | null;
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
    volumeKgReps: tidy(timeline.sets.reduce((sum, set) => sum + (set.loadKg ?? 0) * set.reps, 0)),
    reps: timeline.sets.reduce((sum, set) => sum + set.reps, 0),
  };
}

function limbDose({ limb, inflations }: Lane): LimbDose {
  const lengths = inflations.map(({ fromMs, toMs }) => toMs - fromMs);
  return {
    limb,
    totalOcclusionMs: lengths.reduce((sum, length) => sum + length, 0),
    longestContinuousMs: Math.max(0, ...clockAtEnds(inflations)),
    pressureTimeMmHgMin: sumKnown(inflations.map(pressureTime)),
    relativePressureTimePercentLopMin: sumKnown(
      inflations.map((inflation) => {
        const time = pressureTime(inflation);
        return time === null || inflation.occlusionMmHg === null
          ? null
          : (100 * time) / inflation.occlusionMmHg;
      }),
    ),
  };
}

/** Area under the pressure of one inflation, in mmHg·min. Each reading holds until the next; null under a strap. */
function pressureTime(inflation: Inflation): number | null {
  if (inflation.steps.some(({ pressureMmHg }) => pressureMmHg === null)) return null;
  return pressuresHeld(inflation).reduce(
    (sum, { fromMs, toMs, pressureMmHg }) => sum + ((pressureMmHg ?? 0) * (toMs - fromMs)) / MS_PER_MINUTE,
    0,
  );
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

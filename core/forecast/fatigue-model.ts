import type { PlannedExercise } from '../plan/plan';
import { pacedReps } from '../protocol/set-work';

/**
 * A model of how a set of repetitions tires one muscle under a cuff. It is a planning aid made for this app, not a
 * finding of physiology: its shape is simple and its numbers are chosen so that a usual person at 25 % of 1RM and 60 % of
 * LOP ends a 30/15/15/15 in its last set. It informs; it never sets a load.
 *
 * With `x` the load as a share of 1RM, `r` the pressure as a share of LOP, and `a`, `b` the person's endurance and
 * recovery (both 1 for a usual person):
 * - repetitions to failure when fresh: `M = a · 30 · (1/x − 1) · e^(−0.9·r)` (Epley turned round, then restricted)
 * - each repetition adds `1/M` to the fatigue `D`, which starts at 0; at 1 the set fails
 * - in a rest of `t` ms, `D` becomes `D · e^(−b·t/τ)`, with `τ = 60 s` in free flow and `τ = 60 s · (1 + 3·r)` under the cuff
 * - from one set to the next the same person's `M` varies by a factor of about `e^±0.1`
 */
export const MODEL = {
  restriction: 0.9,
  recoveryMs: 60_000,
  occludedSlowing: 3,
  /** Standard deviation of ln M from set to set. */
  setSpread: 0.1,
  /** Standard deviations of ln a and ln b from person to person. */
  personSpread: { endurance: 0.35, recovery: 0.35 },
} as const;

/** A person as the model sees them; 1 and 1 is usual. */
export type Trainee = { endurance: number; recovery: number };

/** One set as the model sees it: the rest after it, and the share of LOP that stays on in that rest (0 in free flow). */
export type ModelSet = { plannedReps: number; restMs: number; restingShare: number };

/** One exercise as the model sees it. `freshReps` are the repetitions to failure of a usual person. */
export type ModelExercise = { freshReps: number; sets: ModelSet[] };

/**
 * Repetitions to failure of a usual, fresh person.
 * @param loadShare load as a share of 1RM, 0–1 @param pressureShare pressure as a share of LOP, 0–1
 */
export const freshReps = (loadShare: number, pressureShare: number): number =>
  30 * (1 / loadShare - 1) * Math.exp(-MODEL.restriction * pressureShare);

/** Fatigue left after a rest. @param restingShare share of LOP during it, 0 in free flow */
export function fatigueAfterRest(
  fatigue: number,
  { restMs, restingShare }: Pick<ModelSet, 'restMs' | 'restingShare'>,
  recovery: number,
): number {
  const tauMs = MODEL.recoveryMs * (1 + MODEL.occludedSlowing * restingShare);
  return fatigue * Math.exp((-recovery * restMs) / tauMs);
}

/** An exercise of a plan for the model, or `null` where there is nothing to go by: no 1RM, no LOP, or work by the clock. */
export function modelOf({ load, limbs, sets }: PlannedExercise): ModelExercise | null {
  const [target] = limbs;
  if (target?.kind !== 'measured' || load.kind !== 'weighed') return null;
  if (load.truePercent <= 0 || load.truePercent >= 100) return null;
  const share = target.pressure.value / target.occlusion.value;
  const modelSets = sets.flatMap(({ work, restMs, release }) => {
    const plannedReps = pacedReps(work);
    return plannedReps === null ? [] : [{ plannedReps, restMs, restingShare: release ? 0 : share }];
  });
  if (modelSets.length < sets.length) return null;
  return { freshReps: freshReps(load.truePercent / 100, share), sets: modelSets };
}

/**
 * One run of an exercise.
 * @param varied a factor on `M` for each set; 1 for the model's own course
 * @returns repetitions possible or planned in each set, whichever is fewer, not rounded
 */
export function runExercise(
  { freshReps: usual, sets }: ModelExercise,
  { endurance, recovery }: Trainee,
  varied: (setIndex: number) => number,
  startFatigue = 0,
): number[] {
  let fatigue = startFatigue;
  return sets.map((set, setIndex) => {
    const capacity = usual * endurance * varied(setIndex);
    const done = Math.min(set.plannedReps, Math.max(0, 1 - fatigue) * capacity);
    fatigue = fatigueAfterRest(Math.min(1, fatigue + set.plannedReps / capacity), set, recovery);
    return done;
  });
}

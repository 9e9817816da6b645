import type { Plan, PlannedExercise } from '../plan/plan';
import { type Lane, pressuresHeld, type Timeline, type TimelineSet } from '../plan/timeline';
import type { Library } from '../protocol/exercises';
import { repMs } from '../protocol/tempo';
import type { Limb } from '../quantity/limb';
import { type Fatigue, freshReps, recoveryOver, type Stretch } from './fatigue-model';

/** A muscle of one limb in a bout. `sinceLast` is its recovery since it last worked; null where it had not. */
export type BoutMuscle = { limb: Limb; muscle: string; freshReps: number; sinceLast: Fatigue | null };

/**
 * One set as the model sees it. `plannedReps` is null for a set to failure; `done` is null while it lies ahead, and
 * `failed` says whether the muscle, and not a person or the plan, ended it.
 */
export type Bout = {
  exerciseIndex: number;
  setIndex: number;
  plannedReps: number | null;
  muscles: BoutMuscle[];
  done: { reps: number; failed: boolean } | null;
};

/**
 * Sets of a timeline, planned or done, as the model sees them: with the load, pressures and rests of that timeline. Left
 * out is what it can say nothing about: work without kilograms or by the clock, and limbs under a strap.
 * @param doneOf what came of a set of the timeline; null while it lies ahead
 */
export function boutsOf(
  plan: Plan,
  { sets, lanes }: Pick<Timeline, 'sets' | 'lanes'>,
  library: Library,
  doneOf: (set: TimelineSet) => Bout['done'] = () => null,
): Bout[] {
  const lastEndMs = new Map<string, number>();
  return sets.flatMap((set) => {
    const exercise = plan.exercises[set.exerciseIndex];
    if (!exercise || set.plannedReps === null) return [];
    const muscle = library[exercise.exerciseId]?.muscle ?? exercise.exerciseId;
    const muscles = set.limbs.flatMap((limb): BoutMuscle[] => {
      const lane = lanes.find((candidate) => candidate.limb === limb);
      const fresh = freshRepsIn(set, exercise, lane);
      if (fresh === null) return [];
      const key = `${limb} ${muscle}`;
      const lastMs = lastEndMs.get(key);
      lastEndMs.set(key, set.toMs);
      const rest = lastMs === undefined ? null : stretches(lane, lastMs, set.fromMs);
      return [{ limb, muscle, freshReps: fresh, sinceLast: rest && recoveryOver(rest) }];
    });
    if (muscles.length < set.limbs.length) return [];
    const { exerciseIndex, setIndex } = set;
    const toFailure = exercise.sets[setIndex]?.work.kind === 'to-failure';
    const plannedReps = toFailure ? null : set.plannedReps;
    return [{ exerciseIndex, setIndex, plannedReps, muscles, done: doneOf(set) }];
  });
}

function freshRepsIn(
  { loadKg, tempo, fromMs, toMs }: TimelineSet,
  { load, limbs }: PlannedExercise,
  lane: Lane | undefined,
): number | null {
  if (load.kind !== 'weighed' || !loadKg || limbs.some(({ kind }) => kind === 'by-feel')) return null;
  const during = stretches(lane, fromMs, toMs);
  const lastedMs = during.reduce((sum, { ms }) => sum + ms, 0);
  const held = during.reduce((sum, { ms, share }) => sum + ms * share, 0);
  return freshReps(loadKg / load.oneRepMax.value, lastedMs > 0 ? held / lastedMs : 0, repMs(tempo));
}

/** What the cuff of a limb did between two times, as shares of the LOP it went by; nothing known is free flow. */
function stretches(lane: Lane | undefined, fromMs: number, toMs: number): Stretch[] {
  const inflated = (lane?.inflations ?? []).flatMap((inflation) =>
    pressuresHeld(inflation).flatMap((held): Stretch[] => {
      const ms = Math.min(held.toMs, toMs) - Math.max(held.fromMs, fromMs);
      const { occlusionMmHg } = inflation;
      return ms > 0 && occlusionMmHg ? [{ ms, share: (held.pressureMmHg ?? 0) / occlusionMmHg }] : [];
    }),
  );
  const freeMs = toMs - fromMs - inflated.reduce((sum, { ms }) => sum + ms, 0);
  return freeMs > 0 ? [...inflated, { ms: freeMs, share: 0 }] : inflated;
}

import type { Limb } from '../quantity/limb';
import type { Bout } from './bouts';
import { type Fatigue, FRESH, recovered, roomLeft, type Trainee, worked } from './fatigue-model';

/** What the model gives for a bout: repetitions it has room for, not rounded, and those done. */
export type BoutRun = { possible: number; done: number };

/** One run through bouts. @param varied a factor on the capacity in each bout; 1 for the model's own course */
export type RunBouts = (traineeOf: (limb: Limb) => Trainee, varied?: (place: number) => number) => BoutRun[];

/**
 * Runs through bouts in order, as often as asked. A muscle takes its fatigue along from set to set and from exercise to
 * exercise; what was really done is taken as it was; a set ahead goes as far as planned or as the weakest of its limbs can.
 */
export function boutRunner(bouts: readonly Bout[]): RunBouts {
  // Thousands of runs ask for the same muscles: each has a place of its own, found once.
  const keys = new Map<string, number>();
  const prepared = bouts.map(({ muscles, ...bout }) => ({
    ...bout,
    muscles: muscles.map((muscle) => {
      const key = `${muscle.limb} ${muscle.muscle}`;
      const at = keys.get(key) ?? keys.size;
      keys.set(key, at);
      return { ...muscle, at };
    }),
  }));
  return (traineeOf, varied = () => 1) => {
    const fatigues: Fatigue[] = Array<Fatigue>(keys.size).fill(FRESH);
    return prepared.map(({ muscles, plannedReps, done }, place) => {
      const factor = varied(place);
      const capacities = muscles.map(({ limb, freshReps }) => freshReps * traineeOf(limb).endurance * factor);
      let possible = Number.POSITIVE_INFINITY;
      muscles.forEach(({ limb, at, sinceLast }, i) => {
        const fatigue = sinceLast
          ? recovered(fatigues[at] ?? FRESH, sinceLast, traineeOf(limb).recovery)
          : FRESH;
        fatigues[at] = fatigue;
        possible = Math.min(possible, roomLeft(fatigue) * (capacities[i] ?? 0));
      });
      const reps = done?.reps ?? Math.min(possible, plannedReps ?? Number.POSITIVE_INFINITY);
      muscles.forEach(({ at }, i) => {
        // A muscle that failed had no more, whatever the model thought of it.
        fatigues[at] = worked(fatigues[at] ?? FRESH, done?.failed ? 1 : reps / (capacities[i] ?? 1));
      });
      return { possible, done: reps };
    });
  };
}

import type { Limb } from '../quantity/limb';
import type { Bout, BoutMuscle } from './bouts';
import { type Fatigue, FRESH, recovered, roomLeft, type Trainee, worked } from './fatigue-model';

/** What the model gives for a bout: repetitions it has room for, not rounded, and those done. */
export type BoutRun = { possible: number; done: number };

/**
 * One run through bouts in order. A muscle takes its fatigue along from set to set and from exercise to exercise; what
 * was really done is taken as it was; a set ahead goes as far as planned or as the weakest of its limbs can.
 * @param traineeOf how each limb is @param varied a factor on the capacity in each bout; 1 for the model's own course
 */
export function runBouts(
  bouts: readonly Bout[],
  traineeOf: (limb: Limb) => Trainee,
  varied: (place: number) => number = () => 1,
): BoutRun[] {
  const fatigues = new Map<string, Fatigue>();
  return bouts.map(({ muscles, plannedReps, done }, place) => {
    const rooms = muscles.map((muscle) => {
      const trainee = traineeOf(muscle.limb);
      const fatigue = fatigueBefore(fatigues.get(keyOf(muscle)), muscle, trainee);
      const capacity = muscle.freshReps * trainee.endurance * varied(place);
      return { muscle, fatigue, capacity, room: roomLeft(fatigue) * capacity };
    });
    const possible = Math.min(...rooms.map(({ room }) => room));
    const reps = done?.reps ?? Math.min(possible, plannedReps ?? Number.POSITIVE_INFINITY);
    for (const { muscle, fatigue, capacity } of rooms) {
      // A muscle that failed had no more, whatever the model thought of it.
      fatigues.set(keyOf(muscle), worked(fatigue, done?.failed ? 1 : reps / capacity));
    }
    return { possible, done: reps };
  });
}

const keyOf = ({ limb, muscle }: BoutMuscle): string => `${limb} ${muscle}`;

const fatigueBefore = (
  last: Fatigue | undefined,
  { sinceLast }: BoutMuscle,
  { recovery }: Trainee,
): Fatigue => (last && sinceLast ? recovered(last, sinceLast, recovery) : FRESH);

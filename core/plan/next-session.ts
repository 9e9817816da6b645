import type { Change } from '../progression/review';
import { carried } from './carry-over';
import type { ExerciseChoice } from './choices';
import type { Basis } from './compose';
import type { Draft } from './draft-session';
import type { Plan, PlannedExercise } from './plan';
import { fitTemplate } from './template';

/**
 * The last plan as choices for the next session: the changes of its review applied, and what was measured or tested since
 * taken up (rules REV-1 to REV-8, LOP-4, LOAD-2).
 * @param changes by the place of the exercise in the plan; missing ones hold
 */
export function nextSession(plan: Plan, changes: readonly (Change | undefined)[], basis: Basis): Draft {
  const exercises = plan.exercises.map((exercise, place) => choiceOf(exercise, changes[place] ?? {}, basis));
  return fitTemplate({ goal: plan.goal, schoolId: plan.schoolId, exercises }, basis);
}

function choiceOf(exercise: PlannedExercise, change: Change, { weightKits }: Basis): ExerciseChoice {
  const { percentOneRepMax } = carried(exercise, change, weightKits);
  const { strength, tempoId, protocolId, position, exerciseId } = exercise;
  return {
    exerciseId,
    position,
    protocolId,
    tempoId,
    limbs: exercise.limbs.map(({ limb, occlusionId, percentLop }) => ({
      limb,
      occlusionId,
      percentLop: percentLop + (change.pressurePoints ?? 0),
    })),
    load:
      strength && percentOneRepMax !== null
        ? {
            kind: 'weighed',
            strengthTestId: strength.testId,
            weightKitId: strength.weightKitId,
            percentOneRepMax,
          }
        : { kind: 'unweighed', with: exercise.loadRecipe },
    sets: exercise.sets.map(({ reps, workMs, restMs, release, untilFailure }, place) => ({
      reps,
      workMs: reps === 0 ? workMs : null,
      restMs: place < exercise.sets.length - 1 ? (change.restMs ?? restMs) : restMs,
      release,
      untilFailure,
    })),
    primed: false,
  };
}

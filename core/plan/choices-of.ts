import { LIMB_WEIGHT } from '../load/weight-kit';
import { atShare, type ExerciseChoice, type LimbChoice, type SessionChoice } from './choices';
import type { Plan, PlannedExercise } from './plan';
import type { PlannedLoad } from './planned-load';
import { type LimbTarget, primingCycles } from './target';

/** The choices a plan was made from, so that it can be composed again from what is on record now (rule START-1). */
export const choicesOf = ({
  goal,
  schoolId,
  exercises,
  rungs,
  sitting,
  deload,
  place,
}: Plan): SessionChoice => ({
  goal,
  schoolId,
  exercises: exercises.map(exerciseChoiceOf),
  ...(rungs
    ? {
        rungs: {
          limb: rungs.limb,
          rung: rungs.rung,
          others: rungs.others.map((other) => ({
            rung: other.rung,
            exercises: other.exercises.map(exerciseChoiceOf),
          })),
        },
      }
    : {}),
  ...(sitting ? { sitting } : {}),
  ...(deload ? { deload } : {}),
  ...(place ? { place: place.id } : {}),
});

function limbChoiceOf(target: LimbTarget): LimbChoice {
  const { limb } = target;
  switch (target.kind) {
    case 'measured':
      return { kind: 'measured', limb, occlusionId: target.occlusionId, percentLop: target.percentLop };
    case 'arbitrary':
      return { kind: 'arbitrary', limb, cuffId: target.cuffId, pressureMmHg: target.pressure.value };
    case 'by-feel':
      return {
        kind: 'by-feel',
        limb,
        strapId: target.strapId,
        ...(target.isMarkChosen ? { mark: target.mark } : {}),
      };
  }
}

/** What resists, by its id; in plans of earlier releases the recipe was it. */
function resistanceIn(load: PlannedLoad): string {
  if (load.kind === 'unweighed' && load.with) return load.with;
  return typeof load.recipe === 'string' ? load.recipe : LIMB_WEIGHT;
}

export function exerciseChoiceOf(exercise: PlannedExercise): ExerciseChoice {
  const { exerciseId, position, load, protocolId, tempoId } = exercise;
  return {
    exerciseId,
    position,
    protocolId,
    tempoId,
    limbs: exercise.limbs.map(limbChoiceOf),
    load:
      load.kind === 'weighed' && load.weightKitId !== null
        ? {
            kind: 'weighed',
            strengthTestId: load.testId,
            weightKitId: load.weightKitId,
            percentOneRepMax: load.percentOneRepMax,
          }
        : { kind: 'unweighed', with: resistanceIn(load) },
    sets: exercise.sets.map(({ work, restMs, release, ofTarget }) => ({
      work,
      restMs,
      release,
      ...atShare(ofTarget),
    })),
    primed: primingCycles(exercise) > 0,
    ...(exercise.intensity ? { intensity: exercise.intensity } : {}),
    ...(exercise.priming ? { priming: exercise.priming } : {}),
    ...(exercise.alternates ? { alternates: true as const } : {}),
    ...(exercise.movements ? { movements: exercise.movements } : {}),
  };
}

import type { Plan } from '../plan/plan';
import { correctedReps, type SessionState } from '../session/state';
import { modelOf } from './fatigue-model';
import type { SeenExercise } from './fit-trainee';

/** What a session showed that the model can learn from: exercises with kilograms, sets that ended by themselves. */
export function seenSets({ plan, state }: { plan: Plan; state: SessionState }): SeenExercise[] {
  return plan.exercises.flatMap((exercise, exerciseIndex) => {
    const model = modelOf(exercise);
    if (!model) return [];
    const done: SeenExercise['done'] = [];
    for (const set of state.sets.filter((candidate) => candidate.exerciseIndex === exerciseIndex)) {
      // A set that somebody stopped says nothing about how many would have been possible, nor do those after it.
      if (set.endedAtMs === null || set.setIndex !== done.length) break;
      if (set.reason !== 'done' && set.reason !== 'failure') break;
      const reps = correctedReps(set);
      done.push({ reps, failed: set.reason === 'failure' || reps < (set.plannedReps ?? 0) });
    }
    return done.length > 0 ? [{ model, done }] : [];
  });
}

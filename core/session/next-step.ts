import type { Plan, PlannedExercise } from '../plan/plan';
import type { Limb } from '../quantity/limb';
import { limbClocks, restLeftMs } from './clocks';
import { findSet, inflatedLimbs, openInflation, openSet, type SessionState } from './state';

export type SetPlace = { exerciseIndex: number; setIndex: number };

/** The one thing expected next: what Space does. `why` says what asks for a release. */
export type NextStep =
  | { do: 'inflate'; limbs: Limb[]; place: SetPlace }
  | { do: 'start-set'; place: SetPlace }
  | { do: 'end-set'; place: SetPlace }
  | { do: 'wait'; place: SetPlace; untilMs: number }
  | { do: 'release'; limbs: Limb[]; why: 'limit' | 'stopped' | 'rest' | 'between-exercises' | 'sets-done' }
  | { do: 'finish' }
  | { do: 'nothing' };

/** What the operator is expected to do at `nowMs` wall clock (rules RUN-1, RUN-2, RUN-5, PRO-1). */
export function nextStep(plan: Plan, state: SessionState, nowMs: number): NextStep {
  const inflated = inflatedLimbs(state).map(({ limb }) => limb);
  const release = (why: Extract<NextStep, { do: 'release' }>['why']): NextStep => ({
    do: 'release',
    limbs: inflated,
    why,
  });
  if (inflated.length > 0 && limbClocks(plan, state, nowMs).some(({ alarm }) => alarm === 'now')) {
    return release('limit');
  }
  if (inflated.length > 0 && state.stopped) return release('stopped');
  if (state.finishedAtMs !== null && inflated.length === 0) return { do: 'nothing' };
  if (state.stopped) return { do: 'finish' };

  const set = openSet(state);
  if (set) return { do: 'end-set', place: { exerciseIndex: set.exerciseIndex, setIndex: set.setIndex } };
  const place = nextPlace(plan, state);
  const exercise = place && plan.exercises[place.exerciseIndex];
  if (!place || !exercise) return inflated.length > 0 ? release('sets-done') : { do: 'finish' };
  if (inflated.length === 0) return beforeInflating(exercise, place, state, nowMs);
  if (state.rest && exercise.inflation === 'release-each-rest' && !upSince(state, state.rest.startedAtMs)) {
    return release('rest');
  }
  if (place.setIndex === 0 && place.exerciseIndex > 0 && usedBefore(state))
    return release('between-exercises');
  return { do: 'start-set', place };
}

function beforeInflating(
  exercise: PlannedExercise,
  place: SetPlace,
  state: SessionState,
  nowMs: number,
): NextStep {
  const leftMs = restLeftMs(state, nowMs);
  if (exercise.inflation === 'release-each-rest' && leftMs !== null && leftMs > exercise.reinflateLeadMs) {
    return { do: 'wait', place, untilMs: nowMs + leftMs - exercise.reinflateLeadMs };
  }
  return { do: 'inflate', limbs: exercise.limbs.map(({ limb }) => limb), place };
}

/** The first set of the plan that has not been started, or `null` when all have. */
export function nextPlace(plan: Plan, state: SessionState): SetPlace | null {
  for (const [exerciseIndex, exercise] of plan.exercises.entries()) {
    for (const setIndex of exercise.reps.keys()) {
      if (!findSet(state, { exerciseIndex, setIndex })) return { exerciseIndex, setIndex };
    }
  }
  return null;
}

const upSince = (state: SessionState, sinceMs: number): boolean =>
  inflatedLimbs(state).every((limb) => (openInflation(limb)?.fromMs ?? 0) >= sinceMs);

/** Whether a set was done under the inflation that is still up. */
const usedBefore = (state: SessionState): boolean =>
  inflatedLimbs(state).some((limb) =>
    state.sets.some((set) => set.startedAtMs >= (openInflation(limb)?.fromMs ?? Number.POSITIVE_INFINITY)),
  );

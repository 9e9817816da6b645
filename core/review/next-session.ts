import { isMessage, msg } from '../message/message';
import type { Basis } from '../plan/basis';
import type { ExerciseChoice, SessionChoice } from '../plan/choices';
import { choicesOf, exerciseChoiceOf } from '../plan/choices-of';
import { composeSession } from '../plan/compose';
import { fixAll } from '../plan/draft/fix-all';
import type { Draft } from '../plan/draft/wish';
import type { Plan, PlannedExercise } from '../plan/plan';
import { fitTemplate } from '../plan/template';
import { carried } from './carry-over';
import type { Change } from './change';

/**
 * The last plan as choices for the next session: the changes of its review applied, and what was measured or tested since
 * taken up (rules REV-1 to REV-8, LOP-4, LOAD-2).
 * @param changes by the place of the exercise in the plan; missing ones hold
 */
export function nextSession(plan: Plan, changes: readonly (Change | undefined)[], basis: Basis): Draft {
  const next = changed(plan, changes, basis);
  if (!changes.some((change) => change?.restMs !== undefined) || !isRefused(next, basis)) return next;
  // Each longer rest was within its limits by itself; all together may keep a limb up for too long (rule PRO-1).
  const rested = changed(
    plan,
    changes.map((change) => change && { ...change, restMs: undefined }),
    basis,
  );
  return isRefused(rested, basis)
    ? next
    : {
        ...rested,
        notes: [...rested.notes, msg('Rests stay as they were: longer ones have no room (PRO-1).')],
      };
}

function changed(plan: Plan, changes: readonly (Change | undefined)[], basis: Basis): Draft {
  const exercises = plan.exercises.map((exercise, place) => choiceOf(exercise, changes[place] ?? {}, basis));
  return draftFrom({ ...choicesOf(plan), exercises }, basis);
}

/** Whether the rules find anything of it above a note. */
const isRefused = ({ session }: Draft, basis: Basis): boolean =>
  session !== null && composeSession(session, basis).findings.some(({ level }) => level !== 'note');

/** Choices as they are proposed again: on what is in force now, with what the rules would refuse put right. */
export function draftFrom(session: SessionChoice, basis: Basis): Draft {
  const draft = fitTemplate(
    { ...session, exercises: session.exercises.map((choice) => ({ ...choice, primed: false })) },
    basis,
  );
  if (!draft.session) return draft;
  const fixed = fixAll(draft.session, basis);
  // What no remedy fixes is shown with its finding, for the prescriber to decide.
  return isMessage(fixed) ? draft : { ...draft, session: fixed };
}

function choiceOf(exercise: PlannedExercise, change: Change, { weightKits }: Basis): ExerciseChoice {
  const { percentOneRepMax } = carried(exercise, change, weightKits);
  const choice = exerciseChoiceOf(exercise);
  const last = choice.sets.length - 1;
  return {
    ...choice,
    limbs: choice.limbs.map((limb) =>
      limb.kind === 'measured'
        ? { ...limb, percentLop: limb.percentLop + (change.pressurePoints ?? 0) }
        : limb,
    ),
    load:
      choice.load.kind === 'weighed' && percentOneRepMax !== null
        ? { ...choice.load, percentOneRepMax }
        : choice.load,
    sets: choice.sets.map((set, place) =>
      place < last ? { ...set, restMs: change.restMs ?? set.restMs } : set,
    ),
  };
}

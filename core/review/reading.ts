import type { Message } from '../message/message';
import type { Lighter } from '../plan/lighter-schema';
import type { PlannedExercise } from '../plan/plan';
import { plannedKg } from '../plan/planned-load';
import { measuredLimbs } from '../plan/target';
import { SCHOOLS } from '../protocol/data/schools';
import type { ExerciseId } from '../protocol/exercises';
import { type Limb, limbKind } from '../quantity/limb';
import { RULES } from '../rules/catalogue';
import { whyNotBack } from '../session/blood-pressure';
import { loadInHand, restInHand } from '../session/in-hand';
import { SIGNS, type SignId } from '../session/signs';
import { correctedReps, type SessionState, type SetRecord } from '../session/state';
import { lighterThanPlanned } from './lighter-than-planned';
import { type Reviewed, setsOf } from './reviewed';

/** What was really done of one exercise, by its log alone: what later sessions are judged by is made from it (rule REV-10). */
export type Reading = {
  exerciseId: ExerciseId;
  limbs: Limb[];
  /** The scheme's own repetitions, each set up to what it asks; null for sets to failure, by the clock and aerobic work. */
  reps: { done: number; planned: number; firstShort: boolean; hardEarly: boolean } | null;
  stopSign: SignId | null;
  /** Long rests or a low pressure, in words; null where it was as planned. */
  easedBy: Message | null;
  /** What was made lighter that day alone; null in a session as signed. */
  lighter: Lighter | null;
  /** Why the blood pressure was not back five minutes after, in words; null where it was (rule RUN-8). */
  pressureNotBack: Message | null;
  /** The most joint pain of any set, 0–10. */
  mostPain: number;
  /** Effort after the last set, 0–10; null when not noted. */
  lastEffort: number | null;
  restMs: number;
  /**
   * What was held at the end, in %LOP, on the limb that had most and on the one that had least, and how far that is from what
   * was signed; null under a strap.
   */
  pressure: {
    heldPercent: number;
    leastPercent: number;
    points: number;
    floor: number;
    usual: number;
  } | null;
  /** Null without kilograms. */
  load: { liftedKg: number; signedKg: number; oneRepMaxKg: number; weightKitId: string | null } | null;
};

/** Reads one exercise of a session: nothing planned is taken for done. @returns null when no set of it was begun */
export function readingOf(session: Reviewed, exerciseIndex: number): Reading | null {
  const { plan, state } = session;
  const exercise = plan.exercises[exerciseIndex];
  const sets = setsOf(session, exerciseIndex);
  const last = sets.at(-1);
  if (!exercise || !last) return null;
  const rest = exercise.sets[Math.max(0, exercise.sets.length - 2)]?.restMs ?? 0;
  return {
    exerciseId: exercise.exerciseId,
    limbs: exercise.limbs.map(({ limb }) => limb),
    reps: repsOf(exercise, sets),
    easedBy: lighterThanPlanned(session, exerciseIndex),
    lighter: plan.today ?? null,
    pressureNotBack: whyNotBack(state),
    stopSign: state.signs.find(({ sign }) => SIGNS[sign].level !== 'expected')?.sign ?? null,
    mostPain: Math.max(0, ...sets.map(({ jointPain }) => jointPain ?? 0)),
    lastEffort: last.effort,
    restMs: exercise.sets.length > 1 ? restInHand(plan, state, exerciseIndex, rest) : 0,
    pressure: pressureOf(session, exercise),
    load: loadOf(state, exercise, exerciseIndex),
  };
}

// REV-3: hard before repetition 20 of 30 counts as not finished; other schemes in proportion.
const HARD_BEFORE_SHARE = RULES['REV-3'].figures.hardBeforeShare;

function repsOf({ sets: planned, mode }: PlannedExercise, sets: readonly SetRecord[]): Reading['reps'] {
  const asked = planned.map(({ work }) => (work.kind === 'reps' ? work.reps : null));
  if (mode !== 'resistance' || asked.includes(null)) return null;
  const first = sets.find(({ setIndex }) => setIndex === 0);
  const firstAsked = asked[0] ?? 0;
  const hardAt = first?.hardAtRep ?? null;
  return {
    // Surplus repetitions of one set fill no other.
    done: sets.reduce((sum, set) => sum + Math.min(correctedReps(set), asked[set.setIndex] ?? 0), 0),
    planned: asked.reduce<number>((sum, reps) => sum + (reps ?? 0), 0),
    firstShort: !first || correctedReps(first) < firstAsked,
    hardEarly: hardAt !== null && hardAt < HARD_BEFORE_SHARE * firstAsked,
  };
}

function pressureOf({ plan, state }: Reviewed, exercise: PlannedExercise): Reading['pressure'] {
  const limbs = measuredLimbs(exercise);
  const [target] = limbs;
  if (!target) return null;
  // What was loosened and not taken back. The change that follows is one for all limbs of the exercise, so the lowest counts.
  const points = Math.min(
    ...limbs.map(
      ({ limb, occlusion }) => -Math.round((100 * (state.loosenedMmHg[limb] ?? 0)) / occlusion.value),
    ),
  );
  const shares = limbs.map(({ percentLop }) => percentLop);
  const kind = limbKind(target.limb);
  const graded = kind === 'arm' && plan.schoolId === 'graded-start';
  const { gradedStartArm, noteBelow } = RULES['PRS-3'].figures.exercisePercentLop;
  return {
    heldPercent: Math.max(...shares) + points,
    leastPercent: Math.min(...shares) + points,
    points: points - (plan.today?.how === 'pressure' ? RULES['SCR-3'].figures.lighterPoints : 0),
    floor: graded ? gradedStartArm : noteBelow,
    usual: SCHOOLS[plan.schoolId].percentLop[kind].usual,
  };
}

function loadOf(state: SessionState, { load }: PlannedExercise, exerciseIndex: number): Reading['load'] {
  const liftedKg = loadInHand(state, exerciseIndex, load);
  if (load.kind !== 'weighed' || liftedKg === null) return null;
  return {
    liftedKg,
    signedKg: plannedKg(load) ?? liftedKg,
    oneRepMaxKg: load.oneRepMax.value,
    weightKitId: load.weightKitId,
  };
}

import { makeableLoads, type WeightKit } from '../load/weight-kit';
import type { Message } from '../message/message';
import type { Lighter } from '../plan/lighter-schema';
import type { PlannedExercise } from '../plan/plan';
import { plannedKg } from '../plan/planned-load';
import { measuredLimbs } from '../plan/target';
import { SCHOOLS } from '../protocol/data/schools';
import { limbKind } from '../quantity/limb';
import { RULES } from '../rules/catalogue';
import { whyNotBack } from '../session/blood-pressure';
import { loadInHand, restInHand } from '../session/in-hand';
import { SIGNS, type SignId } from '../session/signs';
import { correctedReps, type SessionState, type SetRecord } from '../session/state';
import type { HeavyWork } from '../strength/heavy-work';
import { sideOf } from '../strength/in-force';
import { lighterThanPlanned } from './lighter-than-planned';
import { type Reviewed, setsOf } from './reviewed';

/** What bounds the next session, and what it could be made of. */
export type Bounds = {
  /** The lowest cap of a clearance on any of its limbs, in %LOP; null without one (rule SCR-2). */
  capPercentLop: number | null;
  /** Where the newcomer's ramp is while it runs, in %LOP; null once it is over (rule PRS-4). */
  rampPercentLop: number | null;
  kits: readonly WeightKit[];
  /** Heavy work of the last days, the newest first (rule PRO-4). */
  heavyWork: readonly HeavyWork[];
};

/** What was really done of one exercise, and what room is left (rules REV-1 to REV-8). */
export type Done = {
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
  /** The newest heavy work of this exercise and side whose joint pain, 0–10, is known, in % of the same 1RM. */
  heavy: { percent: number; pain: number } | null;
  load: {
    /** In % of 1RM, of the last set; null without kilograms. */
    percent: number | null;
    /** From what was signed to what the last set was lifted with, in steps of the kit; never above 0. */
    steps: number;
    lighter: boolean;
    /** Whether a step of the kit is left at or under the usual most. */
    heavier: boolean;
  };
};

/** Reads one exercise of a session: nothing planned is taken for done. @returns null when no set of it was begun */
export function doneOf(
  session: Reviewed,
  exerciseIndex: number,
  { kits, heavyWork }: Pick<Bounds, 'kits' | 'heavyWork'>,
): Done | null {
  const { plan, state } = session;
  const exercise = plan.exercises[exerciseIndex];
  const sets = setsOf(session, exerciseIndex);
  const last = sets.at(-1);
  if (!exercise || !last) return null;
  const rest = exercise.sets[Math.max(0, exercise.sets.length - 2)]?.restMs ?? 0;
  return {
    reps: repsOf(exercise, sets),
    easedBy: lighterThanPlanned(session, exerciseIndex),
    lighter: plan.today ?? null,
    pressureNotBack: whyNotBack(state),
    stopSign: state.signs.find(({ sign }) => SIGNS[sign].level !== 'expected')?.sign ?? null,
    mostPain: Math.max(0, ...sets.map(({ jointPain }) => jointPain ?? 0)),
    lastEffort: last.effort,
    restMs: exercise.sets.length > 1 ? restInHand(plan, state, exerciseIndex, rest) : 0,
    pressure: pressureOf(session, exercise),
    heavy: heavyOf(exercise, heavyWork),
    load: loadOf(state, exercise, exerciseIndex, kits),
  };
}

// REV-3: hard before repetition 20 of 30 counts as not finished; other schemes in proportion.
const HARD_BEFORE_SHARE = RULES['REV-3'].figures.hardBeforeShare;

function repsOf({ sets: planned, mode }: PlannedExercise, sets: readonly SetRecord[]): Done['reps'] {
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

function pressureOf({ plan, state }: Reviewed, exercise: PlannedExercise): Done['pressure'] {
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

function heavyOf(
  { exerciseId, limbs, load }: PlannedExercise,
  heavyWork: readonly HeavyWork[],
): Done['heavy'] {
  if (load.kind !== 'weighed') return null;
  const side = sideOf(limbs.map(({ limb }) => limb));
  const same = heavyWork.filter((work) => work.exerciseId === exerciseId && work.side === side);
  for (const { loadKg, pain } of same)
    if (pain !== null) return { percent: (100 * loadKg) / load.oneRepMax.value, pain };
  return null;
}

function loadOf(
  state: SessionState,
  { load }: PlannedExercise,
  exerciseIndex: number,
  kits: readonly WeightKit[],
): Done['load'] {
  const liftedKg = loadInHand(state, exerciseIndex, load);
  if (load.kind !== 'weighed' || liftedKg === null)
    return { percent: null, steps: 0, lighter: false, heavier: false };
  const signedKg = plannedKg(load) ?? liftedKg;
  const kit = kits.find(({ id }) => id === load.weightKitId);
  const loads = kit ? makeableLoads(kit).map(({ loadKg }) => loadKg) : [];
  const percentOf = (kg: number) => (100 * kg) / load.oneRepMax.value;
  const next = loads.find((kg) => kg > liftedKg);
  return {
    percent: percentOf(liftedKg),
    steps: 0 - loads.filter((kg) => kg >= liftedKg && kg < signedKg).length,
    lighter: loads.some((kg) => kg < liftedKg),
    heavier: next !== undefined && percentOf(next) <= RULES['LOAD-3'].figures.percentOneRepMax.usualHigh,
  };
}

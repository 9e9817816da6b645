import { type AtMark, countedAs } from '../cuff/mark-words';
import type { Plan, PlannedExercise } from '../plan/plan';
import { type PlannedLoad, plannedKg } from '../plan/planned-load';
import { type PlannedSet, plannedMark, plannedMmHg } from '../plan/planned-set';
import {
  type ArbitraryTarget,
  type CuffedTarget,
  type FeltTarget,
  type LimbTarget,
  type MeasuredTarget,
  primingCycles,
} from '../plan/target';
import type { Limb } from '../quantity/limb';
import { roundDownToDivision } from '../quantity/rounding';
import { lastSet, nextPlace, releasesAfter, type SetPlace } from './places';
import {
  inflatedLimbs,
  type LiveInflation,
  openInflation,
  openSet,
  type SessionState,
  type SetRecord,
} from './state';

type Cuffed<T extends CuffedTarget> = {
  kind: T['kind'];
  limb: Limb;
  /** As it was signed. */
  signed: T;
  /** What it is to be brought to now: signed, or the priming cycle's, less what was loosened. */
  targetMmHg: number;
  /** As it was last read; null while the cuff is down. */
  readMmHg: number | null;
};

/** A limb of the exercise in hand under a cuff. Pressures in mmHg. */
export type CuffedInHand = Cuffed<MeasuredTarget> | Cuffed<ArbitraryTarget>;

/** A strapped limb of the exercise in hand: the mark it is to be at now (rule TIGHT). */
export type FeltInHand = AtMark & { kind: 'by-feel'; limb: Limb; signed: FeltTarget; up: boolean };

export type LimbInHand = CuffedInHand | FeltInHand;

export const isCuffedInHand = (target: LimbInHand): target is CuffedInHand => target.kind !== 'by-feel';

/** What is in hand at a moment (rule RUN-7): everything shown, said, pumped, forecast and added up reads it. */
export type InHand = {
  exerciseIndex: number;
  exercise: PlannedExercise;
  /** The set under way, else the next one of this exercise; null when none of it is left. */
  place: SetPlace | null;
  set: PlannedSet | null;
  limbs: LimbInHand[];
  /** As it was lightened or corrected; null for work without kilograms. */
  loadKg: number | null;
  /** After the set in hand, in ms. */
  restMs: number;
};

/**
 * The exercise, set, targets, load and rest of now (rule RUN-7).
 * @returns null for a plan without exercises
 * @example two exercises at 138 and 68 mmHg on one limb, in the second: limbs[0].targetMmHg //=> 68
 */
export function inHand(plan: Plan, state: SessionState): InHand | null {
  const open = openSet(state);
  const next = open ? null : nextPlace(plan, state);
  const last = lastSet(state);
  const exerciseIndex = exerciseIndexInHand(plan, state, next);
  const exercise = plan.exercises[exerciseIndex];
  if (!exercise) return null;
  const place = open
    ? { exerciseIndex, setIndex: open.setIndex }
    : next?.exerciseIndex === exerciseIndex
      ? next
      : null;
  const set = (place && exercise.sets[place.setIndex]) ?? null;
  const restAfter = set ?? exercise.sets[last?.setIndex ?? 0];
  return {
    exerciseIndex,
    exercise,
    place,
    set,
    limbs: exercise.limbs.map((signed) => limbInHand(state, exercise, place, signed)),
    loadKg: loadInHand(state, exerciseIndex, exercise.load),
    restMs: restInHand(plan, state, exerciseIndex, restAfter?.restMs ?? 0),
  };
}

/** A set's exercise while it runs; that of the inflation that is still up; else that of the next set. */
function exerciseIndexInHand(plan: Plan, state: SessionState, next: SetPlace | null): number {
  const last = lastSet(state);
  if (!last) return next?.exerciseIndex ?? 0;
  if (!next || last.endedAtMs === null) return last.exerciseIndex;
  return releasesAfter(plan, last) && isUpSince(state, last) ? last.exerciseIndex : next.exerciseIndex;
}

/** Whether a cuff is still up from the inflation the set was done under. */
export const isUpSince = (state: SessionState, set: SetRecord): boolean =>
  inflatedLimbs(state).some((limb) => (openInflation(limb)?.fromMs ?? 0) < (set.endedAtMs ?? 0));

const limbOf = (state: SessionState, limb: Limb) => state.limbs.find((candidate) => candidate.limb === limb);

function limbInHand(
  state: SessionState,
  exercise: PlannedExercise,
  place: SetPlace | null,
  signed: LimbTarget,
): LimbInHand {
  const { limb } = signed;
  const open = openInflation(limbOf(state, limb));
  if (signed.kind === 'by-feel') {
    return {
      kind: 'by-feel',
      limb,
      signed,
      mark: dueMark(state, exercise, place, signed) + (state.marksMoved[limb] ?? 0),
      ...countedAs(signed),
      up: open !== null,
    };
  }
  const held = {
    limb,
    targetMmHg: loosenedMmHg(state, signed, dueMmHg(state, exercise, place, signed)),
    readMmHg: open?.steps.at(-1)?.pressureMmHg ?? null,
  };
  return signed.kind === 'measured'
    ? { kind: 'measured', signed, ...held }
    : { kind: 'arbitrary', signed, ...held };
}

/** A pressure less what was loosened on its limb and not taken back, in mmHg, on the gauge's division. */
export function loosenedMmHg(
  state: SessionState,
  { limb, divisionMmHg }: Pick<CuffedTarget, 'limb' | 'divisionMmHg'>,
  dueMmHg: number,
): number {
  const loosened = state.loosenedMmHg[limb] ?? 0;
  return loosened === 0 ? dueMmHg : roundDownToDivision(Math.max(0, dueMmHg - loosened), divisionMmHg);
}

/** What was signed for a limb of the exercise in hand, or for the first exercise that uses it. */
export function signedInHand(plan: Plan, state: SessionState, limb: Limb): LimbTarget | undefined {
  const next = openSet(state) ? null : nextPlace(plan, state);
  const exercise = plan.exercises[exerciseIndexInHand(plan, state, next)];
  const of = (targets: readonly LimbTarget[] = []) => targets.find((target) => target.limb === limb);
  return of(exercise?.limbs) ?? of(plan.exercises.flatMap(({ limbs }) => limbs));
}

/** The pressure signed for this moment: that of the priming cycle while there is one, else that of the set. */
export function dueMmHg(
  state: SessionState,
  exercise: PlannedExercise,
  place: SetPlace | null,
  target: CuffedTarget,
): number {
  const priming = place && primingOf(exercise, place, state);
  const primedMmHg = priming ? target.primingMmHg[priming.cycle] : undefined;
  return primedMmHg ?? plannedMmHg(target, place ? exercise.sets[place.setIndex] : undefined);
}

/** The mark signed for this moment: that of the priming cycle while there is one, else that of the set. */
function dueMark(
  state: SessionState,
  exercise: PlannedExercise,
  place: SetPlace | null,
  target: FeltTarget,
): number {
  const priming = place && primingOf(exercise, place, state);
  const primed = priming ? target.primingMarks?.[priming.cycle] : undefined;
  return primed ?? plannedMark(target, place ? exercise.sets[place.setIndex] : undefined);
}

/** Priming before the first set: the newest inflation of it, and the cycle that is up or comes next, from 0. */
export type Priming = { last: LiveInflation | undefined; cycle: number };

/**
 * The priming before the first set of an exercise (rule PRS-6). `null` when there is none, or the cuff is up for the work
 * itself; `cycle` is beyond the last one when all have been done.
 */
export function primingOf(exercise: PlannedExercise, place: SetPlace, state: SessionState): Priming | null {
  const cycles = primingCycles(exercise);
  if (place.setIndex > 0 || cycles === 0) return null;
  const before = lastSet(state);
  // The set itself is under way: its priming is over.
  if (before?.exerciseIndex === place.exerciseIndex && before.setIndex === place.setIndex) return null;
  const sinceMs = before?.endedAtMs ?? 0;
  const limb = limbOf(state, exercise.limbs[0]?.limb ?? 'left-arm');
  const inflations = limb?.inflations.filter(({ fromMs }) => fromMs >= sinceMs) ?? [];
  if (inflations.length > cycles) return null;
  const last = inflations.at(-1);
  return { last, cycle: inflations.length - (last?.toMs === null ? 1 : 0) };
}

/** The load of the next set of an exercise in kg: as it was lightened or corrected, else the plan's; null without kilograms. */
export function loadInHand(state: SessionState, exerciseIndex: number, load: PlannedLoad): number | null {
  const last = state.sets.filter((set) => set.exerciseIndex === exerciseIndex).at(-1);
  const lightened = state.offers
    .filter((one) => one.accepted && one.exerciseIndex === exerciseIndex && one.offer.kind === 'lighten')
    .at(-1);
  // An offer is of the set it was made after; a later set carries its own load.
  if (lightened?.offer.kind === 'lighten' && lightened.setIndex === last?.setIndex)
    return lightened.offer.loadKg;
  return last?.loadKg ?? plannedKg(load);
}

/** The rest after the next sets of an exercise, on whichever side: as accepted in the session, or the plan's. In ms. */
export function restInHand(
  plan: Plan,
  state: SessionState,
  exerciseIndex: number,
  plannedMs: number,
): number {
  const idOf = (index: number) => plan.exercises[index]?.exerciseId;
  return state.offers.reduce(
    (restMs, { exerciseIndex: of, offer, accepted }) =>
      accepted && idOf(of) === idOf(exerciseIndex) && offer.kind === 'rest' ? offer.restMs : restMs,
    plannedMs,
  );
}

import type { Plan, PlannedExercise } from '../plan/plan';
import { isByFeel, primingCycles, primingIn } from '../plan/target';
import type { Limb } from '../quantity/limb';
import { RULES } from '../rules/catalogue';
import { type LimbClock, limbClocks, restLeftMs } from './clocks';
import { inHand, isUpSince, primingOf } from './in-hand';
import { lastSet, nextPlace, releasesAfter, type SetPlace } from './places';
import { inflatedLimbs, openInflation, openSet, type SessionState } from './state';

/** A cuff and the pressure it is to be brought to, in mmHg; null for a strap, which goes to its mark. */
export type CuffTarget = { limb: Limb; pressureMmHg: number | null };

/** The one thing expected next: what Space does. `why` says what asks for a release, or for what the cuff goes up. */
export type NextStep =
  | { do: 'inflate'; cuffs: CuffTarget[]; place: SetPlace; why: 'set' | 'priming' }
  | { do: 'start-set'; place: SetPlace }
  | { do: 'check-colour'; place: SetPlace }
  /** Colour or feeling was not good: loosen, release, note the sign or look again; nothing else goes on. */
  | { do: 'decide'; place: SetPlace }
  | { do: 'end-set'; place: SetPlace }
  | { do: 'wait'; place: SetPlace; untilMs: number; why: 'rest' | 'primed-up' | 'primed-down' | 'free-flow' }
  | {
      do: 'release';
      limbs: Limb[];
      why: 'limit' | 'stopped' | 'rest' | 'between-exercises' | 'sets-done' | 'priming';
    }
  | { do: 'finish' }
  | { do: 'nothing' };

type ReleaseWhy = Extract<NextStep, { do: 'release' }>['why'];

/** What the operator is expected to do at `nowMs` wall clock (rules RUN-1, RUN-2, RUN-5, PRO-1, PRS-6). */
export function nextStep(plan: Plan, state: SessionState, nowMs: number): NextStep {
  const inflated = inflatedLimbs(state).map(({ limb }) => limb);
  const clocks = limbClocks(plan, state, nowMs);
  const release = (why: ReleaseWhy, limbs: Limb[] = inflated): NextStep => ({ do: 'release', limbs, why });
  if (inflated.length > 0 && clocks.some(({ alarm }) => alarm === 'now')) {
    return release('limit');
  }
  if (inflated.length > 0 && state.stopped) return release('stopped');
  if (state.finishedAtMs !== null && inflated.length === 0) return { do: 'nothing' };
  if (state.stopped) return { do: 'finish' };
  const stoppedUp = upSinceStop(state);
  if (stoppedUp.length > 0) return release('stopped', stoppedUp);

  const set = openSet(state);
  if (set) return { do: 'end-set', place: { exerciseIndex: set.exerciseIndex, setIndex: set.setIndex } };
  if (state.toDecide && state.finishedAtMs === null) return { do: 'decide', place: state.toDecide };
  const unseen = colourToCheck(plan, state);
  if (unseen) return { do: 'check-colour', place: unseen };
  const place = nextPlace(plan, state);
  const exercise = place && plan.exercises[place.exerciseIndex];
  if (!place || !exercise) return inflated.length > 0 ? release('sets-done') : { do: 'finish' };

  const otherLimbs = inflated.filter((limb) => !exercise.limbs.some((target) => target.limb === limb));
  if (otherLimbs.length > 0) return release('between-exercises', otherLimbs);
  const last = lastSet(state);
  if (inflated.length > 0 && last && releasesAfter(plan, last) && isUpSince(state, last)) {
    return release(place.setIndex === 0 ? 'between-exercises' : 'rest');
  }
  const priming = primingOf(exercise, place, state);
  if (priming) {
    const { last, cycle } = priming;
    const { onMs, offMs } = primingIn(exercise);
    if (last?.toMs === null) {
      const untilMs = last.fromMs + onMs;
      if (nowMs >= untilMs) return release('priming');
      return { do: 'wait', place, untilMs, why: 'primed-up' };
    }
    const untilMs = (last?.toMs ?? 0) + offMs;
    if (cycle > 0 && last && nowMs < untilMs) return { do: 'wait', place, untilMs, why: 'primed-down' };
  }
  const down = exercise.limbs.filter(({ limb }) => !inflated.includes(limb));
  if (down.length === 0) return { do: 'start-set', place };
  const waiting =
    waitForRest(plan, exercise, place, state, nowMs) ??
    waitForFlow(clocks, exercise, down, place, state, nowMs);
  if (waiting) return waiting;
  const targets = inHand(plan, state)?.limbs ?? [];
  const cuffs = targets
    .filter(({ limb }) => down.some((target) => target.limb === limb))
    .map(
      (target): CuffTarget => ({
        limb: target.limb,
        pressureMmHg: target.kind === 'by-feel' ? null : target.targetMmHg,
      }),
    );
  const primes = priming !== null && priming.cycle < primingCycles(exercise);
  return { do: 'inflate', cuffs, place, why: primes ? 'priming' : 'set' };
}

/** Cuffs that were up at a stop which was taken back: they come down before it goes on. */
const upSinceStop = (state: SessionState): Limb[] =>
  inflatedLimbs(state)
    .filter((limb) => (openInflation(limb)?.fromMs ?? 0) < (state.stopTakenBackAtMs ?? 0))
    .map(({ limb }) => limb);

/** A cuff that was deflated stays down until the rest is over, but for the lead it needs to come up (rule RUN-2). */
function waitForRest(
  plan: Plan,
  exercise: PlannedExercise,
  place: SetPlace,
  state: SessionState,
  nowMs: number,
): NextStep | null {
  const last = lastSet(state);
  const leftMs = restLeftMs(state, nowMs);
  if (!last || leftMs === null || !releasesAfter(plan, last)) return null;
  const lead = leadMs(exercise, place);
  return leftMs > lead ? { do: 'wait', place, untilMs: nowMs + leftMs - lead, why: 'rest' } : null;
}

/** The cuff of a next exercise is settled first; within one it comes up before the rest is over. */
const leadMs = (exercise: PlannedExercise, { setIndex }: SetPlace): number =>
  setIndex === 0 ? 0 : exercise.reinflateLeadMs;

/**
 * A minute of free flow, after which the clock restarts: for a limb whose clock ran to its limit, and where the
 * rest is planned for it. It counts from the release, which comes after the set that the rest counts from
 * (rule PRO-1).
 */
function waitForFlow(
  clocks: readonly LimbClock[],
  exercise: PlannedExercise,
  down: readonly { limb: Limb }[],
  place: SetPlace,
  state: SessionState,
  nowMs: number,
): NextStep | null {
  const flowMs = RULES['PRO-1'].figures.continuousOcclusionMs.freeFlowToRestart;
  const restarts = (state.rest?.restMs ?? 0) - leadMs(exercise, place) >= flowMs;
  const untilMs = clocks
    .filter(({ limb }) => down.some((target) => target.limb === limb))
    .filter(({ leftMs, clockMs }) => leftMs <= 0 || (restarts && clockMs > 0))
    .map(({ downSinceMs }) => (downSinceMs ?? nowMs) + flowMs);
  return untilMs.length > 0 ? { do: 'wait', place, untilMs: Math.max(...untilMs), why: 'free-flow' } : null;
}

/** Under a strap, the last set whose colour and feeling were not checked yet (rule TIGHT). */
function colourToCheck(plan: Plan, state: SessionState): SetPlace | null {
  const last = lastSet(state);
  const exercise = last && plan.exercises[last.exerciseIndex];
  return last && exercise && isByFeel(exercise) && last.colourGood === null
    ? { exerciseIndex: last.exerciseIndex, setIndex: last.setIndex }
    : null;
}

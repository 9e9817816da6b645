import type { Plan } from '../plan/plan';
import { mergeLogs, type SessionEvent } from './events';
import { findSet, openInflation, openSet, type SessionState } from './state';

/**
 * State of a session after its events. Any batching, order or repetition of the same events gives the same state;
 * an event that makes no sense where it stands (a set ended that never started) changes nothing.
 */
export function fold(plan: Plan, events: readonly SessionEvent[]): SessionState {
  const state: SessionState = {
    startedAtMs: null,
    limbs: [],
    sets: [],
    rest: null,
    signs: [],
    stopped: null,
    finishedAtMs: null,
  };
  for (const event of mergeLogs(events)) apply(plan, state, event);
  return state;
}

function apply(plan: Plan, state: SessionState, event: SessionEvent): void {
  switch (event.type) {
    case 'session-started':
      state.startedAtMs ??= event.atMs;
      return;
    case 'cuff-inflated':
      inflate(state, event);
      return;
    case 'pressure-read':
      openInflation(state.limbs.find(({ limb }) => limb === event.limb))?.steps.push({
        atMs: event.atMs,
        pressureMmHg: event.pressureMmHg,
      });
      return;
    case 'set-started':
      startSet(plan, state, event);
      return;
    case 'set-ended': {
      const set = findSet(state, event);
      if (!set || set.endedAtMs !== null) return;
      set.endedAtMs = event.atMs;
      set.countedReps = event.reps;
      set.reason ??= event.reason;
      return;
    }
    case 'reps-corrected': {
      const set = findSet(state, event);
      if (set) set.correctedBy += event.byReps;
      return;
    }
    case 'rest-started':
      if (!openSet(state)) state.rest = { startedAtMs: event.atMs, restMs: event.restMs };
      return;
    case 'set-noted': {
      const set = findSet(state, event);
      if (!set) return;
      set.reason = event.reason ?? set.reason;
      set.effort = event.effort ?? set.effort;
      set.jointPain = event.jointPain ?? set.jointPain;
      return;
    }
    case 'sign-noted':
      state.signs.push({ atMs: event.atMs, sign: event.sign });
      return;
    case 'cuff-released': {
      const inflation = openInflation(state.limbs.find(({ limb }) => limb === event.limb));
      if (inflation) inflation.toMs = event.atMs;
      return;
    }
    case 'stopped':
      state.stopped ??= { atMs: event.atMs, why: event.why };
      state.rest = null;
      return;
    case 'session-finished':
      state.finishedAtMs ??= event.atMs;
      state.rest = null;
      return;
  }
}

function inflate(state: SessionState, event: Extract<SessionEvent, { type: 'cuff-inflated' }>): void {
  let limb = state.limbs.find((candidate) => candidate.limb === event.limb);
  if (!limb) {
    limb = { limb: event.limb, inflations: [] };
    state.limbs.push(limb);
  }
  const step = { atMs: event.atMs, pressureMmHg: event.pressureMmHg };
  const open = openInflation(limb);
  // Inflating a cuff that is already up is a change of pressure, not a new clock.
  if (open) open.steps.push(step);
  else limb.inflations.push({ fromMs: event.atMs, toMs: null, steps: [step] });
}

function startSet(
  plan: Plan,
  state: SessionState,
  event: Extract<SessionEvent, { type: 'set-started' }>,
): void {
  const planned = plan.exercises[event.exerciseIndex]?.sets[event.setIndex];
  if (!planned || findSet(state, event) || openSet(state)) return;
  state.sets.push({
    exerciseIndex: event.exerciseIndex,
    setIndex: event.setIndex,
    plannedReps: planned.reps,
    startedAtMs: event.atMs,
    endedAtMs: null,
    countedReps: null,
    correctedBy: 0,
    reason: null,
    effort: null,
    jointPain: null,
  });
  state.rest = null;
}

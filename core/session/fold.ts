import { type Plan, plannedKg } from '../plan/plan';
import { pacedReps } from '../protocol/set-work';
import { mergeLogs, type SessionEvent, type SessionEventType } from './events';
import { dueMmHg, inHand, loadInHand, signedInHand } from './in-hand';
import { findSet, openInflation, openSet, type SessionState } from './state';

/**
 * State of a session after its events. Any batching, order or repetition of the same events gives the same state;
 * an event that makes no sense where it stands (a set ended that never started) changes nothing.
 */
export function fold(plan: Plan, events: readonly SessionEvent[]): SessionState {
  const state: SessionState = {
    startedAtMs: null,
    limbs: [],
    loosenedMmHg: {},
    marksMoved: {},
    sets: [],
    rest: null,
    signs: [],
    offers: [],
    ignoredAlarms: [],
    reviews: [],
    followUp: null,
    stopped: null,
    finishedAtMs: null,
  };
  const log = mergeLogs(events);
  const undone = undoneIds(log);
  for (const event of log) if (!undone.has(event.id)) apply(plan, state, event);
  return state;
}

const UNDOABLE: readonly SessionEventType[] = [
  'reps-corrected',
  'start-corrected',
  'load-corrected',
  'set-noted',
  'heart-rate-noted',
  'colour-checked',
];

/** Corrections and notes that can still be taken back, oldest first. */
export function undoable(events: readonly SessionEvent[]): SessionEvent[] {
  const log = mergeLogs(events);
  const undone = undoneIds(log);
  return log.filter(({ id, type }) => UNDOABLE.includes(type) && !undone.has(id));
}

function undoneIds(log: readonly SessionEvent[]): Set<string> {
  const asked = new Set(log.flatMap((event) => (event.type === 'undone' ? [event.eventId] : [])));
  return new Set(log.filter(({ id, type }) => asked.has(id) && UNDOABLE.includes(type)).map(({ id }) => id));
}

function apply(plan: Plan, state: SessionState, event: SessionEvent): void {
  switch (event.type) {
    case 'session-started':
      state.startedAtMs ??= event.atMs;
      return;
    case 'cuff-inflated':
      inflate(plan, state, event);
      return;
    case 'pressure-read':
      readPressure(plan, state, event);
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
    case 'start-corrected': {
      const set = findSet(state, event);
      // A set cannot end before it began.
      if (set)
        set.startedAtMs = Math.min(set.startedAtMs + event.byMs, set.endedAtMs ?? Number.POSITIVE_INFINITY);
      return;
    }
    case 'load-corrected': {
      const set = findSet(state, event);
      if (set) set.loadKg = event.loadKg;
      return;
    }
    case 'heart-rate-noted': {
      const { moment, beatsPerMinute } = event;
      findSet(state, event)?.heartRates.push({ moment, beatsPerMinute });
      return;
    }
    case 'colour-checked': {
      const set = findSet(state, event);
      if (set) set.colourGood = event.good;
      return;
    }
    case 'offer-answered': {
      const { exerciseIndex, setIndex, offer, accepted } = event;
      state.offers.push({ exerciseIndex, setIndex, offer, accepted });
      return;
    }
    case 'alarm-ignored':
      state.ignoredAlarms.push({ atMs: event.atMs, limb: event.limb });
      return;
    case 'review-answered': {
      const { exerciseIndex, rule, answer, change, reason } = event;
      state.reviews = state.reviews.filter((review) => review.exerciseIndex !== exerciseIndex);
      state.reviews.push({ exerciseIndex, rule, answer, change, reason });
      return;
    }
    case 'followed-up': {
      const { soreness, bruising, pinpointBleeding, numbness, skinAbrasion, urgent } = event;
      state.followUp = {
        soreness,
        bruising,
        pinpointBleeding,
        numbness,
        ...(skinAbrasion === undefined ? {} : { skinAbrasion }),
        ...(urgent === undefined ? {} : { urgent }),
      };
      return;
    }
    case 'undone':
      return;
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

function inflate(
  plan: Plan,
  state: SessionState,
  event: Extract<SessionEvent, { type: 'cuff-inflated' }>,
): void {
  let limb = state.limbs.find((candidate) => candidate.limb === event.limb);
  if (!limb) {
    limb = { limb: event.limb, inflations: [] };
    state.limbs.push(limb);
  }
  const signed = signedInHand(plan, state, event.limb);
  // Logs of older devices wrote 0 for a strap.
  const step = { atMs: event.atMs, pressureMmHg: signed?.kind === 'by-feel' ? null : event.pressureMmHg };
  const open = openInflation(limb);
  // Inflating a cuff that is already up is a change of pressure, not a new clock.
  if (open) open.steps.push(step);
  else {
    const occlusionMmHg = signed?.kind === 'measured' ? signed.occlusion.value : null;
    limb.inflations.push({ fromMs: event.atMs, toMs: null, occlusionMmHg, steps: [step] });
  }
}

/** A reading goes on the clock; one that was meant to change the pressure also changes the target in hand (rule RUN-7). */
function readPressure(
  plan: Plan,
  state: SessionState,
  { limb, atMs, pressureMmHg, cause }: Extract<SessionEvent, { type: 'pressure-read' }>,
): void {
  const open = openInflation(state.limbs.find((candidate) => candidate.limb === limb));
  if (!open) return;
  open.steps.push({ atMs, pressureMmHg });
  if (cause === 'read') return;
  const now = inHand(plan, state);
  const target = now?.limbs.find((candidate) => candidate.limb === limb);
  if (!now || target?.kind !== 'measured') return;
  const under = Math.max(0, dueMmHg(state, now.exercise, now.place, target.signed) - pressureMmHg);
  const before = state.loosenedMmHg[limb] ?? 0;
  state.loosenedMmHg[limb] = cause === 'loosened' ? Math.max(before, under) : Math.min(before, under);
}

function startSet(
  plan: Plan,
  state: SessionState,
  event: Extract<SessionEvent, { type: 'set-started' }>,
): void {
  const exercise = plan.exercises[event.exerciseIndex];
  const planned = exercise?.sets[event.setIndex];
  if (!exercise || !planned || findSet(state, event) || openSet(state)) return;
  const lifted = loadInHand(state, event.exerciseIndex, exercise.load);
  state.sets.push({
    exerciseIndex: event.exerciseIndex,
    setIndex: event.setIndex,
    plannedReps: pacedReps(planned.work),
    startedAtMs: event.atMs,
    endedAtMs: null,
    countedReps: null,
    correctedBy: 0,
    reason: null,
    effort: null,
    jointPain: null,
    loadKg: lifted === plannedKg(exercise.load) ? null : lifted,
    heartRates: [],
    colourGood: null,
  });
  state.rest = null;
}

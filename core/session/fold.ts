import type { Plan } from '../plan/plan';
import { EVENTS, type SessionEvent } from './events';
import type { Log } from './log';
import type { SessionState } from './state';

/** A session before anything has happened. */
const nothingYet = (): SessionState => ({
  startedAtMs: null,
  enteredAtMs: null,
  byClient: false,
  runner: null,
  runBy: null,
  handedTo: null,
  limbs: [],
  loosenedMmHg: {},
  marksMoved: {},
  raisedAtMs: {},
  sets: [],
  rest: null,
  toDecide: null,
  refits: [],
  signs: [],
  offers: [],
  ignoredAlarms: [],
  heartRate: null,
  bloodPressures: [],
  adjuncts: [],
  effort: null,
  reviews: [],
  followUp: null,
  stopped: null,
  stopTakenBackAtMs: null,
  finishedAtMs: null,
});

/**
 * State of a session after its events. Any batching, order or repetition of the same events gives the same log and so the
 * same state; an event that makes no sense where it is (a set ended that never started) changes nothing, and after the
 * finish only what may still be said of a finished session does.
 */
export function fold(plan: Plan, log: Log): SessionState {
  const state = nothingYet();
  const undone = undoneIds(log);
  for (const event of log) {
    if (undone.has(event.id)) continue;
    if (state.finishedAtMs !== null && !EVENTS[event.type].afterFinish) continue;
    apply(plan, state, event);
  }
  return state;
}

// Each definition applies its own kind of event; the table pairs them by their type.
function apply(plan: Plan, state: SessionState, event: SessionEvent): void {
  const definition: { apply: (plan: Plan, state: SessionState, event: never) => void } = EVENTS[event.type];
  definition.apply(plan, state, event as never);
}

/** Corrections and notes that can still be taken back, oldest first. */
export function undoable(log: Log): SessionEvent[] {
  const undone = undoneIds(log);
  return log.filter(({ id, type }) => EVENTS[type].undoable && !undone.has(id));
}

function undoneIds(log: Log): Set<string> {
  const asked = new Set(log.flatMap((event) => (event.type === 'undone' ? [event.eventId] : [])));
  if (asked.size === 0) return asked;
  return new Set(log.filter(({ id, type }) => asked.has(id) && EVENTS[type].undoable).map(({ id }) => id));
}

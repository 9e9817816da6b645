import type { Plan } from '../plan/plan';
import type { EventBody, SessionEvent } from './events';
import { fold } from './fold';
import { mergeLogs } from './log';
import { stampedLog } from './stamp';
import type { SessionState } from './state';

export const SESSION_ID = '00000000-0000-4000-8000-000000000000';
export const START_MS = 1_800_000_000_000;

/** Events of one device for tests: `[seconds after the start, body]`, ids made from the sequence number. */
export function logOf(
  entries: readonly (readonly [number, EventBody])[],
  deviceId = 'tablet',
): SessionEvent[] {
  return stampedLog(
    { sessionId: SESSION_ID, deviceId },
    entries.map(([atSeconds, body]) => ({ atMs: START_MS + Math.round(atSeconds * 1000), body })),
    (seq) =>
      `00000000-0000-4000-8000-${deviceId.length.toString(16).padStart(4, '0')}${seq.toString(16).padStart(8, '0')}`,
  );
}

const place = (setIndex: number) => ({ exerciseIndex: 0, setIndex });

/** A whole standard-75 on the left thigh at 104 mmHg, 1-0-1, with a 13 in the last set. */
export const WHOLE_SESSION: readonly (readonly [number, EventBody])[] = [
  [0, { type: 'session-started' }],
  [5, { type: 'cuff-inflated', limb: 'left-thigh', pressureMmHg: 104 }],
  [20, { type: 'pressure-read', limb: 'left-thigh', pressureMmHg: 100, cause: 'read' }],
  [25, { type: 'set-started', ...place(0) }],
  [85, { type: 'set-ended', ...place(0), reps: 30, reason: 'done' }],
  [85, { type: 'rest-started', ...place(0), restMs: 30_000 }],
  [90, { type: 'set-noted', ...place(0), effort: 6, jointPain: 1 }],
  [115, { type: 'set-started', ...place(1) }],
  [145, { type: 'set-ended', ...place(1), reps: 15, reason: 'done' }],
  [145, { type: 'rest-started', ...place(1), restMs: 30_000 }],
  [175, { type: 'set-started', ...place(2) }],
  [205, { type: 'set-ended', ...place(2), reps: 15, reason: 'done' }],
  [205, { type: 'rest-started', ...place(2), restMs: 30_000 }],
  [235, { type: 'set-started', ...place(3) }],
  [265, { type: 'set-ended', ...place(3), reps: 15, reason: 'done' }],
  [268, { type: 'reps-corrected', ...place(3), byReps: -2 }],
  [275, { type: 'cuff-released', limb: 'left-thigh' }],
  [300, { type: 'session-finished' }],
];

/** Folds events that tests put together in any order. */
export const foldAll = (plan: Plan, events: readonly SessionEvent[]): SessionState =>
  fold(plan, mergeLogs(events));

import { z } from 'zod';
import { limbSchema } from '../quantity/limb';
import { signIdSchema } from './signs';

const stamp = {
  id: z.uuid(),
  sessionId: z.uuid(),
  deviceId: z.string().min(1).max(64),
  /** Rises by one with each event of a device. */
  seq: z.number().int().nonnegative(),
  /** Wall-clock time in ms since 1970. */
  atMs: z.number().int().positive(),
};
const cuffPressure = { limb: limbSchema, pressureMmHg: z.number().min(0).max(400) };
const setPlace = {
  exerciseIndex: z.number().int().min(0).max(50),
  setIndex: z.number().int().min(0).max(50),
};
const scale = z.number().int().min(0).max(10);

export const stopReasonSchema = z.enum(['done', 'failure', 'pain', 'operator']);
/** Why a set ended (rule RUN-2). */
export type StopReason = z.infer<typeof stopReasonSchema>;

/**
 * Everything that can happen in a session. State, clocks, dose, strip and review are folds of these;
 * corrections are events too, so nothing is ever rewritten.
 */
export const sessionEventSchema = z.discriminatedUnion('type', [
  z.object({ ...stamp, type: z.literal('session-started') }),
  z.object({ ...stamp, type: z.literal('cuff-inflated'), ...cuffPressure }),
  z.object({
    ...stamp,
    type: z.literal('pressure-read'),
    ...cuffPressure,
    cause: z.enum(['read', 'top-up', 'loosened']),
  }),
  z.object({ ...stamp, type: z.literal('set-started'), ...setPlace }),
  z.object({
    ...stamp,
    type: z.literal('set-ended'),
    ...setPlace,
    reps: z.number().int().min(0).max(500),
    reason: stopReasonSchema,
  }),
  z.object({
    ...stamp,
    type: z.literal('rest-started'),
    ...setPlace,
    restMs: z.number().int().min(0).max(600_000),
  }),
  // A difference, not a total: two operators correcting at once both count.
  z.object({
    ...stamp,
    type: z.literal('reps-corrected'),
    ...setPlace,
    byReps: z.number().int().min(-100).max(100),
  }),
  z.object({
    ...stamp,
    type: z.literal('set-noted'),
    ...setPlace,
    reason: stopReasonSchema.optional(),
    effort: scale.optional(),
    jointPain: scale.optional(),
  }),
  z.object({ ...stamp, type: z.literal('sign-noted'), sign: signIdSchema }),
  z.object({ ...stamp, type: z.literal('cuff-released'), limb: limbSchema }),
  z.object({ ...stamp, type: z.literal('stopped'), why: z.string().trim().min(1).max(300) }),
  z.object({ ...stamp, type: z.literal('session-finished') }),
]);
export type SessionEvent = z.infer<typeof sessionEventSchema>;
export type SessionEventType = SessionEvent['type'];

type Unstamped<E> = E extends SessionEvent ? Omit<E, keyof typeof stamp> : never;
/** An event before the client stamps it with id, session, device, sequence and time. */
export type EventBody = Unstamped<SessionEvent>;

// Where two events carry the same time, the order in which they can make sense of each other.
const RANK: Record<SessionEventType, number> = {
  'session-started': 0,
  'cuff-inflated': 1,
  'pressure-read': 2,
  'set-started': 3,
  'set-ended': 4,
  'rest-started': 5,
  'reps-corrected': 6,
  'set-noted': 7,
  'sign-noted': 8,
  'cuff-released': 9,
  stopped: 10,
  'session-finished': 11,
};

function compareEvents(a: SessionEvent, b: SessionEvent): number {
  return (
    a.atMs - b.atMs ||
    RANK[a.type] - RANK[b.type] ||
    (a.deviceId < b.deviceId ? -1 : a.deviceId > b.deviceId ? 1 : 0) ||
    a.seq - b.seq ||
    (a.id < b.id ? -1 : a.id > b.id ? 1 : 0)
  );
}

/** One log from any number of parts: each id once, in the one order every device agrees on. */
export function mergeLogs(...parts: readonly (readonly SessionEvent[])[]): SessionEvent[] {
  const byId = new Map<string, SessionEvent>();
  for (const part of parts) for (const event of part) if (!byId.has(event.id)) byId.set(event.id, event);
  return [...byId.values()].sort(compareEvents);
}

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
const pressureMmHg = z.number().min(0).max(400);
const cuffPressure = { limb: limbSchema, pressureMmHg };
const setPlace = {
  exerciseIndex: z.number().int().min(0).max(50),
  setIndex: z.number().int().min(0).max(50),
};
const scale = z.number().int().min(0).max(10);
const loadKg = z.number().min(0).max(500);

/** What the bench may offer after a set that fell short: loosen, lighten, or rest longer (rules RUN-4, REV-3, REV-4). */
export const offerSchema = z.discriminatedUnion('kind', [
  z.object({ kind: z.literal('loosen'), byMmHg: z.number().int().positive().max(50) }),
  z.object({ kind: z.literal('lighten'), loadKg, recipe: z.string().max(120) }),
  z.object({ kind: z.literal('rest'), restMs: z.number().int().min(0).max(600_000) }),
]);
export type Offer = z.infer<typeof offerSchema>;

export const urgentSignSchema = z.enum([
  'dark-urine',
  'weakness',
  'swollen-limb',
  'breathless',
  'chest-pain',
]);

/** How the person was the day after (rule RUN-6). */
export const followUpSchema = z.object({
  soreness: scale,
  bruising: z.enum(['none', 'small', 'wide']),
  pinpointBleeding: z.boolean(),
  numbness: z.boolean(),
  skinAbrasion: z.boolean().optional(),
  /** Signs that are referred urgently; none in answers of older devices. */
  urgent: z.array(urgentSignSchema).optional(),
});
export type FollowUp = z.infer<typeof followUpSchema>;

export const stopReasonSchema = z.enum(['done', 'failure', 'pain', 'operator']);
/** Why a set ended (rule RUN-2). */
export type StopReason = z.infer<typeof stopReasonSchema>;

/**
 * Everything that can happen in a session. State, clocks, dose, strip and review are folds of these;
 * corrections are events too, so nothing is ever rewritten.
 */
export const sessionEventSchema = z.discriminatedUnion('type', [
  z.object({ ...stamp, type: z.literal('session-started') }),
  // Null under a strap, whose pressure nobody knows.
  z.object({
    ...stamp,
    type: z.literal('cuff-inflated'),
    limb: limbSchema,
    pressureMmHg: pressureMmHg.nullable(),
  }),
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
  // The set was begun earlier or later than it was noted; it moves by this much.
  z.object({
    ...stamp,
    type: z.literal('start-corrected'),
    ...setPlace,
    byMs: z.number().int().min(-600_000).max(600_000),
  }),
  // Another load was lifted than planned, in this set and those of the exercise after it.
  z.object({ ...stamp, type: z.literal('load-corrected'), ...setPlace, loadKg }),
  z.object({
    ...stamp,
    type: z.literal('heart-rate-noted'),
    ...setPlace,
    moment: z.enum(['minute-5', 'end']),
    beatsPerMinute: z.number().int().min(30).max(240),
  }),
  z.object({ ...stamp, type: z.literal('colour-checked'), ...setPlace, good: z.boolean() }),
  z.object({
    ...stamp,
    type: z.literal('offer-answered'),
    ...setPlace,
    offer: offerSchema,
    accepted: z.boolean(),
    reason: z.string().max(300),
  }),
  // The occlusion limit was passed by a while and the cuff was still up (rule RUN-1).
  z.object({ ...stamp, type: z.literal('alarm-ignored'), limb: limbSchema }),
  // Takes a correction or a note back; what happened to the limb cannot be undone.
  z.object({ ...stamp, type: z.literal('undone'), eventId: z.uuid() }),
  z.object({
    ...stamp,
    type: z.literal('review-answered'),
    exerciseIndex: setPlace.exerciseIndex,
    rule: z.string().regex(/^REV-[1-9]$/),
    answer: z.enum(['accepted', 'edited', 'declined']),
    change: z.object({
      pressurePoints: z.number().min(-40).max(20).optional(),
      loadSteps: z.union([z.literal(-1), z.literal(1)]).optional(),
      restMs: z.number().int().min(0).max(600_000).optional(),
      heavyBridge: z.literal(true).optional(),
    }),
    reason: z.string().trim().max(300),
  }),
  z.object({ ...stamp, type: z.literal('followed-up'), ...followUpSchema.shape }),
  // Where it was felt, and what else is to be said of it; all limbs under a cuff where nobody said.
  z.object({
    ...stamp,
    type: z.literal('sign-noted'),
    sign: signIdSchema,
    limbs: z.array(limbSchema).optional(),
    note: z.string().trim().max(300).optional(),
  }),
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
  'start-corrected': 7,
  'load-corrected': 8,
  'set-noted': 9,
  'heart-rate-noted': 10,
  'colour-checked': 11,
  'offer-answered': 12,
  'sign-noted': 13,
  'alarm-ignored': 14,
  'cuff-released': 15,
  stopped: 16,
  'session-finished': 17,
  'review-answered': 18,
  'followed-up': 19,
  undone: 20,
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

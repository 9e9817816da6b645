import { z } from 'zod';
import { textSchema } from '../../message/message-schema';

/** Why a set ended (rule RUN-2). */
export const stopReasonSchema = z.enum(['done', 'failure', 'pain', 'operator']);
export type StopReason = z.infer<typeof stopReasonSchema>;

export const scaleSchema = z.number().int().min(0).max(10);
/** Effort 0–10; what was said on another scale comes to parts of a point. */
export const effortSchema = z.number().min(0).max(10);
/** The heaviest that is taken for a load. */
export const MOST_LOAD_KG = 500;
export const loadKgSchema = z.number().min(0).max(MOST_LOAD_KG);
/** A pulse, in beats a minute. */
export const beatsPerMinuteSchema = z.number().int().min(30).max(240);
export const pressureMmHgSchema = z.number().min(0).max(400);

/** A set of the plan, by its exercise and its place in it. */
export const setPlace = {
  exerciseIndex: z.number().int().min(0).max(50),
  setIndex: z.number().int().min(0).max(50),
};

/** What the bench may offer after a set that fell short: loosen, lighten, or rest longer (rules RUN-4, REV-3, REV-4). */
export const offerSchema = z.discriminatedUnion('kind', [
  z.object({ kind: z.literal('loosen'), byMmHg: z.number().int().positive().max(50) }),
  z.object({ kind: z.literal('loosen-mark'), byMarks: z.number().int().positive().max(5) }),
  z.object({ kind: z.literal('lighten'), loadKg: loadKgSchema, recipe: textSchema }),
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
  soreness: scaleSchema,
  bruising: z.enum(['none', 'small', 'wide']),
  pinpointBleeding: z.boolean(),
  numbness: z.boolean(),
  skinAbrasion: z.boolean().optional(),
  /** Signs that are referred urgently; none in answers of older devices. */
  urgent: z.array(urgentSignSchema).optional(),
});
export type FollowUp = z.infer<typeof followUpSchema>;

/** What an answered review changes for the next session. */
export const reviewChangeSchema = z.object({
  pressurePoints: z.number().min(-40).max(20).optional(),
  loadSteps: z.number().int().min(-20).max(1).optional(),
  restMs: z.number().int().min(0).max(600_000).optional(),
  easier: z.literal(true).optional(),
  heavyBridge: z.literal(true).optional(),
});

/** What was answered to the review of one exercise (rule REV-10). */
export const reviewAnswerSchema = z.object({
  exerciseIndex: setPlace.exerciseIndex,
  rule: z.string().regex(/^REV-[1-9]$/),
  answer: z.enum(['accepted', 'edited', 'declined']),
  change: reviewChangeSchema,
  reason: z.string().trim().max(300),
});
export type ReviewAnswer = z.infer<typeof reviewAnswerSchema>;

/** When a blood pressure is taken around work under the cuff (rule RUN-8). */
export const bloodPressureMomentSchema = z.enum(['before', 'last-rest', 'minute-1', 'minute-5']);
export type BloodPressureMoment = z.infer<typeof bloodPressureMomentSchema>;

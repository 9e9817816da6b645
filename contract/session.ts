import { z } from 'zod';
import { msg } from '#core/message';
import { lighterSchema, type Plan } from '#core/plan';
import { type DayCheckAnswers, dayCheckSchema } from '#core/screening';
import { enteredSessionSchema, type SessionEvent, sessionEventSchema } from '#core/session';
import { overrideReasonSchema } from './prescription';

/** A session to open; the id is made by the client so that opening twice opens once. */
export const newSessionSchema = z.object({
  id: z.uuid(),
  prescriptionId: z.string().min(1),
  /** Why a clinician passes a guard that was not there when the plan was signed. */
  overrideReason: overrideReasonSchema,
  /** A lighter version for today alone (rule SCR-3). */
  lighter: lighterSchema.optional(),
  /** Nothing rises today: as last time (rule CRS-3). */
  keepsBack: z.literal(true).optional(),
});

/** A session to enter after the fact; of which plan, and the id made by the client so that entering twice enters once. */
export const newEnteredSessionSchema = enteredSessionSchema.extend({
  id: z.uuid(),
  coursePlanId: z.string().min(1, msg('Say of which plan.')),
  /** The check of that day, as it is on the sheet; left out where its questions were not answered (rule SCR-3). */
  dayCheck: dayCheckSchema.optional(),
});
export type NewEnteredSession = z.infer<typeof newEnteredSessionSchema>;

export const appendEventsSchema = z.object({
  events: z
    .array(sessionEventSchema)
    .min(1, msg('Send at least one event.'))
    .max(500, msg('At most 500 events at once.')),
});

/** A session with its frozen plan and its whole log. */
export type SessionView = {
  id: string;
  clientId: string;
  clientName: string;
  prescriptionId: string;
  openedAtMs: number;
  /** Its lane on the floor, from 1, for as long as it runs; null for one that was never run here, or is of an earlier release. */
  lane: number | null;
  /** The same person's session before it; null for a first one. */
  idBefore: string | null;
  /** Pain before it, of 10, by the check on the day; null where not said (rule REV-6). */
  painBefore: number | null;
  /** Sleep and soreness by the same check; null where they were not asked. */
  readiness: NonNullable<DayCheckAnswers['readiness']> | null;
  plan: Plan;
  events: SessionEvent[];
};

import { z } from 'zod';
import type { Plan } from '#core/plan/plan';
import { type SessionEvent, sessionEventSchema } from '#core/session/events';
import { overrideReasonSchema } from './prescription';

/** A session to open; the id is made by the client so that opening twice opens once. */
export const newSessionSchema = z.object({
  id: z.uuid(),
  prescriptionId: z.string().min(1),
  /** Why a clinician passes a guard that was not there when the plan was signed. */
  overrideReason: overrideReasonSchema,
});

export const appendEventsSchema = z.object({
  events: z
    .array(sessionEventSchema)
    .min(1, 'Send at least one event.')
    .max(500, 'At most 500 events at once.'),
});

/** What a device that follows the sessions is told: events as they are stored, or that a session was opened. */
export const feedMessageSchema = z.object({
  opened: z.uuid().nullable(),
  events: z.array(sessionEventSchema),
});
export type FeedMessage = z.infer<typeof feedMessageSchema>;

/** A session with its frozen plan and its whole log. */
export type SessionView = {
  id: string;
  clientId: string;
  clientName: string;
  prescriptionId: string;
  openedAtMs: number;
  plan: Plan;
  events: SessionEvent[];
};

import { z } from 'zod';
import { msg, type Text } from '#core/message';
import type { Plan } from '#core/plan';
import { type DaySign, dayCheckSchema } from '#core/screening';
import { type EffortIn, followUpSchema, sessionEventSchema, signIdSchema } from '#core/session';
import type { Writing } from './writing';

/** Weeks a link may be good for. */
export const LINK_WEEKS = { least: 1, usual: 4, most: 8 };

/** A link for one plan, with which a person trains at home without an account. */
export const newHomeLinkSchema = z.object({
  coursePlanId: z.string().min(1, msg('Say for which plan.')),
  weeks: z
    .number()
    .int()
    .min(LINK_WEEKS.least)
    .max(LINK_WEEKS.most, msg('At most {maximum} weeks.', { maximum: LINK_WEEKS.most })),
});

/** A link as the practice sees it; `sessions` have come back by it. */
export type HomeLink = {
  id: string;
  coursePlanId: string;
  madeAtMs: number;
  untilMs: number;
  endedAtMs: number | null;
  sessions: number;
};

/** A link as it is made: its secret is shown once. The secret is after the `#`, which no server is sent. */
export type MadeHomeLink = HomeLink & { path: string };

/** The header that carries the secret of a link. */
export const HOME_HEADER = 'x-nervato-home';

/** What the page of a link receives. It has no name in it, so a lost phone names no one. */
export type HomeSheet = {
  nowMs: number;
  untilMs: number;
  practice: { name: string; phone: string; emergencyPhone: string; writing: Writing };
  planName: Text;
  prescriptionId: string;
  plan: Plan;
  effortIn: EffortIn;
  /** Why there is no training now, in words for who trains; null where there may be. */
  held: Text | null;
  /** Whether that is a sign the emergency number is for (rule RUN-6). */
  isEmergency: boolean;
  /** What is asked on the day, beside the pain. */
  asks: DaySign[];
  asksBloodPressure: boolean;
  /** The session whose day after was not asked about yet; null where there is none (rule RUN-6). */
  askAfter: string | null;
};

/** What a page reports: the check on the day, a session as it was done, or how it was the day after. Each may be sent twice. */
export const reportFromHomeSchema = z.discriminatedUnion('kind', [
  z.object({
    kind: z.literal('check'),
    id: z.uuid(),
    atMs: z.number().int().positive(),
    answers: dayCheckSchema,
  }),
  z.object({
    kind: z.literal('session'),
    id: z.uuid(),
    prescriptionId: z.string().min(1),
    events: z.array(sessionEventSchema).min(1).max(1_000, msg('At most 1,000 events.')),
  }),
  z.object({
    kind: z.literal('after'),
    id: z.uuid(),
    sessionId: z.uuid(),
    atMs: z.number().int().positive(),
    answers: followUpSchema,
  }),
  // A red sign is sent at once, by the id of its event: the session it is in comes when it is over.
  z.object({
    kind: z.literal('sign'),
    id: z.uuid(),
    sessionId: z.uuid(),
    atMs: z.number().int().positive(),
    sign: signIdSchema,
  }),
]);
export type ReportFromHome = z.infer<typeof reportFromHomeSchema>;

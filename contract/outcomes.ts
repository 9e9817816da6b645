import { z } from 'zod';
import type { Reached } from '#core/aerobic';
import { msg } from '#core/message';
import {
  type Comparison,
  comparisonWishSchema,
  type FirstAndLast,
  type KeptBlock,
  type LoggedSession,
  type MeasureId,
  measureIdSchema,
  type Report,
  reportSchema,
  type Taken,
  type Tally,
  type TestedOnce,
  takenSchema,
} from '#core/outcomes';
import type { loadByHour, PersonsWeek } from '#core/record';
import type { Writing } from './writing';

/** A measure to keep, with when it was taken (rule OUT-1). */
export const newOutcomeSchema = takenSchema.extend({
  id: z.uuid(),
  atMs: z.number(msg('Enter the day.')).int().positive(),
});
export type NewOutcome = z.infer<typeof newOutcomeSchema>;

/** Why a kept measure does not count; it stays on record. */
export const withdrawalSchema = z.object({
  reason: z.string().trim().min(1, msg('Say why it does not count.')).max(200, msg('At most 200 letters.')),
});

/** A measure as it is on record; `withdrawn` says why it does not count, null where it does. */
export type OutcomeOnRecord = Omit<Taken, 'reached'> & {
  reached: Reached | null;
  id: string;
  atMs: number;
  value: number;
  practitionerId: string;
  withdrawn: string | null;
};

/** The first two figures of one occasion, of anyone: what the typical error of a measure is known by (rule OUT-2). */
export type RepeatPairs = Partial<Record<MeasureId, [number, number][] | undefined>>;

/** Something that went wrong, and what became of it (rule OUT-7). */
export const newAdverseEventSchema = z.object({
  id: z.uuid(),
  /** The session it came of; null where it did not come of one. */
  sessionId: z.uuid().nullable(),
  atMs: z.number(msg('Enter when it was.')).int().positive(),
  what: z.string().trim().min(1, msg('Say what happened.')).max(500, msg('At most 500 letters.')),
  done: z.string().trim().min(1, msg('Say what was done.')).max(500, msg('At most 500 letters.')),
  outcome: z.string().trim().max(500, msg('At most 500 letters.')),
  notified: z.string().trim().min(1, msg('Say who was notified.')).max(200, msg('At most 200 letters.')),
});
export type NewAdverseEvent = z.infer<typeof newAdverseEventSchema>;
export type AdverseEvent = NewAdverseEvent & { practitionerId: string; writtenAtMs: number };

/** A comparison to begin in one person; its seed is drawn when it is kept. */
export const newComparisonSchema = z.object({ id: z.uuid(), wish: comparisonWishSchema });
export type NewComparison = z.infer<typeof newComparisonSchema>;

/** Why a comparison is not gone on with; it stays on record. */
export const endOfComparisonSchema = z.object({
  why: z.string().trim().min(1, msg('Say why it ends.')).max(200, msg('At most 200 letters.')),
});

/** A comparison as it is on record; `ended` says why it was not gone on with, null where it was. */
export type ComparisonOnRecord = { id: string; atMs: number; design: Comparison; ended: string | null };

/** A report to issue, as it is to say for ever. */
export const newReportSchema = z.object({ id: z.uuid(), content: reportSchema });
export type NewReport = z.infer<typeof newReportSchema>;
export type IssuedReport = { id: string; atMs: number; content: Report };

/** A report as it is printed, by a page that knows nothing of the practice. */
export type PrintedReport = { report: IssuedReport; writing: Writing };

/** The paper that a report is printed on, and the language that is spoken where it is asked for. */
export const onPaperSchema = z.object({
  paper: z.enum(['A4', 'Letter']),
  language: z
    .string()
    .regex(/^[a-z]{2}$/, msg('Say a language by its two letters, such as en.'))
    .default('en'),
});

/** What was measured of a person, and what it is judged by. */
export type OutcomesView = {
  taken: OutcomeOnRecord[];
  /** 1RMs and LOPs, which are recorded elsewhere. */
  tested: TestedOnce[];
  pairs: RepeatPairs;
  adverseEvents: AdverseEvent[];
  /** The newest first. */
  comparisons: ComparisonOnRecord[];
  /** Every block as it was kept. */
  blocks: KeptBlock[];
};

/** A person's log: every session that was finished, the newest first. */
export type LogView = { sessions: LoggedSession[] };

/** The measure by which responders are listed. */
export const respondersOfSchema = z.object({ measureId: measureIdSchema });

/** The first and last value of everyone who has two of a measure, and the practice's own repeats of it. */
export type RespondersView = { rows: FirstAndLast[]; pairs: [number, number][] };

/** Signs and next-day answers of the whole practice, counted by inflation, with how many adverse events are on record. */
export type SurveillanceView = { tallies: Tally[]; adverseEvents: number };

/** Who of those who train asks something of the week, and the sessions of its hours. */
export type WeekView = {
  /** How many people have trained in the last two months, or have a plan; and how many of those with a plan do not come. */
  training: number;
  away: number;
  /** Sessions of the last four weeks that were planned and done, over all whose days are planned. */
  adherence: { people: number; done: number; planned: number };
  people: ({ clientId: string; name: string } & Pick<PersonsWeek, 'needs' | 'adherence'>)[];
  load: ReturnType<typeof loadByHour>;
};

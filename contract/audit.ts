import { z } from 'zod';
import type { Message } from '#core/message';

/** What is about coming in and looking: entries of this installation, which go with no archive and are no work on a record. */
export const ABOUT_ACCESS = [
  'looked-at',
  'printed',
  'refused',
  'signed-in',
  'sign-in-refused',
  'signed-out',
  'switched-to',
  'account-opened',
  'account-changed',
  'account-ended',
  'passphrase-changed',
  'pin-changed',
  'codes-changed',
] as const;

/** Everything that is written down when it is done, by the name it has in the audit. */
export type AuditAction =
  | (typeof ABOUT_ACCESS)[number]
  | 'settings-changed'
  | 'kit-kept'
  | 'kit-retired'
  | 'kit-brought-back'
  | 'exercise-kept'
  | 'exercise-retired'
  | 'exercise-brought-back'
  | 'template-kept'
  | 'template-retired'
  | 'template-brought-back'
  | 'measure-described'
  | 'archive-taken-out'
  | 'taken-in'
  | 'taken-back'
  | 'calendar-address-made'
  | 'calendar-address-ended'
  | 'practised'
  | 'client-added'
  | 'person-changed'
  | 'merged'
  | 'erased'
  | 'retracted'
  | 'screened'
  | 'clearance-recorded'
  | 'consent-recorded'
  | 'checked-on-the-day'
  | 'hold-lifted'
  | 'condition-ended'
  | 'shelf-life-set'
  | 'fitted'
  | 'tightened-by-feel'
  | 'occlusion-pressure-measured'
  | 'quick-checked'
  | 'strength-tested'
  | 'strength-tested-past-guard'
  | 'heavy-work-kept'
  | 'prescribed'
  | 'prescribed-past-guard'
  | 'prescribed-by-review'
  | 'review-taken-back'
  | 're-targeted'
  | 'plan-changed'
  | 'rung-entered'
  | 'block-kept'
  | 'block-kept-past-guard'
  | 'session-opened'
  | 'session-opened-past-guard'
  | 'events-appended'
  | 'session-entered-later'
  | 'handover-kept'
  | 'handover-read'
  | 'visit-note-kept'
  | 'attached'
  | 'outcome-kept'
  | 'outcome-withdrawn'
  | 'comparison-begun'
  | 'comparison-ended'
  | 'report-issued'
  | 'report-printed'
  | 'adverse-event-kept'
  | 'home-link-made'
  | 'home-link-ended'
  | 'told-from-home';

/** Which entries of the audit are asked for, newest first. */
export const auditQuerySchema = z.object({
  /** Only entries before this one. */
  before: z.coerce.number().int().positive().optional(),
  practitionerId: z.string().max(80).optional(),
  /** Words to find in the name of the client that an entry is about, or in what it says. */
  search: z.string().trim().max(100).optional(),
  /** What was done, where the words name it: entries of these are found beside those that have the words; set apart by commas. */
  called: z
    .string()
    .max(2_000)
    .transform((actions) => actions.split(','))
    .optional(),
});
export type AuditQuery = z.infer<typeof auditQuerySchema>;

/** What of a person was printed by a browser: which of the views, of which person or session. */
export const printedSchema = z.object({
  subject: z.string().max(80),
  view: z.string().regex(/^[a-z-]{1,40}$/),
});
export type Printed = z.infer<typeof printedSchema>;

/** Who did what, when, to which record, and what it was before and after. */
export type AuditEntry = {
  id: number;
  atMs: number;
  practitionerId: string;
  /** Their name; the id where the person is no longer on record, or there is none. */
  practitionerName: string;
  /** An `AuditAction`, or what another release called it. */
  action: string;
  subject: string;
  /** The client it is about, where it is about a person or a session of theirs. */
  clientId: string | null;
  clientName: string | null;
  detail: Record<string, unknown>;
};
export type AuditPage = { entries: AuditEntry[]; hasMore: boolean };

/** What a check of the audit's chain found. */
export type AuditCheck = { rows: number; lastHash: string; broken: { id: number; words: Message } | null };

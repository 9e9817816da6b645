import { z } from 'zod';

/** Which entries of the audit are asked for, newest first. */
export const auditQuerySchema = z.object({
  /** Only entries before this one. */
  before: z.coerce.number().int().positive().optional(),
  practitionerId: z.string().max(80).optional(),
  /** Words that an entry has in what was done, to whom, or what it says. */
  search: z.string().trim().max(100).optional(),
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
  /** Their name; of somebody who is on record no longer, or of nobody, the id. */
  practitionerName: string;
  action: string;
  subject: string;
  /** Whom it is about, where it is about a person or a session of theirs. */
  clientId: string | null;
  clientName: string | null;
  detail: Record<string, unknown>;
};
export type AuditPage = { entries: AuditEntry[]; hasMore: boolean };

/** What a check of the audit's chain found. */
export type AuditCheck = { rows: number; lastHash: string; broken: { id: number; words: string } | null };

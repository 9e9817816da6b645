import type { Prepare } from './sqlite';

/** What a write is called in the audit, and the record it concerns. */
export type AuditNote = { action: string; subject: string; detail?: Record<string, unknown> };

/** Writes an audit entry beside the write it is of, in the same transaction. */
export function writeAudit(
  prepare: Prepare,
  { action, subject, detail = {} }: AuditNote,
  by: { practitionerId: string; atMs: number },
): void {
  prepare('insert into audit (at_ms, practitioner_id, action, subject, detail) values (?, ?, ?, ?, ?)').run(
    by.atMs,
    by.practitionerId,
    action,
    subject,
    JSON.stringify(detail),
  );
}

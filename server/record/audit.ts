import { type InferEntity, p } from '@mikro-orm/core';
import type { Prepare } from '../db/dialect/connection';
import { atMs, defineRecord } from './define';

export const auditRecord = defineRecord({
  name: 'Audit',
  table: 'audit',
  of: 'practice',
  properties: {
    id: p.integer().primary().autoincrement(),
    atMs: atMs(),
    practitionerId: p.string(),
    action: p.string(),
    subject: p.string(),
    detail: p.json().$type<Record<string, unknown>>(),
    /** The chain: a salted digest of the detail, and the hash of the entry with the one before it. */
    salt: p.string().default(''),
    detailSha256: p.string().fieldName('detail_sha256').default(''),
    hash: p.string().default(''),
  },
  archive: {
    kind: 'audit',
    order: 'at_ms, id',
    ofClient: 'subject = ?1 or subject in (select id from session where client_id = ?1)',
    // Entries about who was forgotten say nothing any more.
    only: "detail <> ''",
  },
  indexes: ['audit (subject)'],
});

/** Inserts an entry as it is chained; its detail is JSON already, since the chain is of that very text. */
export function insertAudit(
  prepare: Prepare,
  row: Omit<InferEntity<typeof auditRecord.entity>, 'id' | 'detail'> & { detail: string },
): void {
  prepare(
    `insert into audit (at_ms, practitioner_id, action, subject, detail, salt, detail_sha256, hash)
     values (?, ?, ?, ?, ?, ?, ?, ?)`,
  ).run(
    row.atMs,
    row.practitionerId,
    row.action,
    row.subject,
    row.detail,
    row.salt,
    row.detailSha256,
    row.hash,
  );
}

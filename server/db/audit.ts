import { randomBytes } from 'node:crypto';
import type { AuditAction } from '#contract/audit';
import { type Message, msg } from '#core/message';
import { auditAfter, auditRecord, type ChainedRow, insertAudit, lastHash } from '../record/audit';
import { changeRows } from '../record/write';
import { sha256 } from '../sha256';
import type { Prepare } from './dialect/connection';

/** What a write is called in the audit, and the record it concerns. */
export type AuditNote = { action: AuditAction; subject: string; detail?: Record<string, unknown> };

/** The same where the caller knows the record. */
export type NoteOnRecord = Omit<AuditNote, 'subject'>;

/** A row of the audit before it is in the chain; `detail` is JSON. */
export type AuditRow = {
  atMs: number;
  practitionerId: string;
  action: string;
  subject: string;
  detail: string;
};

/** Writes an audit entry beside the write it is of, in the same transaction. */
export function writeAudit(
  prepare: Prepare,
  { action, subject, detail = {} }: AuditNote,
  by: { practitionerId: string; atMs: number },
): void {
  appendAudit(prepare, { ...by, action, subject, detail: JSON.stringify(detail) });
}

/** Appends a row, chained to the one before it. */
export function appendAudit(prepare: Prepare, row: AuditRow): void {
  const { salt, detailSha256, hash } = chained(lastHash(prepare), row);
  insertAudit(prepare, { ...row, salt, detailSha256, hash });
}

/**
 * A row's place in the chain. What it says is in the hash by a salted digest of its own, so that it can be overwritten when a
 * person is to be forgotten, and the chain can be checked all the same.
 */
function chained(hashBefore: string, row: AuditRow, salt = randomBytes(12).toString('base64url')) {
  const detailSha256 = sha256(salt + row.detail);
  return { salt, detailSha256, hash: hashOf(hashBefore, row, detailSha256) };
}

const hashOf = (before: string, row: Omit<AuditRow, 'detail'>, detailSha256: string): string =>
  sha256(JSON.stringify([before, row.atMs, row.practitionerId, row.action, row.subject, detailSha256]));

/** Chains what an older release has kept; the rows are in the order they were written. */
export function chainOld(prepare: Prepare): void {
  let before = '';
  for (const row of auditAfter(prepare, 0)) {
    const { salt, detailSha256, hash } = chained(before, row);
    changeRows(prepare, auditRecord, { id: row.id }, { salt, detailSha256, hash });
    before = hash;
  }
}

/** What a check of the chain found: how many rows there are, the hash of the last, and the first that does not fit with why. */
export type ChainCheck = {
  rows: number;
  lastHash: string;
  broken: { id: number; words: Message } | null;
};

/**
 * Checks that no row of the audit was changed, removed or inserted since it was written. Rows cut off at the end are found by
 * comparing the last hash with one that was kept elsewhere, as backups do.
 */
export function checkChain(prepare: Prepare): ChainCheck {
  let [rows, before] = [0, ''];
  for (const row of auditAfter(prepare, 0)) {
    const broken = whyBroken(before, row);
    if (broken) return { rows, lastHash: before, broken: { id: row.id, words: broken } };
    before = row.hash;
    rows += 1;
  }
  return { rows, lastHash: before, broken: null };
}

function whyBroken(before: string, row: ChainedRow): Message | null {
  if (hashOf(before, row, row.detailSha256) !== row.hash)
    return msg(
      'It does not follow from the row before it: one of the two was changed, or one between them was removed or inserted.',
    );
  if (row.salt !== '' && sha256(row.salt + row.detail) !== row.detailSha256)
    return msg('What it says was changed since it was written.');
  return null;
}

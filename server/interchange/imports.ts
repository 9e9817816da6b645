import type { ArchiveKind } from '#contract/archive-rows';
import type { Text } from '#core/message';
import { type AuditNote, writeAudit } from '../db/audit';
import type { Prepare } from '../db/sqlite';

/** One import: by which practitioner, when, what it was called, and whose records it is in. */
export type ImportList = {
  id: string;
  nowMs: number;
  practitionerId: string;
  words: Text;
  clientIds: readonly string[];
  /** A whole practice into an empty one: signatures stay what they were. */
  isMove?: boolean | undefined;
};

/** Rows that were added, in their order. */
export type AddedRow = { kind: ArchiveKind; rowId: string };

/** Keeps what was added as one, so that it can be taken back as one; with its entry of the audit. */
export function keepImport(prepare: Prepare, list: ImportList, added: readonly AddedRow[]): void {
  beginImport(prepare, list);
  addToImport(prepare, list.id, 0, added);
  endImport(prepare, list, added.length);
}

/** The same in parts, where it is too much for one transaction: what came in before something broke can be taken back, too. */
export function beginImport(
  prepare: Prepare,
  { id, nowMs, practitionerId, words, isMove = false }: ImportList,
): void {
  prepare(
    `insert into import_batch (id, at_ms, practitioner_id, words, rows, client_ids, audit_id, is_move)
     values (?, ?, ?, ?, 0, '[]', (select coalesce(max(id), 0) from audit), ?)`,
  ).run(id, nowMs, practitionerId, JSON.stringify(words), Number(isMove));
}

/** @param place of the first of them in the list */
export function addToImport(prepare: Prepare, id: string, place: number, added: readonly AddedRow[]): void {
  const one = prepare('insert into import_row (import_id, place, kind, row_id) values (?, ?, ?, ?)');
  for (const [at, { kind, rowId }] of added.entries()) one.run(id, place + at, kind, rowId);
}

export function endImport(prepare: Prepare, list: ImportList, rows: number): void {
  const { id, nowMs, practitionerId, words, clientIds } = list;
  const note: AuditNote = {
    action: 'taken-in',
    subject: id,
    detail: { words, rows, people: clientIds.length },
  };
  writeAudit(prepare, note, { practitionerId, atMs: nowMs });
  prepare(
    'update import_batch set rows = ?, client_ids = ?, audit_id = (select max(id) from audit) where id = ?',
  ).run(rows, JSON.stringify(clientIds), id);
}

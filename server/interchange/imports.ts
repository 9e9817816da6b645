import type { Text } from '#core/message';
import { type AuditNote, writeAudit } from '../db/audit';
import type { Prepare } from '../db/dialect/connection';
import { lastAuditId } from '../record/audit';
import { importBatchRecord } from '../record/import-batch';
import { type ImportedKind, importRowRecord } from '../record/import-row';
import { changeRows, keepRow } from '../record/write';

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
export type AddedRow = { kind: ImportedKind; rowId: string };

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
  keepRow(prepare, importBatchRecord, {
    id,
    atMs: nowMs,
    practitionerId,
    words,
    rows: 0,
    clientIds: [],
    auditId: lastAuditId(prepare),
    isMove,
    undoneAtMs: null,
  });
}

/** @param place of the first of them in the list */
export function addToImport(prepare: Prepare, id: string, place: number, added: readonly AddedRow[]): void {
  for (const [at, { kind, rowId }] of added.entries())
    keepRow(prepare, importRowRecord, { importId: id, place: place + at, kind, rowId });
}

export function endImport(prepare: Prepare, list: ImportList, rows: number): void {
  const { id, nowMs, practitionerId, words, clientIds } = list;
  const note: AuditNote = {
    action: 'taken-in',
    subject: id,
    detail: { words, rows, people: clientIds.length },
  };
  writeAudit(prepare, note, { practitionerId, atMs: nowMs });
  changeRows(
    prepare,
    importBatchRecord,
    { id },
    { rows, clientIds: [...clientIds], auditId: lastAuditId(prepare) },
  );
}

import type { ArchiveKind } from '#contract/archive-rows';
import { writeAudit } from '../db/audit';
import type { Prepare } from '../db/sqlite';

/** What was taken in at once: by whom, when, what it was called, and whose records it is in. */
export type TakenInList = {
  id: string;
  nowMs: number;
  practitionerId: string;
  words: string;
  clientIds: readonly string[];
};

/** Rows that were added, in their order. */
export type AddedRow = { kind: ArchiveKind; rowId: string };

/** Keeps what was added as one, so that it can be taken back as one; with its entry of the audit. */
export function keepTakenIn(prepare: Prepare, list: TakenInList, added: readonly AddedRow[]): void {
  const { id, nowMs, practitionerId, words, clientIds } = list;
  const note = {
    action: 'taken-in',
    subject: id,
    detail: { words, rows: added.length, people: clientIds.length },
  };
  writeAudit(prepare, note, { practitionerId, atMs: nowMs });
  prepare(
    `insert into taken_in (id, at_ms, practitioner_id, words, rows, client_ids, audit_id)
     values (?, ?, ?, ?, ?, ?, (select max(id) from audit))`,
  ).run(id, nowMs, practitionerId, words, added.length, JSON.stringify(clientIds));
  const one = prepare('insert into taken_in_row (taken_in_id, place, kind, row_id) values (?, ?, ?, ?)');
  for (const [place, { kind, rowId }] of added.entries()) one.run(id, place, kind, rowId);
}

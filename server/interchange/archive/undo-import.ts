import type { ArchiveKind } from '#contract/archive-rows';
import { type Message, msg } from '#core/message';
import { type AuditNote, writeAudit } from '../../db/audit';
import type { Prepare } from '../../db/dialect/connection';
import { isForeignKeyClash } from '../../db/dialect/errors';
import { notFound, Problem } from '../../problem';
import { deleteArchived } from '../../record/archived-rows';
import { countAuditAfter } from '../../record/audit';
import { clientRecord } from '../../record/client';
import { uncount } from '../../record/commands/recount-inflations';
import { conditionRecord } from '../../record/condition';
import { countAgain } from '../../record/corrections';
import { holdRecord } from '../../record/hold';
import { importBatchRecord } from '../../record/import-batch';
import { importRowRecord } from '../../record/import-row';
import { recountSuperseded } from '../../record/in-force';
import { outcomeRecord } from '../../record/outcome';
import { findRow, findRows } from '../../record/read';
import { changeRows, deleteRowsCausedBy } from '../../record/write';
import { NOT_IN_ARCHIVES_SQL } from './about-archives';

/**
 * Takes back all that one file added, as long as it was not used since. What is in the audit stays there. To be
 * called in a transaction.
 * @throws Problem 404 for an unknown one, 409 with who was worked with since
 */
export function takeBack(prepare: Prepare, id: string, by: { practitionerId: string; nowMs: number }): void {
  const list = findRow(prepare, importBatchRecord, { id }, ['words', 'clientIds', 'auditId', 'undoneAtMs']);
  if (!list) throw notFound(msg('The import'));
  if (list.undoneAtMs !== null) return;
  const { clientIds } = list;
  refuseWorkedWith(prepare, clientIds, list.auditId);
  changeRows(prepare, importBatchRecord, { id }, { undoneAtMs: by.nowMs });
  const rows = findRows(prepare, importRowRecord, { importId: id }, ['kind', 'rowId'], {
    order: 'place desc',
  });
  // What followed from it goes first: it names the people that came.
  deleteRowsCausedBy(prepare, holdRecord, `import ${id} `);
  for (const { kind, rowId } of rows)
    if (kind === 'screening') deleteRowsCausedBy(prepare, conditionRecord, `screening ${rowId} `);
  for (const { kind, rowId } of rows) {
    if (kind === 'withdrawal') {
      changeRows(prepare, outcomeRecord, { id: rowId }, { withdrawn: null });
      continue;
    }
    if (kind === 'session') uncount(prepare, rowId);
    if (kind === 'retraction') countAgain(prepare, rowId);
    deleteImported(prepare, kind, rowId);
  }
  for (const clientId of clientIds) recountSuperseded(prepare, clientId);
  const note: AuditNote = {
    action: 'taken-back',
    subject: id,
    detail: { words: list.words, rows: rows.length },
  };
  writeAudit(prepare, note, { practitionerId: by.practitionerId, atMs: by.nowMs });
}

function refuseWorkedWith(prepare: Prepare, clientIds: readonly string[], auditId: number): void {
  for (const clientId of clientIds) {
    const n = countAuditAfter(prepare, clientId, auditId, NOT_IN_ARCHIVES_SQL);
    if (n === 0) continue;
    const who = findRow(prepare, clientRecord, { id: clientId }, ['name'])?.name ?? msg('A person in it');
    throw worked(
      msg('The record of {who} was used since: {n, plural, one {# entry} other {# entries}} in the audit.', {
        who,
        n,
      }),
    );
  }
}

function deleteImported(prepare: Prepare, kind: ArchiveKind, rowId: string): void {
  try {
    deleteArchived(prepare, kind, rowId);
  } catch (error) {
    if (!isForeignKeyClash(error)) throw error;
    throw worked(msg('Something of it is in use by now: records made here name it.'));
  }
}

const worked = (message: Message) =>
  new Problem(
    409,
    msg('Not as one any more'),
    msg('{message} Nothing was changed; correct single records where they are.', { message }),
  );

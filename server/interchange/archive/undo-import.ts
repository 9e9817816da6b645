import type { ImportBatch } from '#contract/archive';
import type { ArchiveKind } from '#contract/archive-rows';
import { type Message, msg } from '#core/message';
import { type AuditNote, writeAudit } from '../../db/audit';
import type { Prepare } from '../../db/dialect/connection';
import { isForeignKeyClash } from '../../db/dialect/errors';
import { AS_WRITTEN } from '../../db/dialect/sql';
import { uncount } from '../../db/surveillance';
import { notFound, Problem } from '../../problem';
import { deleteArchived } from '../../record/archived-rows';
import { conditionRecord } from '../../record/condition';
import { holdRecord } from '../../record/hold';
import { importBatchRecord } from '../../record/import-batch';
import { recountSuperseded } from '../../record/in-force';
import { changeRows, deleteRowsCausedBy } from '../../record/write';
import { NOT_IN_ARCHIVES_SQL } from './about-archives';

type Stored = ImportBatch & { clientIds: string; auditId: number };

const COLUMNS = `id, at_ms as "atMs", practitioner_id as "practitionerId", words, rows, undone_at_ms as "undoneAtMs"`;
const MOST_LISTED = 100;

/** Imports, the newest first. */
export const readImports = (prepare: Prepare): ImportBatch[] =>
  (
    prepare(
      `select ${COLUMNS} from import_batch order by at_ms desc, ${AS_WRITTEN} desc limit ${MOST_LISTED}`,
    ).all() as (Omit<ImportBatch, 'words'> & { words: string })[]
  ).map((list) => ({ ...list, words: JSON.parse(list.words) }));

/**
 * Takes back all that one file added, as long as it was not used since. What is in the audit stays there. To be
 * called in a transaction.
 * @throws Problem 404 for an unknown one, 409 with who was worked with since
 */
export function takeBack(prepare: Prepare, id: string, by: { practitionerId: string; nowMs: number }): void {
  const list = prepare(
    `select ${COLUMNS}, client_ids as "clientIds", audit_id as "auditId" from import_batch where id = ?`,
  ).get(id) as Stored | undefined;
  if (!list) throw notFound(msg('The import'));
  if (list.undoneAtMs !== null) return;
  const clientIds = JSON.parse(list.clientIds) as string[];
  refuseWorkedWith(prepare, clientIds, list.auditId);
  changeRows(prepare, importBatchRecord, { id }, { undoneAtMs: by.nowMs });
  const rows = prepare(
    'select kind, row_id as "rowId" from import_row where import_id = ? order by place desc',
  ).all(id) as { kind: ArchiveKind; rowId: string }[];
  // What followed from it goes first: it names the people that came.
  deleteRowsCausedBy(prepare, holdRecord, `import ${id} `);
  for (const { kind, rowId } of rows)
    if (kind === 'screening') deleteRowsCausedBy(prepare, conditionRecord, `screening ${rowId} `);
  for (const { kind, rowId } of rows) {
    if (kind === 'session') uncount(prepare, rowId);
    deleteImported(prepare, kind, rowId);
  }
  for (const clientId of clientIds) recountSuperseded(prepare, clientId);
  const note: AuditNote = {
    action: 'taken-back',
    subject: id,
    detail: { words: JSON.parse(String(list.words)), rows: rows.length },
  };
  writeAudit(prepare, note, { practitionerId: by.practitionerId, atMs: by.nowMs });
}

function refuseWorkedWith(prepare: Prepare, clientIds: readonly string[], auditId: number): void {
  const since = prepare(
    `select count(*) as n from audit
     where (subject = ?1 or subject in (select id from session where client_id = ?1)) and id > ?2
       and action not in (${NOT_IN_ARCHIVES_SQL})`,
  );
  const name = prepare('select name from client where id = ?');
  for (const clientId of clientIds) {
    const { n } = since.get(clientId, auditId) as { n: number };
    if (n === 0) continue;
    const who = (name.get(clientId) as { name: string } | undefined)?.name ?? msg('A person in it');
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

import { randomUUID } from 'node:crypto';
import type { RetractableKind } from '#contract/corrections';
import { msg } from '#core/message';
import { writeAudit } from '../db/audit';
import type { Prepare } from '../db/dialect/connection';
import { SETTINGS } from '../db/dialect/sql';
import { notFound, Problem } from '../problem';
import { clientRecord } from './client';
import { endConditionsOfScreening } from './commands/begin-conditions';
import { uncount } from './commands/recount-inflations';
import { recountSuperseded } from './in-force';
import { DELETES_OF_A_CLIENT, TABLES_OF_A_CLIENT } from './of-client';
import { findRow, findRows, hasRow } from './read';
import { retractable } from './retractable';
import { retractionRecord } from './retraction';
import { sessionRecord } from './session';
import { keepRow } from './write';

type By = { practitionerId: string; atMs: number };

/**
 * Retracts an entry of a record: it stays, struck through, and never counts again; what it had taken the place of counts in its
 * stead (triggers of migration 011).
 * @returns the id of the retraction
 * @throws Problem 404 for an entry that is not of this person; 409 for one that was retracted, and for a session that is running
 */
export function retract(
  prepare: Prepare,
  clientId: string,
  { kind, id, reason }: { kind: RetractableKind; id: string; reason: string },
  by: By,
): string {
  const { table } = retractable(kind);
  const row = prepare(`select * from ${table} where id = ? and client_id = ?`).get(id, clientId);
  if (!row) throw notFound(msg('This entry'));
  if (hasRow(prepare, retractionRecord, { kind, rowId: id }))
    throw new Problem(409, msg('Retracted already'), msg('This entry is retracted already.'));
  if (kind === 'session') {
    if ((row as { finished_at_ms: number | null }).finished_at_ms === null)
      throw new Problem(409, msg('Still running'), msg('This session is running: finish or stop it first.'));
    uncount(prepare, id);
  }
  if (kind === 'screening') endConditionsOfScreening(prepare, clientId, id, { ...by, reason });
  const retractionId = randomUUID();
  keepRow(prepare, retractionRecord, { id: retractionId, clientId, kind, rowId: id, ...by, reason });
  writeAudit(
    prepare,
    { action: 'retracted', subject: clientId, detail: { kind, id, reason, before: row } },
    by,
  );
  return retractionId;
}

/** Has an entry count again that was retracted by an import which is undone; which of several counts is worked out after that. */
export function countAgain(prepare: Prepare, retractionId: string): void {
  const retraction = findRow(prepare, retractionRecord, { id: retractionId }, ['kind', 'rowId']);
  if (!retraction) return;
  const { table, isReplaced } = retractable(retraction.kind);
  prepare(`update ${table} set ${isReplaced ? 'superseded = 1' : 'retracted = 0'} where id = ?`).run(
    retraction.rowId,
  );
}

const isRunning = (prepare: Prepare, clientId: string): boolean =>
  hasRow(prepare, sessionRecord, { clientId, finishedAtMs: null });

/**
 * Brings what is on record of one person twice together: everything of the other record comes to this one, which from then on
 * counts as what is newest of both says.
 */
export function mergeInto(prepare: Prepare, clientId: string, otherId: string, reason: string, by: By): void {
  if (clientId === otherId) throw new Problem(422, msg('The same record'), msg('These are not two records.'));
  const other = findRow(prepare, clientRecord, { id: otherId, mergedInto: null }, ['name', 'story']);
  if (!other) throw notFound(msg('The other record'));
  if (isRunning(prepare, clientId) || isRunning(prepare, otherId))
    throw new Problem(
      409,
      msg('Still running'),
      msg('A session of one of them is running: finish it first.'),
    );
  const moved: Record<string, number> = {};
  for (const table of TABLES_OF_A_CLIENT) {
    // A hold of the same cause is listed once.
    const but = table === 'hold' ? 'and cause not in (select cause from hold where client_id = ?1)' : '';
    const { changes } = prepare(`update ${table} set client_id = ?1 where client_id = ?2 ${but}`).run(
      clientId,
      otherId,
    );
    if (changes > 0) moved[table] = changes;
  }
  prepare('update client set merged_into = ? where id = ? or merged_into = ?').run(
    clientId,
    otherId,
    otherId,
  );
  recountSuperseded(prepare, clientId);
  writeAudit(prepare, { action: 'merged', subject: clientId, detail: { otherId, other, reason, moved } }, by);
}

/**
 * Forgets a person: their name, everything measured, and every event go, and entries of the audit lose what they say. What
 * cuffs were up for how long and what was seen with it stays counted, without a name.
 * @returns how many rows went
 */
export function erase(prepare: Prepare, clientId: string, reason: string, by: By): number {
  if (isRunning(prepare, clientId))
    throw new Problem(
      409,
      msg('Still running'),
      msg('A session of this person is running: finish it first.'),
    );
  const ids = [
    clientId,
    ...findRows(prepare, clientRecord, { mergedInto: clientId }, ['id']).map(({ id }) => id),
  ];
  // Freed pages are overwritten, and rows may name each other in any order until all of them are gone.
  prepare(SETTINGS.freedPagesAreOverwritten).get();
  prepare(SETTINGS.rowsMayNameEachOther).run();
  let rows = 0;
  for (const id of ids) {
    prepare(
      `insert into erased (client_id, at_ms, adverse_events)
       values (?1, ?2, (select count(*) from adverse_event where client_id = ?1))`,
    ).run(id, by.atMs);
    prepare('insert into erased_session (session_id) select id from session where client_id = ?').run(id);
  }
  for (const id of ids) rows += eraseRows(prepare, id);
  prepare(
    `update audit set detail = '', salt = '' where subject in (select client_id from erased)
       or subject in (select session_id from erased_session)`,
  ).run();
  // The reason is the practice's own; it has no name in it.
  writeAudit(prepare, { action: 'erased', subject: 'practice', detail: { clientId, rows, reason } }, by);
  return rows;
}

function eraseRows(prepare: Prepare, clientId: string): number {
  const gone = [...DELETES_OF_A_CLIENT, 'delete from client where id = ?1'].map((sql) =>
    prepare(sql).run(clientId),
  );
  return gone.reduce((sum, { changes }) => sum + changes, 0);
}

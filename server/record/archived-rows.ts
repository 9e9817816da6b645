import type { ArchiveKind } from '#contract/archive-rows';
import type { SessionEvent } from '#core/session';
import type { Prepare } from '../db/dialect/connection';
import { ARCHIVED, chosenColumns, fromDatabase, toDatabase } from './archived';
import { columnOf } from './columns';

type Row = Record<string, unknown>;

/** Inserts a row of an archive with what follows from it. */
export function insertArchived(prepare: Prepare, kind: ArchiveKind, row: Row): void {
  const columns = toDatabase(kind, row);
  const names = Object.keys(columns);
  prepare(
    `insert into ${ARCHIVED[kind].table} (${names.map(columnOf).join(', ')}) values (${names.map(() => '?').join(', ')})`,
  ).run(...Object.values(columns));
}

/** Gives the row of its kind that is here what a row of an archive says: for the settings of a practice. */
export function replaceArchived(prepare: Prepare, kind: ArchiveKind, row: Row): void {
  const { id, ...columns } = toDatabase(kind, row);
  const names = Object.keys(columns);
  prepare(
    `update ${ARCHIVED[kind].table} set ${names.map((name) => `${columnOf(name)} = ?`).join(', ')} where id = ?`,
  ).run(...Object.values(columns), id);
}

/** Deletes a row that an import added. */
export function deleteArchived(prepare: Prepare, kind: ArchiveKind, id: string): void {
  prepare(`delete from ${ARCHIVED[kind].table} where id = ?`).run(id);
}

export const rowIdOf = (kind: ArchiveKind, row: Row): string => {
  if (kind === 'practice') return 'practice';
  return kind === 'event' ? (row.event as SessionEvent).id : String(row.id);
};

/** The row of the same identity that is here. */
export function standing(prepare: Prepare, kind: ArchiveKind, row: Row): Row | undefined {
  const { table } = ARCHIVED[kind];
  const where = kind === 'audit' ? 'subject = ? and at_ms = ? and action = ? and detail = ?' : 'id = ?';
  const values =
    kind === 'audit' ? [row.subject, row.atMs, row.action, JSON.stringify(row.detail)] : [rowIdOf(kind, row)];
  const stored = prepare(`select ${chosenColumns(kind)} from ${table} where ${where}`).get(...values);
  return stored ? fromDatabase(kind, stored as Row) : undefined;
}

/** Whose a row of a table is; undefined where it is not there. */
export const clientOf = (prepare: Prepare, table: string, id: unknown): string | undefined =>
  (
    prepare(`select client_id as "clientId" from ${table} where id = ?`).get(id) as
      | { clientId: string }
      | undefined
  )?.clientId;

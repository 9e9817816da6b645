import type { ArchiveKind } from '#contract/archive-rows';
import type { Prepare } from '../db/dialect/connection';
import { ARCHIVED, toDatabase } from './archived';
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

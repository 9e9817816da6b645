import { existsSync } from 'node:fs';
import Database from 'libsql';
import { MIGRATION_NAMES } from '../db/migration-names';

/** Why a file cannot be opened as a practice, in words, with what to do. */
export class Unusable extends Error {}

/** What a database file is: none yet, empty, of an earlier release, of this one. */
export type FileState = 'missing' | 'empty' | 'older' | 'current';

/**
 * Looks into a database file without changing it: whether it is whole, and of which release.
 * @throws Unusable where it is damaged, no database, or newer than this release
 */
export function lookInto(file: string): FileState {
  if (!existsSync(file)) return 'missing';
  const database = new Database(file);
  try {
    const [found] = database.prepare('pragma quick_check(1)').all() as { quick_check: string }[];
    if (found?.quick_check !== 'ok') throw new Error(found?.quick_check.split('\n').at(-1) ?? 'no answer');
    return releaseOf(database, file);
  } catch (error) {
    if (error instanceof Unusable) throw error;
    throw new Unusable(
      `${file} is damaged or no database of Nervato (${error instanceof Error ? error.message : error}). Leave it as it is, ` +
        'and restore the newest backup beside it: npm run restore -- FILE',
    );
  } finally {
    database.close();
  }
}

function releaseOf(database: Database.Database, file: string): FileState {
  const [table] = database
    .prepare("select count(*) as tables, max(name = 'mikro_orm_migrations') as known from sqlite_master")
    .all() as { tables: number; known: number | null }[];
  if (!table || table.tables === 0) return 'empty';
  if (!table.known) throw new Error('its tables are not Nervato’s');
  const rows = database.prepare('select name from mikro_orm_migrations').all() as { name: string }[];
  const known: readonly string[] = MIGRATION_NAMES;
  const unknown = rows.filter(({ name }) => !known.includes(name));
  if (unknown.length > 0) {
    throw new Unusable(
      `${file} was written by a newer release (${unknown.map(({ name }) => name).join(', ')}). Start that release, or restore ` +
        'a backup made before it: npm run restore -- FILE',
    );
  }
  return rows.length < MIGRATION_NAMES.length ? 'older' : 'current';
}

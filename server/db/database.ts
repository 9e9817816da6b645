import { MikroORM } from '@mikro-orm/libsql';
import { ENTITIES } from '../record/records';
import { inTransaction, setUpConnection, withStatements } from './dialect/connection';
import { fillOld } from './fill-old';
import { MIGRATIONS } from './migrations';

/**
 * Opens the SQLite file in WAL mode and brings it to the newest migration.
 * @param file path of the database file; it is made when missing, its folder must exist
 */
export async function openDatabase(file: string): Promise<MikroORM> {
  const orm = await MikroORM.init({
    dbName: file,
    entities: ENTITIES,
    migrations: {
      migrationsList: MIGRATIONS,
      snapshot: false,
      silent: true,
      transactional: true,
    },
    // Kept small: SQLite writes one at a time, and a session's reads are short.
    pool: { min: 1, max: 1, afterCreate: setUpConnection },
  });
  if (await isOld(orm)) await migrate(orm);
  await inTransaction(orm.em.fork(), (prepare) => {
    fillOld(prepare);
  });
  return orm;
}

/** The migrator brings a command line and more with it: it is fetched only where there is something to do. */
async function migrate(orm: MikroORM): Promise<void> {
  const { Migrator } = await import('@mikro-orm/migrations');
  Migrator.register(orm);
  await orm.getMigrator().up();
}

/** Whether a migration is pending, asked without waking the migrator: it seldom is. */
const isOld = (orm: MikroORM): Promise<boolean> =>
  withStatements(orm.em.fork(), (prepare) => {
    const [table] = prepare("select 1 from sqlite_master where name = 'mikro_orm_migrations'").all();
    if (!table) return true;
    const rows = prepare('select name from mikro_orm_migrations').all() as { name: string }[];
    const done = new Set(rows.map(({ name }) => name));
    return MIGRATIONS.some(({ name }) => !done.has(name));
  });

import { MikroORM } from '@mikro-orm/libsql';
import { Migrator } from '@mikro-orm/migrations';
import { ENTITIES } from './entities';
import { fillHolds } from './fill-holds';
import { FirstTables } from './migrations/001-first-tables';
import { WholeSessions } from './migrations/002-whole-sessions';
import { OneTruth } from './migrations/003-one-truth';
import { LimbShelfLives } from './migrations/004-limb-shelf-lives';
import { ShapedReads } from './migrations/005-shaped-reads';
import { fillSummaries } from './session-log';
import { inTransaction, setUpConnection } from './sqlite';

/**
 * Opens the SQLite file in WAL mode and brings it to the newest migration.
 * @param file path of the database file; it is made when missing, its folder must exist
 */
export async function openDatabase(file: string): Promise<MikroORM> {
  const orm = await MikroORM.init({
    dbName: file,
    entities: ENTITIES,
    extensions: [Migrator],
    migrations: {
      migrationsList: [
        { name: '001-first-tables', class: FirstTables },
        { name: '002-whole-sessions', class: WholeSessions },
        { name: '003-one-truth', class: OneTruth },
        { name: '004-limb-shelf-lives', class: LimbShelfLives },
        { name: '005-shaped-reads', class: ShapedReads },
      ],
      snapshot: false,
      silent: true,
      transactional: true,
    },
    // Kept small: SQLite writes one at a time, and a session's reads are short.
    pool: { min: 1, max: 1, afterCreate: setUpConnection },
  });
  await orm.getMigrator().up();
  await inTransaction(orm.em.fork(), (prepare) => {
    fillSummaries(prepare);
    fillHolds(prepare);
  });
  return orm;
}

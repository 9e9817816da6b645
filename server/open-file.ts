import { mkdirSync } from 'node:fs';
import { dirname, join } from 'node:path';
import type { MikroORM } from '@mikro-orm/libsql';
import { holdAlone } from './backup/alone';
import { backUp } from './backup/back-up';
import { lookInto } from './backup/database-file';
import { openDatabase } from './db/database';
import { MIGRATIONS } from './db/migrations';
import { backupPassphrase, databaseFile } from './environment';

/**
 * Opens that file, and makes it where there is none. One of an earlier release is backed up before it is brought to this one.
 * It is held for this process alone until it is closed.
 * @throws Unusable where it is damaged, in use, or newer than this release
 */
export async function openFile(): Promise<MikroORM> {
  const file = databaseFile();
  mkdirSync(dirname(file), { recursive: true });
  const letGo = holdAlone(file);
  try {
    const orm = await openChecked(file);
    const close = orm.close.bind(orm);
    orm.close = async (force) => {
      await close(force);
      letGo();
    };
    return orm;
  } catch (error) {
    letGo();
    throw error;
  }
}

async function openChecked(file: string): Promise<MikroORM> {
  if (lookInto(file) === 'older') {
    const folder = process.env.NERVATO_BACKUPS ?? join(dirname(file), 'backups');
    const of = `before-${MIGRATIONS.at(-1)?.name ?? ''}`;
    await backUp(file, { folder, passphrase: backupPassphrase(), of }, Date.now());
  }
  return openDatabase(file);
}

import { accessSync, constants, existsSync, mkdirSync, readdirSync } from 'node:fs';
import { basename, dirname, join } from 'node:path';
import type { MikroORM } from '@mikro-orm/libsql';
import { holdAlone } from './backup/alone';
import { backUp } from './backup/back-up';
import { lookInto, Unusable } from './backup/database-file';
import { openDatabase } from './db/database';
import { MIGRATIONS } from './db/migrations';
import { backupPassphrase, databaseFile } from './environment';

/**
 * Opens that file, and makes it where there is none. One of an earlier release is backed up before it is brought to this one.
 * It is held for this process alone until it is closed.
 * @throws Unusable where it is damaged, in use, or newer than this release, where the folder cannot be written to, and where a
 * restore was cut short: an empty practice is begun only where there was none
 */
export async function openFile(): Promise<MikroORM> {
  const file = databaseFile();
  refuseUnwritable(dirname(file));
  refuseHalfRestored(file);
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

/** The person who starts it reads what to do, and not where in the code it was found. */
function refuseUnwritable(folder: string): void {
  try {
    mkdirSync(folder, { recursive: true });
    accessSync(folder, constants.W_OK);
  } catch (error) {
    throw new Unusable(
      `${folder} cannot be written to (${(error as NodeJS.ErrnoException).code}). Give it to the user that runs Nervato, or set NERVATO_DB to a file in another folder.`,
    );
  }
}

/** A restore moves what stood there aside and puts the backup in its place: between the two there is no file. */
function refuseHalfRestored(file: string): void {
  if (existsSync(file)) return;
  const aside = readdirSync(dirname(file))
    .filter((name) => name.startsWith(`${basename(file)}.before-restore-`) && /\d$/.test(name))
    .sort()
    .at(-1);
  if (aside === undefined) return;
  throw new Unusable(
    `${file} is not there, and ${aside} is: a restore was cut short. Restore again (npm run restore -- FILE), or put ${aside} back under the name ${basename(file)}.`,
  );
}

async function openChecked(file: string): Promise<MikroORM> {
  if (lookInto(file) === 'older') {
    const folder = process.env.NERVATO_BACKUPS ?? join(dirname(file), 'backups');
    const of = `before-${MIGRATIONS.at(-1)?.name ?? ''}`;
    await backUp(file, { folder, passphrase: backupPassphrase(), of }, Date.now());
  }
  return openDatabase(file);
}

import { mkdirSync } from 'node:fs';
import { dirname, resolve } from 'node:path';
import type { MikroORM } from '@mikro-orm/libsql';
import { openDatabase } from './db/database';

/** Opens the database file named by NERVATO_DB, and makes it where there is none. */
export async function openFile(): Promise<MikroORM> {
  const file = resolve(process.env.NERVATO_DB ?? 'data/nervato.sqlite');
  mkdirSync(dirname(file), { recursive: true });
  return openDatabase(file);
}

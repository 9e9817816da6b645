import { copyFileSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { MikroORM } from '@mikro-orm/libsql';
import { afterAll, onTestFinished } from 'vitest';
import { demoFile } from '../tests/demo-file';
import { openDatabase } from './db/database';

/** The demo practice on the day of the tests, in a file of one's own, which goes when the test or its file is over. */
export async function demoDatabase(
  lasts: 'test' | 'file' = 'test',
): Promise<{ orm: MikroORM; file: string }> {
  const folder = mkdtempSync(join(tmpdir(), 'nervato-demo-'));
  const file = join(folder, 'demo.sqlite');
  copyFileSync(demoFile(), file);
  const orm = await openDatabase(file);
  const end = async () => {
    await orm.close();
    rmSync(folder, { recursive: true });
  };
  if (lasts === 'test') onTestFinished(end);
  else afterAll(end);
  return { orm, file };
}

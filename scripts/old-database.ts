import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { gzipSync } from 'node:zlib';
import Database from 'libsql';
import { pino } from 'pino';
import type { SessionView } from '#contract/session';
import { loadPractice } from '#demo/load';
import { signInNew } from '#server/access/sign-in.fixture';
import { createApp } from '#server/app';
import { openDatabase } from '#server/db/database';
import { MIGRATION_NAMES } from '#server/db/migration-names';
import { recordOf } from '#server/db/old-record.fixture';

// `npm run old-database`: the demo practice as this release writes it, and what it folds its sessions to, for server/db/old. To be
// run before the next migration is added: releases to come are tested against both.
const NOW_MS = Date.UTC(2026, 10, 20, 10);
const step = MIGRATION_NAMES.at(-1)?.slice(0, 3);
const folder = mkdtempSync(join(tmpdir(), 'nervato-old-'));
const file = join(folder, 'practice.sqlite');
const out = `server/db/old/after-${step}`;

try {
  const orm = await openDatabase(file);
  await loadPractice(orm, NOW_MS);
  const connection = orm.em.getConnection();
  const sessions = await connection.execute<{ id: string }[]>(
    'select id from session order by opened_at_ms, id',
  );
  await connection.execute('pragma wal_checkpoint(truncate)');
  await connection.execute('pragma journal_mode = delete');
  await orm.close();
  const database = new Database(file);
  database.exec('vacuum');
  database.close();
  writeFileSync(`${out}.sqlite.gz`, gzipSync(readFileSync(file), { level: 9 }));

  const opened = await openDatabase(file);
  const headers = await signInNew(opened);
  const app = createApp({ orm: opened, now: () => NOW_MS, log: pino({ level: 'silent' }) });
  const records = [];
  for (const { id } of sessions) {
    const answer = await app.request(`/api/sessions/${id}`, { headers });
    records.push(recordOf((await answer.json()) as SessionView));
  }
  await opened.close();
  writeFileSync(`${out}.records.json`, `${JSON.stringify(records, null, 2)}\n`);
  console.log(`${out}.sqlite.gz, with ${records.length} sessions in ${out}.records.json.`);
} finally {
  rmSync(folder, { recursive: true });
}

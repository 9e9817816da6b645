import { mkdtempSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { gunzipSync } from 'node:zlib';
import Database from 'libsql';
import { pino } from 'pino';
import { describe, expect, it, onTestFinished } from 'vitest';
import type { AuditCheck } from '#contract/audit';
import type { ClientRecord, PeoplePage } from '#contract/client';
import type { SessionView } from '#contract/session';
import { signInNew } from '../access/sign-in.fixture';
import { createApp } from '../app';
import { openDatabase } from './database';
import { MIGRATION_NAMES } from './migration-names';
import { type OldRecord, recordOf } from './old-record.fixture';

// `old/after-NNN.sqlite.gz` is the demo practice as it was written by the release whose newest migration was NNN, and
// `after-NNN.records.json` what that release itself folded its sessions to: `npm run old-database` makes both.
const OLD = join(import.meta.dirname, 'old');

/** Tables that have another name now (migration 030). */
const RENAMED: Record<string, string> = {
  programme: 'block',
  taken_in: 'import_batch',
  taken_in_row: 'import_row',
};

/** The file of a release, as it was left. */
function unzipped(name: string): string {
  const folder = mkdtempSync(join(tmpdir(), 'nervato-old-'));
  onTestFinished(() => rmSync(folder, { recursive: true }));
  const file = join(folder, 'old.sqlite');
  writeFileSync(file, gunzipSync(readFileSync(join(OLD, `${name}.sqlite.gz`))));
  return file;
}

/** How many rows each table of records has, in the file as it is. */
function countsOf(file: string): Map<string, number> {
  const database = new Database(file);
  try {
    const tables = database.prepare("select name from sqlite_master where type = 'table'").all() as {
      name: string;
    }[];
    return new Map(
      tables
        .filter(({ name }) => !/^(sqlite_|mikro_orm|client_search|inflation_count)/.test(name))
        .map(({ name }) => [
          name,
          (database.prepare(`select count(*) as n from "${name}"`).get() as { n: number }).n,
        ]),
    );
  } finally {
    database.close();
  }
}

async function openOld(name: string) {
  const folder = mkdtempSync(join(tmpdir(), 'nervato-old-'));
  const file = join(folder, 'old.sqlite');
  writeFileSync(file, gunzipSync(readFileSync(join(OLD, `${name}.sqlite.gz`))));
  const orm = await openDatabase(file);
  onTestFinished(async () => {
    await orm.close();
    rmSync(folder, { recursive: true });
  });
  const signedIn = await signInNew(orm);
  const app = createApp({
    orm,
    now: () => Date.now(),
    log: pino({ level: 'silent' }),
  });
  return {
    orm,
    get: async <T>(path: string): Promise<T> => {
      const answer = await app.request(`/api${path}`, { headers: signedIn });
      expect([path, answer.status]).toEqual([path, 200]);
      return (await answer.json()) as T;
    },
  };
}

/** Every release that brought a migration: 010 came with 011. */
const NAMES = readdirSync(OLD)
  .filter((file) => file.endsWith('.sqlite.gz'))
  .map((file) => file.replace('.sqlite.gz', ''));

it('there is one of every migration but the newest', () => {
  const steps = MIGRATION_NAMES.slice(0, -1).map((name) => `after-${name.slice(0, 3)}`);
  expect(NAMES).toEqual(steps.filter((name) => name !== 'after-010'));
});

describe.each(NAMES)('a database %s', (name) => {
  const records = JSON.parse(readFileSync(join(OLD, `${name}.records.json`), 'utf8')) as OldRecord[];

  it('opens, and its sessions fold to the same record as before, with the plans they were run by', async () => {
    const { get } = await openOld(name);
    expect(records.length).toBeGreaterThan(2);
    for (const record of records) {
      expect(recordOf(await get<SessionView>(`/sessions/${record.id}`))).toEqual(record);
    }
  });

  it('shows everyone, what was signed for them, and what is in the way', async () => {
    const { get } = await openOld(name);
    const { people, total } = await get<PeoplePage>('/clients');
    expect([people.length > 3, total]).toEqual([true, people.length]);
    for (const { id } of people) {
      const { facts, chain } = await get<ClientRecord>(`/clients/${id}`);
      expect(chain).toHaveLength(6);
      for (const { plan } of facts.prescriptions) {
        for (const target of plan.exercises.flatMap(({ limbs }) => limbs)) {
          if (target.kind === 'measured') expect(target.pressure.value).toBeGreaterThan(20);
        }
      }
    }
    expect(await get('/practice')).toMatchObject({ practitioners: expect.any(Array) });
  });

  it('loses no row on its way', async () => {
    const before = countsOf(unzipped(name));
    const { orm } = await openOld(name);
    for (const [table, n] of before) {
      const [now] = await orm.em
        .getConnection()
        .execute(`select count(*) as n from "${RENAMED[table] ?? table}"`);
      // What is filled at the first start, and the sign-in of this test, add to these.
      if (['condition', 'hold', 'course_plan', 'audit', 'person', 'account', 'sign_in'].includes(table))
        expect([table, now?.n >= n]).toEqual([table, true]);
      else expect([table, now?.n]).toEqual([table, n]);
    }
    expect(before.get('session_event') ?? 0).toBeGreaterThan(50);
  });

  it('has the columns of a new file', async () => {
    const { orm } = await openOld(name);
    const columns = `select t.name || '.' || c.name as name from sqlite_master as t, pragma_table_xinfo(t.name) as c
      where t.type = 'table' and t.name not like 'client_search%' order by 1`;
    const made = await openDatabase(join(mkdtempSync(join(tmpdir(), 'nervato-old-')), 'new.sqlite'));
    const fresh = await made.em.getConnection().execute(columns);
    await made.close();
    expect(await orm.em.getConnection().execute(columns)).toEqual(fresh);
  });

  it('has an audit that is chained from its first entry on, and takes no change', async () => {
    const { get, orm } = await openOld(name);
    const { rows, broken } = await get<AuditCheck>('/audit/check');
    expect([rows > 10, broken]).toEqual([true, null]);
    const change = orm.em.getConnection().execute("update audit set subject = 'nobody' where id = 1");
    await expect(change).rejects.toThrow(/append-only/);
  });
});

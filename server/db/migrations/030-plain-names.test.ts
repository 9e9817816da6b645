import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { MikroORM } from '@mikro-orm/libsql';
import { Migrator } from '@mikro-orm/migrations';
import { expect, it, onTestFinished } from 'vitest';
import { ENTITIES } from '../../record/records';
import { openDatabase } from '../database';
import { MIGRATIONS } from '../migrations';

const NOTED = { id: 'e', type: 'beside-noted', what: 'ice', words: 'the word "beside-noted"' };
const ATTEMPT = { seed: 7, endMs: 1_000, deeds: [{ atMs: 1_000, do: 'squeeze' }] };

const ROWS = [
  "insert into person (id, name, role, list_order) values ('clara', 'Clara', 'clinician', 0)",
  "insert into client (id, name, story, shelf_life, added_at_ms) values ('c', 'Old Hand', '', '4-weeks', 1)",
  `insert into prescription (id, client_id, at_ms, signed_by, exercise_id, limb, plan, findings)
     values ('rx', 'c', 1, 'clara', 'knee-extension', 'left-thigh', '{}', '[]')`,
  "insert into session (id, client_id, prescription_id, opened_at_ms, plan) values ('s', 'c', 'rx', 2, '{}')",
  `insert into session_event (id, session_id, device_id, seq, at_ms, type, event, received_at_ms, practitioner_id)
     values ('e', 's', 'd', 1, 3, 'beside-noted', '${JSON.stringify(NOTED)}', 3, 'clara')`,
  `insert into session_attempt (id, practitioner_id, at_ms, seed, points, answer)
     values ('a', 'clara', 3, 7, 5, '${JSON.stringify(ATTEMPT)}')`,
  `insert into taken_in (id, at_ms, practitioner_id, words, rows, client_ids, audit_id)
     values ('t', 3, 'clara', '"old.ndjson"', 1, '["c"]', 0)`,
  "insert into taken_in_row (taken_in_id, place, kind, row_id) values ('t', 0, 'client', 'c')",
  // Nothing is filled at the next start: these plans are empty.
  'pragma user_version = 5',
  `insert into hold (id, client_id, cause, words, rule, at_ms, ends)
     values ('h', 'c', 'taken-in t c', '""', 'SCR-5', 3, '{}')`,
];

it('gives what was stored under earlier names those of now, and changes no event otherwise', async () => {
  const folder = mkdtempSync(join(tmpdir(), 'nervato-names-'));
  const file = join(folder, 'old.sqlite');
  const before = MIGRATIONS.filter(({ name }) => name < '030');
  const old = await MikroORM.init({
    dbName: file,
    entities: ENTITIES,
    extensions: [Migrator],
    migrations: {
      migrationsList: before,
      snapshot: false,
      silent: true,
    },
  });
  await old.getMigrator().up();
  for (const row of ROWS) await old.em.getConnection().execute(row);
  await old.close();

  const orm = await openDatabase(file);
  onTestFinished(async () => {
    await orm.close();
    rmSync(folder, { recursive: true });
  });
  const read = <T>(sql: string): Promise<T[]> => orm.em.getConnection().execute<T[]>(sql);
  const [event] = await read<{ type: string; event: string }>('select type, event from session_event');
  expect(event?.type).toBe('adjunct-noted');
  expect(JSON.parse(event?.event ?? '')).toEqual({ ...NOTED, type: 'adjunct-noted' });
  const { deeds, ...answer } = ATTEMPT;
  const [attempt] = await read<{ answer: string }>('select answer from session_attempt');
  expect(JSON.parse(attempt?.answer ?? '')).toEqual({ ...answer, actions: deeds });
  expect(await read('select id, undone_at_ms from import_batch')).toEqual([{ id: 't', undone_at_ms: null }]);
  expect(await read('select import_id, row_id from import_row')).toEqual([{ import_id: 't', row_id: 'c' }]);
  expect(await read('select cause from hold')).toEqual([{ cause: 'import t c' }]);
  await expect(read("update session_event set type = 'other'")).rejects.toThrow('append-only');
});

import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import fc from 'fast-check';
import { describe, expect, it, onTestFinished } from 'vitest';
import { ATTACHED_TYPES } from '#contract/attachments';
import { openDatabase } from '../db/database';
import { inTransaction, type Prepare, withStatements } from '../db/dialect/connection';
import { ARCHIVED, fromDatabase, ofOneClient } from './archived';
import { insertArchived } from './archived-rows';
import { columnsOf } from './columns';
import { erase, mergeInto, retract } from './corrections';
import type { Definition } from './define';
import { recountSuperseded } from './in-force';
import { RECORDS } from './records';
import { keepRow } from './write';

// Every record by its definition alone: a row of each is kept, replaced, retracted, archived, merged and erased, with values that
// mean nothing. What a record that is added forgets shows here.

type AnyRecord = (typeof RECORDS)[number] & Definition;
type Row = Record<string, unknown>;

const records: readonly AnyRecord[] = RECORDS;
const BY = { practitionerId: 'worker', atMs: 5_000 };
/** The row of another table that everything refers to. */
const keyOf = (table: string, clientId: string): string =>
  ({ client: clientId, person: 'worker', kit: 'piece' })[table] ?? `${table} of ${clientId}`;

/** Records of a client, and of their rows, each after those it refers to. */
function inOrder(): AnyRecord[] {
  const waiting = records.filter((record) => ofOneClient(record) !== undefined);
  const done = new Set(['client', 'person', 'kit']);
  const order: AnyRecord[] = [];
  while (waiting.length > 0) {
    const next = waiting.findIndex((record) =>
      Object.values(record.refers ?? {}).every((table) => done.has(table) || table === record.table),
    );
    const [record] = waiting.splice(next, 1);
    if (next < 0 || !record) throw new Error('Records refer to each other in a cycle.');
    done.add(record.table);
    order.push(record);
  }
  return order;
}
const OF_A_CLIENT = inOrder();

/** Values that meet the conditions of the columns that have some. */
const MEETS: Record<string, (seed: number) => unknown> = {
  'girth.kind': (seed) => (seed % 2 === 0 ? 'cuff' : 'strap'),
  'girth.girthCm': (seed) => 1 + (seed % 90) / 2,
  // What was counted of a session follows from its line.
  'session.logLine': () => null,
  'tightness.felt': (seed) => seed % 11,
  'lop.pressureMmHg': (seed) => 20 + (seed % 281),
  'attachment.mediaType': (seed) => ATTACHED_TYPES[seed % ATTACHED_TYPES.length],
};

/** A row with values that mean nothing, of a client, drawn by a seed. */
function rowOf(record: AnyRecord, clientId: string, seed: number, changes: Row = {}): Row {
  const refers = record.refers ?? {};
  const values = columnsOf(record).flatMap(
    ({ property, type, isNullable, as, byDefault }): [string, unknown][] => {
      if (property === 'clientId') return [[property, clientId]];
      if (property === 'id') return [[property, keyOf(record.table, clientId)]];
      const refersTo = refers[property];
      const meets = MEETS[`${record.table}.${property}`];
      if (meets) return [[property, meets(seed)]];
      if (refersTo !== undefined)
        return [[property, refersTo === record.table ? null : keyOf(refersTo, clientId)]];
      if (property === 'superseded' || property === 'retracted') return [];
      if (record.at?.includes(property)) return [[property, 1_000]];
      if (isNullable && seed % 2 === 0) return [[property, null]];
      if (byDefault !== undefined && seed % 3 === 0) return [];
      if (as === 'json') return [[property, { [`${property}`]: [seed, `“${seed}”`, null] }]];
      if (as === 'flag') return [[property, seed % 2 === 1]];
      return [
        [
          property,
          type === 'TEXT'
            ? `${property} ${seed} of ${clientId} ’'"`
            : type === 'REAL'
              ? seed / 4
              : seed % 1_000,
        ],
      ];
    },
  );
  return { ...Object.fromEntries(values), ...changes };
}

async function emptyDatabase() {
  const folder = mkdtempSync(join(tmpdir(), 'nervato-round-trip-'));
  const orm = await openDatabase(join(folder, 'new.sqlite'));
  onTestFinished(async () => {
    await orm.close();
    rmSync(folder, { recursive: true });
  });
  const em = orm.em.fork();
  const keep = (prepare: Prepare, table: string, row: Row) => {
    const record = records.find((one) => one.table === table) ?? expect.unreachable();
    keepRow(prepare, record as never, row as never);
  };
  await inTransaction(em, (prepare) => {
    keep(prepare, 'person', { id: 'worker', name: 'Worker', role: 'clinician', listOrder: 0 });
    keep(prepare, 'kit', { id: 'piece', list: 'cuffs', item: {}, retiredAtMs: null });
  });
  return {
    keep,
    read: <T>(sql: string, ...values: unknown[]) =>
      withStatements(em, (prepare) => prepare(sql).all(...values) as T[]),
    write: <T>(work: (prepare: Prepare) => T) => inTransaction(em, work),
    addClient: (prepare: Prepare, id: string) =>
      keep(prepare, 'client', {
        id,
        name: id,
        story: '',
        about: {},
        shelfLife: '4-weeks',
        limbShelfLives: [],
        addedAtMs: 1,
        archivedAtMs: null,
      }),
  };
}
type Database = Awaited<ReturnType<typeof emptyDatabase>>;

/** A client with a row of every record. */
async function wholeClient(database: Database, clientId: string, seed: number): Promise<void> {
  await database.write((prepare) => {
    database.addClient(prepare, clientId);
    for (const record of OF_A_CLIENT)
      if (record.table !== 'retraction') database.keep(prepare, record.table, rowOf(record, clientId, seed));
  });
}

const countOf = async ({ read }: Database, record: AnyRecord, clientId: string): Promise<number> => {
  const where = (ofOneClient(record) ?? '').replace('?1', '?');
  const [row] = await read<{ n: number }>(
    `select count(*) as n from "${record.table}" where ${where}`,
    clientId,
  );
  return row?.n ?? 0;
};

/** Rows that name a row which is not there. */
const orphans = async ({ read }: Database): Promise<unknown[]> => read('pragma foreign_key_check');

/** Tables that a record refers to, and what those refer to. */
function neededFor(record: AnyRecord): Set<string> {
  const tables = Object.values(record.refers ?? {}).filter((table) => table !== record.table);
  const further = tables.flatMap((table) => {
    const one = records.find((other) => other.table === table);
    return one ? [...neededFor(one)] : [];
  });
  return new Set([...tables, ...further]);
}

let database: Database;
describe('every record', () => {
  it('keeps what it is given, and an archive brings the same to another place', async () => {
    const there = await emptyDatabase();
    database = await emptyDatabase();
    let run = 0;
    expect(OF_A_CLIENT.length).toBeGreaterThan(20);
    await fc.assert(
      fc.asyncProperty(fc.nat(100_000), async (seed) => {
        run += 1;
        const clientId = `client ${run}`;
        await wholeClient(database, clientId, seed);
        await there.write((prepare) => there.addClient(prepare, clientId));
        for (const record of OF_A_CLIENT) {
          if (record.table === 'retraction') continue;
          const id = keyOf(record.table, clientId);
          const given = rowOf(record, clientId, seed);
          const [stored = {}] = await database.read<Row>(`select * from "${record.table}" where id = ?`, id);
          for (const { property, name, as } of columnsOf(record)) {
            if (!(property in given)) continue;
            const kept = stored[name];
            const value =
              as === 'json' && typeof kept === 'string'
                ? JSON.parse(kept)
                : as === 'flag'
                  ? kept === 1
                  : kept;
            expect([record.table, property, value]).toEqual([record.table, property, given[property]]);
          }
          const { kind } = record.archive ?? {};
          // What follows from a plan or an event needs a real one; the archive of the demonstration has them.
          if (!kind || ['prescription', 'event', 'session'].includes(kind)) continue;
          const chosen = columnsOf(record).map(({ property, name }) => `"${name}" as "${property}"`);
          const sql = `select ${chosen.join(', ')} from "${record.table}" where id = ?`;
          const [out] = await database.read<Row>(sql, id);
          const row = fromDatabase(kind, out ?? {});
          const refersElsewhere = Object.values(record.refers ?? {}).some(
            (table) => !['person', 'kit', 'client'].includes(table),
          );
          if (refersElsewhere) continue;
          await there.write((prepare) => insertArchived(prepare, kind, row));
          const [came] = await there.read<Row>(sql, id);
          expect(fromDatabase(kind, came ?? {})).toEqual(row);
        }
      }),
      { numRuns: 12 },
    );
    expect(Object.keys(ARCHIVED).length).toBeGreaterThan(25);
  });

  it.each(records.filter(({ newestOf }) => newestOf).map(({ table }) => table))(
    'of %s the newest counts, until it is retracted or gone',
    async (table) => {
      database = await emptyDatabase();
      const { keep, read, write } = database;
      const record = records.find((one) => one.table === table) ?? expect.unreachable();
      await write((prepare) => {
        database.addClient(prepare, 'a');
        for (const needed of OF_A_CLIENT)
          if (neededFor(record).has(needed.table)) keep(prepare, needed.table, rowOf(needed, 'a', 7));
        const [at = ''] = record.at ?? [];
        for (const [id, atMs] of [
          ['older', 2_000],
          ['newer', 3_000],
          ['late', 1_500],
        ] as const)
          keep(
            prepare,
            table,
            rowOf(record, 'a', 7, {
              id,
              [at]: atMs,
              ...(table === 'session' ? { finishedAtMs: 4_000 } : {}),
            }),
          );
      });
      const standing = async () =>
        Object.fromEntries(
          (
            await read<{ id: string; superseded: number }>(
              `select id, superseded from "${table}" order by id`,
            )
          ).map(({ id, superseded }) => [id, superseded]),
        );
      expect(await standing()).toMatchObject({ late: 1, newer: 0, older: 1 });
      const { kind } = record.retract ?? {};
      if (kind) {
        await write((prepare) => retract(prepare, 'a', { kind, id: 'newer', reason: 'wrong' }, BY));
        expect(await standing()).toMatchObject({ late: 1, newer: 2, older: 0 });
        await expect(
          write((prepare) => retract(prepare, 'a', { kind, id: 'newer', reason: 'again' }, BY)),
        ).rejects.toThrow();
      }
      await write((prepare) => {
        prepare(`delete from "${table}" where id in ('older', 'newer')`).run();
        recountSuperseded(prepare, 'a');
      });
      expect((await standing()).late).toBe(0);
    },
  );

  it.each(records.filter(({ retract: can, newestOf }) => can && !newestOf).map(({ table }) => table))(
    'of %s a retracted row never counts again',
    async (table) => {
      database = await emptyDatabase();
      const record = records.find((one) => one.table === table) ?? expect.unreachable();
      await wholeClient(database, 'a', 11);
      const { kind } = record.retract ?? expect.unreachable();
      const id = keyOf(table, 'a');
      await database.write((prepare) => retract(prepare, 'a', { kind, id, reason: 'wrong' }, BY));
      expect(await database.read(`select retracted from "${table}" where id = ?`, id)).toEqual([
        { retracted: 1 },
      ]);
    },
  );

  it('goes along where two clients become one, and goes where one is forgotten', async () => {
    database = await emptyDatabase();
    await wholeClient(database, 'a', 1);
    await wholeClient(database, 'b', 9);
    await database.write((prepare) => {
      prepare('update session set finished_at_ms = 4000').run();
      retract(prepare, 'b', { kind: 'screening', id: keyOf('screening', 'b'), reason: 'wrong' }, BY);
    });
    await database.write((prepare) => mergeInto(prepare, 'a', 'b', 'the same person', BY));
    for (const record of OF_A_CLIENT) {
      // Holds and conditions of one cause are one.
      const both = record.table === 'retraction' ? 1 : 2;
      expect([record.table, await countOf(database, record, 'a')]).toEqual([record.table, both]);
      expect([record.table, await countOf(database, record, 'b')]).toEqual([record.table, 0]);
    }
    expect(await orphans(database)).toEqual([]);
    await database.write((prepare) => erase(prepare, 'a', 'asked for', BY));
    for (const record of OF_A_CLIENT) {
      const [left] = await database.read<{ n: number }>(`select count(*) as n from "${record.table}"`);
      expect([record.table, left?.n]).toEqual([record.table, 0]);
    }
    expect(await database.read('select id from client')).toEqual([]);
    expect(await orphans(database)).toEqual([]);
  });
});

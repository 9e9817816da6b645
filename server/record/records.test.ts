import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import Database from 'libsql';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { ARCHIVE_KINDS } from '#contract/archive-rows';
import { RETRACTABLE as RETRACTABLE_KINDS } from '#contract/corrections';
import { openDatabase } from '../db/database';
import { ARCHIVED, propertiesOf } from './archived';
import { columnsOf, snakeCase } from './columns';
import type { Definition } from './define';
import { retractingTrigger, supersedingTrigger } from './in-force';
import { RECORDS } from './records';
import { RETRACTABLE } from './retractable';

type Stored = {
  name: string;
  type: string;
  notnull: number;
  dflt_value: string | null;
  pk: number;
  hidden: number;
};
type Reference = { from: string; table: string };
type Named = { name: string; sql: string };

let folder: string;
let database: Database.Database;

beforeAll(async () => {
  folder = mkdtempSync(join(tmpdir(), 'nervato-records-'));
  const file = join(folder, 'new.sqlite');
  await (await openDatabase(file)).close();
  database = new Database(file);
});
afterAll(() => {
  database.close();
  rmSync(folder, { recursive: true });
});

const read = <T>(sql: string): T[] => database.prepare(sql).all() as T[];
/** SQL without what has no meaning: spaces, and quotes around a name. */
const plain = (sql: string): string =>
  sql
    .replace(/"(\w+)"/g, '$1')
    .replace(/\s+/g, ' ')
    .trim();
const definitions: readonly ((typeof RECORDS)[number] & Definition)[] = RECORDS;

/** What a file has beside records: the ORM's list of migrations, the index of words, and SQLite's own. */
const NO_RECORD = /^(mikro_orm_migrations|client_search.*|sqlite_.*)$/;

describe('the definitions and a database that was migrated from nothing', () => {
  it('have the same tables', () => {
    const tables = read<Named>("select name from sqlite_master where type = 'table'").map(({ name }) => name);
    expect(tables.filter((name) => !NO_RECORD.test(name)).sort()).toEqual(
      definitions.map(({ table }) => table).sort(),
    );
  });

  it.each(RECORDS.map((record) => record.table))('have the same columns of %s', (table) => {
    const record = definitions.find((one) => one.table === table) ?? expect.unreachable();
    const stored = read<Stored>(`select * from pragma_table_xinfo('${table}')`);
    const { sql = '' } = read<Named>(`select sql from sqlite_master where name = '${table}'`)[0] ?? {};
    const columns = columnsOf(record);
    const given = new Map(columns.map(({ name, byDefault }) => [name, byDefault]));
    const inFile = stored
      .filter(({ hidden }) => hidden === 0)
      .map(({ name, type, notnull, dflt_value, pk }) => ({
        name,
        type,
        // A key that numbers itself is never null, whatever the column says.
        isNullable: notnull === 0 && pk === 0,
        isKey: pk > 0,
        // A column that was added to rows needed a value for them: it counts where the definition leaves it out.
        byDefault: given.get(name) === undefined ? undefined : (dflt_value ?? undefined),
      }));
    const byName = (one: { name: string }, other: { name: string }) => one.name.localeCompare(other.name);
    expect(inFile.sort(byName)).toEqual(
      columns
        .map(({ property, name, type, isNullable, isKey, byDefault }) => ({
          name,
          type,
          isNullable: isNullable || (record.nullableInFile ?? []).includes(property),
          isKey,
          byDefault,
        }))
        .sort(byName),
    );
    const computed = stored.filter(({ hidden }) => hidden > 1).map(({ name }) => name);
    expect(computed.sort()).toEqual(Object.keys(record.computed ?? {}).sort());
    for (const made of Object.values(record.computed ?? {})) expect(plain(sql)).toContain(made);
  });

  it.each(RECORDS.map((record) => record.table))('refer to the same tables from %s', (table) => {
    const { refers = {}, of } = definitions.find((one) => one.table === table) ?? expect.unreachable();
    const stored = read<Reference>(`select "from", "table" from pragma_foreign_key_list('${table}')`);
    expect(stored.map(({ from, table: to }) => `${from} → ${to}`).sort()).toEqual(
      [
        ...Object.entries(refers).map(([property, to]) => `${snakeCase(property)} → ${to}`),
        ...(of === 'client' ? ['client_id → client'] : []),
      ].sort(),
    );
  });

  it.each(RECORDS.map((record) => record.table))('ask the same of every row of %s', (table) => {
    const { checks = [], unique = [] } =
      definitions.find((one) => one.table === table) ?? expect.unreachable();
    const { sql = '' } = read<Named>(`select sql from sqlite_master where name = '${table}'`)[0] ?? {};
    const inFile = [...plain(sql).matchAll(/(?<![a-z_])check \(((?:[^()]|\([^()]*\))*)\)/g)].map(
      ([, check]) => check,
    );
    expect(inFile.sort()).toEqual([...checks].sort());
    const alike = read<{ name: string }>(
      `select name from pragma_index_list('${table}') where origin = 'u'`,
    ).map(({ name }) =>
      read<{ name: string }>(`select name from pragma_index_info('${name}') order by seqno`)
        .map((one) => one.name)
        .join(', '),
    );
    expect(alike.sort()).toEqual([...unique].sort());
  });

  it('have the same indexes', () => {
    const stored = read<Named>("select sql from sqlite_master where type = 'index' and sql is not null");
    expect(
      stored.map(({ sql }) => plain(sql).replace(/^create (unique )?index \w+ on /i, '')).sort(),
    ).toEqual(definitions.flatMap(({ indexes = [] }) => indexes).sort());
  });

  it('keep by triggers what counts now, and that a retracted row never does', () => {
    const triggers = read<Named>("select name, sql from sqlite_master where type = 'trigger'").map(
      ({ name, sql }) => ({
        name,
        does: plain(sql).replace(/^create trigger \w+ /i, ''),
      }),
    );
    const kept = (end: string) =>
      triggers.filter(({ name }) => name.endsWith(end) || name.startsWith(end)).map(({ does }) => does);
    expect(kept('_supersedes').sort()).toEqual(
      definitions
        .filter(({ newestOf }) => newestOf)
        .map((one) => plain(supersedingTrigger(one)))
        .sort(),
    );
    expect(kept('retraction_of_').sort()).toEqual(
      definitions
        .filter(({ retract }) => retract)
        .map((one) => plain(retractingTrigger(one)))
        .sort(),
    );
  });
});

describe('the definitions and the contract', () => {
  it('archive every kind of row, with columns that are there', () => {
    expect(Object.keys(ARCHIVED).sort()).toEqual([...ARCHIVE_KINDS].sort());
    for (const kind of ARCHIVE_KINDS) {
      const record = definitions.find(({ archive }) => archive?.kind === kind) ?? expect.unreachable();
      const known = columnsOf(record).map(({ property }) => property);
      for (const property of propertiesOf(kind)) expect(known, `${kind}.${property}`).toContain(property);
    }
  });

  it('retract every kind of entry that can be retracted', () => {
    expect(RETRACTABLE.map(({ kind }) => kind).sort()).toEqual([...RETRACTABLE_KINDS].sort());
  });

  it('say of each record whose it is in words of their own', () => {
    for (const { of, table } of definitions)
      expect(of === 'client', table).toBe(
        read<Stored>(`select name from pragma_table_xinfo('${table}') where name = 'client_id'`).length > 0 &&
          table !== 'erased',
      );
  });
});

import { ARCHIVE_ROWS, type ArchiveKind } from '#contract/archive-rows';
import { AS_WRITTEN, hasWithin } from '../db/dialect/sql';
import { type Column, columnOf, columnsOf, loaded, snakeCase } from './columns';
import type { Archived, Definition, Uses } from './define';
import { RECORDS } from './records';

type Row = Record<string, unknown>;

/** Where rows of a kind are kept, and how they go into an archive. */
type ArchivedTable = {
  table: string;
  /** Columns by their property. */
  columns: ReadonlyMap<string, Column>;
  /** Which rows go with one client, as a condition on `?1`; none go where there is none. */
  ofClient?: string | undefined;
  only?: string | undefined;
  order: string;
  follows?: Archived['follows'] | undefined;
  ofTheSame?: Archived['ofTheSame'] | undefined;
};

const OF_CLIENT = 'client_id = ?1';
const definitions: readonly Definition[] = RECORDS;

/** Which rows of a record are of a client, as a condition on `?1`. */
export const ofOneClient = ({ of }: Pick<Definition, 'of'>): string | undefined =>
  of === 'client'
    ? OF_CLIENT
    : typeof of === 'object'
      ? `${snakeCase(of.through)} in (select id from ${of.table} where ${OF_CLIENT})`
      : undefined;

/** What a client's records name of a list of the practice: those that go along with an archive of the client. */
function usedBy(as: keyof Uses, table: string, inPlans: boolean): string {
  const selects = definitions.flatMap((record) => {
    const where = record.archive && ofOneClient(record);
    return where
      ? (record.uses?.[as] ?? []).map(
          (what) => `select ${snakeCase(what)} from ${record.table} where ${where}`,
        )
      : [];
  });
  const named = `id in (${selects.join(' union ')})`;
  // A plan names what it uses within its JSON.
  return inPlans
    ? `${named} or exists (select 1 from prescription where ${OF_CLIENT} and ${hasWithin('plan', `'"' || ${table}.id || '"'`)})`
    : named;
}

function tableOf(record: (typeof RECORDS)[number] & Definition, archive: Archived): ArchivedTable {
  const { table } = record;
  const { ofClient } = archive;
  return {
    table,
    columns: new Map(columnsOf(record).map((column) => [column.property, column])),
    ofClient:
      typeof ofClient === 'object'
        ? usedBy(ofClient.usedAs, table, ofClient.inPlans ?? false)
        : (ofClient ?? ofOneClient(record)),
    only: archive.only,
    order: archive.order ?? `at_ms, ${AS_WRITTEN}`,
    follows: archive.follows,
    ofTheSame: archive.ofTheSame,
  };
}

/** A table of the database for every kind of row; that none is missing is tested with the definitions. */
export const ARCHIVED = Object.fromEntries(
  RECORDS.flatMap((record: (typeof RECORDS)[number] & Definition) =>
    record.archive ? [[record.archive.kind, tableOf(record, record.archive)]] : [],
  ),
) as Record<ArchiveKind, ArchivedTable>;

/** The properties of a row of a kind, in the order they are written. */
export const propertiesOf = (kind: ArchiveKind): string[] => Object.keys(ARCHIVE_ROWS[kind].shape);

/** A row as the archive has it, of a row as the database has it. */
export function fromDatabase(kind: ArchiveKind, stored: Row): Row {
  const { columns } = ARCHIVED[kind];
  return Object.fromEntries(
    propertiesOf(kind).map((property) => {
      const column = columns.get(property);
      return [property, column ? loaded(column, stored[property]) : stored[property]];
    }),
  );
}

/** The columns to write of a row of an archive, with what follows from it. */
export function toDatabase(kind: ArchiveKind, row: Row): Row {
  const { columns, follows } = ARCHIVED[kind];
  const written = propertiesOf(kind).map((property) => {
    const value = row[property] ?? null;
    const as = columns.get(property)?.as;
    if (as === 'json') return [property, JSON.stringify(value)];
    return [property, as === 'flag' ? Number(value) : value];
  });
  return { ...Object.fromEntries(written), ...follows?.(row) };
}

/** What is chosen of a kind's table, under the names of the archive. */
export const chosenColumns = (kind: ArchiveKind): string =>
  propertiesOf(kind)
    .map((property) => `${columnOf(property)} as "${property}"`)
    .join(', ');

import { defineEntity, p } from '@mikro-orm/core';
import type { ArchiveKind } from '#contract/archive-rows';
import type { RetractableKind } from '#contract/corrections';
import { snakeCase } from './columns';

type Row = Record<string, unknown>;

/** Whose a row is: of a client, of the practice, of this site alone, or of a row of another table. */
export type Owner = 'client' | 'practice' | 'site' | { through: string; table: string };

/** What a row names that an archive of one client has to bring along: properties, or SQL where it is within JSON. */
export type Uses = Partial<Record<'practitioner' | 'kit' | 'exercise' | 'measure', readonly string[]>>;

/** How rows of a record go into an archive. */
export type Archived = {
  kind: ArchiveKind;
  /** Order in which rows were written, so that of two of the same moment the same one counts after an import. */
  order?: string;
  /** Which rows go with one client: by default those of the client; for what a practice has, those that are used, or SQL on `?1`. */
  ofClient?: { usedAs: keyof Uses; inPlans?: true } | string;
  /** Which rows go at all, where some do not. */
  only?: string;
  /** Columns that follow from others, and are not in the archive. */
  follows?: (row: Row) => Row;
  /** Another row of the same client that it names. */
  ofTheSame?: { property: string; table: string };
};

/** How an entry of this record is retracted, and what is shown of it. */
export type Retracted = {
  kind: RetractableKind;
  /** Its content (`EntryContent`), as a JSON object in SQL. */
  content: string;
};

/**
 * All that the server knows of one kind of record. Entities, archive, retraction, merging, erasure and the checks of the database
 * follow from it (`server/record/records.ts`, `records.test.ts`).
 */
export type Definition = {
  name: string;
  table: string;
  of: Owner;
  /** Tables that columns refer to, by property; a client's `clientId` needs no mention. */
  refers?: Readonly<Record<string, string>>;
  /** Properties that say when it was recorded, the one it is ordered by first. */
  at?: readonly string[];
  /** A newer row with the same of these takes the place of an older one. */
  newestOf?: readonly string[];
  retract?: Retracted;
  uses?: Uses;
  archive?: Archived;
  /** Columns that the database computes, with their SQL. */
  computed?: Readonly<Record<string, string>>;
  /** Properties that always have a value, in columns that allow null: they were added to tables that had rows. */
  nullableInFile?: readonly string[];
  /** Conditions that every row has to meet, as SQL. */
  checks?: readonly string[];
  /** Columns that no two rows have alike together, in addition to the key. */
  unique?: readonly string[];
  /** As SQLite has them, after `on`. */
  indexes?: readonly string[];
};

/** What a record is ordered by. @throws RangeError for one that says no time */
export function momentOf({ at, table }: Pick<Definition, 'at' | 'table'>): string {
  const [first] = at ?? [];
  if (first === undefined) throw new RangeError(`${table} does not say when it was recorded.`);
  return snakeCase(first);
}

/** A definition with its entity. @param properties columns, as the ORM builds them */
export const defineRecord = <Properties extends Record<string, unknown>>({
  properties,
  ...definition
}: Definition & { properties: Properties }) => ({
  ...definition,
  entity: defineEntity({ name: definition.name, tableName: definition.table, properties }),
});

// Columns that many records have. Times are wall-clock ms since 1970; ids are UUIDs as text.
export const id = () => p.string().primary();
export const clientId = () => p.string().index();
export const atMs = () => p.bigint('number');
export const number = () => p.double().$type<number>();
/** 0 counts, 1 where a newer row has taken its place, 2 where it was retracted; triggers keep it. */
export const superseded = () => p.integer().$type<0 | 1 | 2>().default(0);
/** 1 where it was retracted; a trigger keeps it. */
export const retracted = () => p.integer().$type<0 | 1>().default(0);

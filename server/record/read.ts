import type { Prepare, Statement } from '../db/dialect/connection';
import { AS_WRITTEN } from '../db/dialect/sql';
import {
  type AnyRecord,
  columnOf,
  columnsOf,
  loaded,
  matching,
  type PropertyOf,
  type ValueOf,
  type Where,
} from './columns';
import { type Definition, momentOf } from './define';

// biome-ignore lint/suspicious/noExplicitAny: a row is what its statement selects; `Taken` types it by its record.
export type Row = Record<string, any>;

/** A row as it is read: its client, properties of the record, and what else the statement works out. */
type Taken<R extends AnyRecord, P extends PropertyOf<R>, Also extends string> = {
  [Property in P]: ValueOf<R, Property>;
} & {
  // biome-ignore lint/suspicious/noExplicitAny: SQL of its own, whose type is not known here.
  [Name in Also]: any;
};

/** Which rows are read: SQL after `client_id in (…) and`, and the times it asks for, given now. */
export type Part = { when: string; times?: (nowMs: number) => number[] };

/** How rows of a record are read as facts of core; the rows of all parts go together. */
export type Facts<Fact> = {
  /** Everything before `where`. */
  select: string;
  parts: readonly Part[];
  of: (row: Row) => Fact;
};

/** Of several with one time the later received counts: it comes last (rule START-4). */
export const AS_RECEIVED = `order by ${AS_WRITTEN}`;

/** What nothing newer has taken the place of, and was not retracted. */
export const NEWEST: Part = { when: 'superseded = 0' };

/**
 * How a record is read as facts of core.
 * @param take properties to read, with JSON and flags as the values they stand for
 * @param also what else is worked out, as SQL by name
 * @param of the fact that a row says
 */
export function factsOf<
  R extends AnyRecord,
  const P extends PropertyOf<R>,
  Fact,
  Also extends string = never,
>(
  record: R,
  {
    take,
    also,
    parts,
    of,
  }: {
    take: readonly P[];
    also?: Readonly<Record<Also, string>>;
    parts: readonly Part[];
    of: (row: Taken<R, P, Also>) => Fact;
  },
): Facts<Fact> {
  const columns = columnsOf(record).filter(({ property }) => (take as readonly string[]).includes(property));
  const worked = Object.entries<string>(also ?? {}).map(([name, sql]) => `${sql} as "${name}"`);
  const isOfClient = columnsOf(record).some(({ property }) => property === 'clientId');
  const select = `select ${[
    ...(isOfClient ? ['client_id'] : []),
    ...columns.map(({ property }) => `${columnOf(property)} as "${property}"`),
    ...worked,
  ].join(', ')} from "${record.table}"`;
  const otherwiseKept = columns.filter(({ as }) => as !== 'plain');
  return {
    select,
    parts,
    of: ({ client_id: _, ...row }) => {
      for (const column of otherwiseKept) row[column.property] = loaded(column, row[column.property]);
      return of(row as Taken<R, P, Also>);
    },
  };
}

/** The facts that a statement finds. @param statement begins with the `select` of the facts */
export const read = <Fact>({ of }: Facts<Fact>, statement: Statement, ...values: unknown[]): Fact[] =>
  (statement.all(...values) as Row[]).map(of);

/** Which rows are meant: by their values, or all. */
type Which<R extends AnyRecord> = Where<R> | 'all';

const meant = <R extends AnyRecord>(record: R, which: Which<R>) =>
  which === 'all' ? { sql: 'true', values: [] } : matching(record, which);

/** In which order rows are read, as SQL after `order by`, and how many of them at most. */
type Listed = { order?: string; limit?: number };

function asked<R extends AnyRecord, const P extends PropertyOf<R>>(
  record: R,
  which: Which<R>,
  take: readonly P[],
  { order, limit }: Listed,
) {
  const { select, of } = factsOf(record, { take, parts: [], of: (row) => row });
  const { sql, values } = meant(record, which);
  const listed = `${order ? ` order by ${order}` : ''}${limit ? ` limit ${limit}` : ''}`;
  return { statement: `${select} where ${sql}${listed}`, values, of };
}

/**
 * Rows of a record that have these values. @param take properties to read
 * @example findRows(prepare, kitRecord, { list: 'cuffs' }, ['id', 'item'])
 */
export function findRows<R extends AnyRecord, const P extends PropertyOf<R>>(
  prepare: Prepare,
  record: R,
  which: Which<R>,
  take: readonly P[],
  listed: Listed = {},
): Taken<R, P, never>[] {
  const { statement, values, of } = asked(record, which, take, listed);
  return (prepare(statement).all(...values) as Row[]).map(of);
}

/** The row of a record that has these values, or the first of them; undefined where there is none. */
export function findRow<R extends AnyRecord, const P extends PropertyOf<R>>(
  prepare: Prepare,
  record: R,
  which: Which<R>,
  take: readonly P[],
  listed: Pick<Listed, 'order'> = {},
): Taken<R, P, never> | undefined {
  const { statement, values, of } = asked(record, which, take, { ...listed, limit: 1 });
  const row = prepare(statement).get(...values) as Row | undefined;
  return row && of(row);
}

/** Whether a record has a row with these values, or any. */
export function hasRow<R extends AnyRecord>(prepare: Prepare, record: R, which: Which<R>): boolean {
  const { sql, values } = meant(record, which);
  return prepare(`select 1 from "${record.table}" where ${sql} limit 1`).get(...values) !== undefined;
}

/** How many rows of a client a record has within a time: it goes by what the record is ordered by. */
export const countWithin = (
  prepare: Prepare,
  record: Pick<Definition, 'table' | 'at'>,
  clientId: string,
  { fromMs, untilMs }: { fromMs: number; untilMs: number },
): number =>
  (
    prepare(
      `select count(*) as n from "${record.table}" where client_id = ? and ${momentOf(record)} between ? and ?`,
    ).get(clientId, fromMs, untilMs) as { n: number }
  ).n;

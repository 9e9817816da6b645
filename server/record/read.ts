import type { Prepare, Statement } from '../db/dialect/connection';
import { AS_WRITTEN } from '../db/dialect/sql';
import {
  type AnyRecord,
  columnOf,
  columnsOf,
  matching,
  type PropertyOf,
  type ValueOf,
  type Where,
} from './columns';

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
 * @param of the fact that a row says; by default the row itself
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
  const json = columns.filter(({ as }) => as === 'json').map(({ property }) => property);
  const flags = columns.filter(({ as }) => as === 'flag').map(({ property }) => property);
  return {
    select,
    parts,
    of: ({ client_id: _, ...row }) => {
      for (const property of json) if (row[property] !== null) row[property] = JSON.parse(row[property]);
      for (const property of flags) row[property] = row[property] === 1;
      return of(row as Taken<R, P, Also>);
    },
  };
}

/** The facts that a statement finds. @param statement begins with the `select` of the facts */
export const read = <Fact>({ of }: Facts<Fact>, statement: Statement, ...values: unknown[]): Fact[] =>
  (statement.all(...values) as Row[]).map(of);

/**
 * Rows of a record that have these values. @param take properties to read
 * @param order SQL after `order by` @example findRows(prepare, kitRecord, { list: 'cuffs' }, ['id', 'item'])
 */
export function findRows<R extends AnyRecord, const P extends PropertyOf<R>>(
  prepare: Prepare,
  record: R,
  where: Where<R> | 'all',
  take: readonly P[],
  order?: string,
): Taken<R, P, never>[] {
  const facts = factsOf(record, { take, parts: [], of: (row) => row });
  const { sql, values } = where === 'all' ? { sql: 'true', values: [] } : matching(record, where);
  return read(facts, prepare(`${facts.select} where ${sql}${order ? ` order by ${order}` : ''}`), ...values);
}

/** The row of a record that has these values, or the first of them; undefined where there is none. */
export const findRow = <R extends AnyRecord, const P extends PropertyOf<R>>(
  ...asked: Parameters<typeof findRows<R, P>>
): Taken<R, P, never> | undefined => findRows(...asked)[0];

/** Whether a record has a row with these values. */
export function hasRow<R extends AnyRecord>(prepare: Prepare, record: R, where: Where<R>): boolean {
  const { sql, values } = matching(record, where);
  return prepare(`select 1 from "${record.table}" where ${sql} limit 1`).get(...values) !== undefined;
}

/** How many rows of a client a record has within a time: it goes by what the record is ordered by. */
export const countWithin = (
  prepare: Prepare,
  { table, at = ['atMs'] }: AnyRecord & { at?: readonly string[] },
  clientId: string,
  { fromMs, untilMs }: { fromMs: number; untilMs: number },
): number =>
  (
    prepare(
      `select count(*) as n from "${table}" where client_id = ? and ${columnOf(String(at[0]))} between ? and ?`,
    ).get(clientId, fromMs, untilMs) as { n: number }
  ).n;

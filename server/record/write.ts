import type { InferEntity, RequiredEntityData } from '@mikro-orm/core';
import type { Prepare } from '../db/dialect/connection';
import {
  type AnyRecord,
  type Column,
  columnsOf,
  matching,
  type PropertyOf,
  stored,
  type ValueOf,
  type Where,
} from './columns';

type Values<R extends AnyRecord> = { [P in PropertyOf<R>]?: ValueOf<R, P> | undefined };

/** What becomes of a row whose like is there already: it is left as it is, or takes over some columns. */
type Clash<R extends AnyRecord> = {
  sameAs: readonly PropertyOf<R>[];
  update: 'nothing' | readonly PropertyOf<R>[];
};

const quoted = (names: readonly string[]): string => names.map((name) => `"${name}"`).join(', ');

/** The columns of what is given, in the order of the definition. @throws RangeError for a property that the record does not have */
function given(record: AnyRecord, values: object): { column: Column; value: unknown }[] {
  const columns = columnsOf(record);
  return Object.entries(values).flatMap(([property, value]) => {
    const column = columns.find((one) => one.property === property);
    if (!column) throw new RangeError(`${record.table} has no ${property}.`);
    return value === undefined ? [] : [{ column, value: stored(column, value) }];
  });
}

/**
 * Keeps a row of a record. What has a default may be left out. To be called in a transaction, with its audit entry.
 * @param clash what becomes of it where its like is there already; without it the database refuses it
 * @returns how many rows were written
 */
export function keepRow<R extends AnyRecord>(
  prepare: Prepare,
  record: R,
  row: RequiredEntityData<InferEntity<R['entity']>>,
  clash?: Clash<R>,
): number {
  const columns = given(record, row);
  const nameOf = (property: string) =>
    columnsOf(record).find((one) => one.property === property)?.name ?? property;
  const onClash = clash
    ? ` on conflict (${quoted(clash.sameAs.map(nameOf))}) do ${
        clash.update === 'nothing'
          ? 'nothing'
          : `update set ${clash.update
              .map(nameOf)
              .map((name) => `"${name}" = excluded."${name}"`)
              .join(', ')}`
      }`
    : '';
  return prepare(
    `insert into "${record.table}" (${quoted(columns.map(({ column }) => column.name))})
     values (${columns.map(() => '?').join(', ')})${onClash}`,
  ).run(...columns.map(({ value }) => value)).changes;
}

/** Keeps a row, in place of the one of its id where there is one. */
export const replaceRow = <R extends AnyRecord>(
  prepare: Prepare,
  record: R,
  row: RequiredEntityData<InferEntity<R['entity']>>,
): number =>
  keepRow(prepare, record, row, {
    sameAs: ['id' as PropertyOf<R>],
    update: (Object.keys(row) as PropertyOf<R>[]).filter((property) => property !== 'id'),
  });

/**
 * Changes the rows of a record that have these values: one, any of a list, or none where it is null.
 * @returns how many rows were changed
 */
export function changeRows<R extends AnyRecord>(
  prepare: Prepare,
  record: R,
  where: Where<R>,
  to: Values<R>,
): number {
  const set = given(record, to);
  if (set.length === 0) return 0;
  const { sql, values } = matching(record, where);
  return prepare(
    `update "${record.table}" set ${set.map(({ column }) => `"${column.name}" = ?`).join(', ')} where ${sql}`,
  ).run(...set.map(({ value }) => value), ...values).changes;
}

/** Deletes the rows of a record that have these values. @returns how many */
export function deleteRows<R extends AnyRecord>(prepare: Prepare, record: R, where: Values<R>): number {
  const { sql, values } = matching(record, where);
  return prepare(`delete from "${record.table}" where ${sql}`).run(...values).changes;
}

/** Deletes rows by what caused them: a cause begins with it. */
export function deleteRowsCausedBy(prepare: Prepare, { table }: AnyRecord, prefix: string): void {
  prepare(`delete from "${table}" where substr(cause, 1, length(?1)) = ?1`).run(prefix);
}

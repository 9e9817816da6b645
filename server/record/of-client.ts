import { ofOneClient } from './archived';
import { snakeCase } from './columns';
import type { Definition } from './define';
import { RECORDS } from './records';

const definitions: readonly Definition[] = RECORDS;

/** Tables whose rows name their client. */
export const TABLES_OF_A_CLIENT: readonly string[] = definitions.flatMap(({ of, table }) =>
  of === 'client' ? [table] : [],
);

/** What deletes all rows of a client (`?1`): first those of other rows, such as the events of a session. */
export const DELETES_OF_A_CLIENT: readonly string[] = [
  ...definitions.filter(({ of }) => typeof of === 'object'),
  ...definitions.filter(({ of }) => of === 'client'),
].map((record) => `delete from ${record.table} where ${ofOneClient(record)}`);

/** Columns that say when something of a client was recorded. */
export const TIMES_OF_A_CLIENT: readonly { table: string; at: string }[] = definitions.flatMap(
  ({ of, table, at = [] }) =>
    of === 'client' ? at.map((property) => ({ table, at: snakeCase(property) })) : [],
);

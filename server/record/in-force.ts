import type { Prepare } from '../db/dialect/connection';
import { AS_WRITTEN } from '../db/dialect/sql';
import { snakeCase } from './columns';
import { type Definition, momentOf } from './define';
import { RECORDS } from './records';

// Of records with `newestOf` one row counts of each, the newest; it is 0 in `superseded`, those before it 1, what was retracted 2.
// Triggers of the database keep that as rows come in; here it is worked out where rows went or moved.

type Newest = { table: string; keys: readonly string[]; at: string };

const newest = ({ newestOf = [], ...record }: Definition): Newest => ({
  table: record.table,
  keys: newestOf.map(snakeCase),
  at: momentOf(record),
});

const REPLACED = RECORDS.flatMap((record: Definition) => (record.newestOf ? [newest(record)] : []));

/** Works out which rows of a client count now, but for those that were retracted: to be called where some were deleted or moved, which no trigger sees. */
export function recountSuperseded(prepare: Prepare, clientId: string): void {
  for (const { table, keys, at } of REPLACED) {
    prepare(
      `update ${table} set superseded = case when id in (
         select id from (
           select id, row_number() over (partition by ${keys.join(', ')} order by ${at} desc, ${AS_WRITTEN} desc) as place
           from ${table} where client_id = ?1 and superseded <> 2
         ) where place = 1) then 0 else 1 end
       where client_id = ?1 and superseded <> 2`,
    ).run(clientId);
  }
}

/** The trigger by which a new row takes the place of the one before it, as the migrations have it; for the test that compares them. */
export function supersedingTrigger(record: Definition): string {
  const { table, keys, at } = newest(record);
  const same = (other: string) => keys.map((key) => `${other}.${key} = new.${key}`).join(' and ');
  return `after insert on ${table} begin
    update ${table} set superseded = 1 where superseded = 0 and id <> new.id and +${at} <= new.${at} and ${same(table)};
    update ${table} set superseded = 1 where id = new.id and exists (
      select 1 from ${table} as other where other.superseded = 0 and other.id <> new.id and ${same('other')});
  end`;
}

/** The trigger by which a retracted row never counts again, and the newest of the others counts in its place. */
export function retractingTrigger(record: Definition): string {
  const { table, retract } = record;
  const when = `after insert on retraction when new.kind = '${retract?.kind}' begin`;
  if (!record.newestOf) return `${when} update ${table} set retracted = 1 where id = new.row_id; end`;
  const { keys, at } = newest(record);
  return `${when}
    update ${table} set superseded = 2 where id = new.row_id;
    update ${table} set superseded = 0 where superseded = 1 and id = (
      select older.id from ${table} as older join ${table} as wrong on wrong.id = new.row_id
      where older.superseded <> 2 and ${keys.map((key) => `older.${key} = wrong.${key}`).join(' and ')}
      order by older.${at} desc, older.${AS_WRITTEN} desc limit 1);
  end`;
}

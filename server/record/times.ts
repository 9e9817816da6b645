import type { Prepare } from '../db/sqlite';
import { recountSuperseded } from './in-force';
import { TIMES_OF_A_CLIENT } from './of-client';

/** What ends so long after it was recorded moves with it; a birthday and an operation have their own day. */
const MOVES: readonly string[] = [
  `update hold set ends = json_set(ends, '$.atMs', json_extract(ends, '$.atMs') - (at_ms - ?1))
     where at_ms > ?1 and json_extract(ends, '$.atMs') is not null`,
  `update hold set ends = json_set(ends, '$.notBeforeMs', json_extract(ends, '$.notBeforeMs') - (at_ms - ?1))
     where at_ms > ?1 and json_extract(ends, '$.notBeforeMs') is not null`,
  `update hold set ends = json_set(ends, '$.retakeFromMs', json_extract(ends, '$.retakeFromMs') - (at_ms - ?1))
     where at_ms > ?1 and json_extract(ends, '$.retakeFromMs') is not null`,
  `update condition set ends_at_ms = ends_at_ms - (at_ms - ?1)
     where at_ms > ?1 and ends_at_ms is not null and json_extract(detail, '$.kind') = 'item'
       and json_extract(detail, '$.item') <> 'under-18'`,
  `update clearance set clearance = json_set(clearance, '$.givenAtMs', ?1)
     where json_extract(clearance, '$.givenAtMs') > ?1`,
];

/**
 * Gives what was recorded while the clock was ahead the time it is now: the least of its own time and of all that is received
 * after it (rule START-4). Of two with one time the later one received counts. To be called in a transaction.
 * @returns how many rows were dated ahead
 */
export function putTimesRight(prepare: Prepare, nowMs: number): number {
  for (const move of MOVES) prepare(move).run(nowMs);
  const people = new Set<string>();
  let rows = 0;
  for (const { table, at } of TIMES_OF_A_CLIENT) {
    const ahead = prepare(`select distinct client_id as id from ${table} where ${at} > ?`).all(nowMs);
    if (ahead.length === 0) continue;
    for (const { id } of ahead as { id: string }[]) people.add(id);
    rows += prepare(`update ${table} set ${at} = ?1 where ${at} > ?1`).run(nowMs).changes;
  }
  for (const id of people) recountSuperseded(prepare, id);
  return rows;
}

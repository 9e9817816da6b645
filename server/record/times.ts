import type { Prepare } from '../db/dialect/connection';
import { jsonAt, jsonWith } from '../db/dialect/sql';
import { recountSuperseded } from './in-force';
import { TIMES_OF_A_CLIENT } from './of-client';

/** What ends so long after it was recorded moves with it; a birthday and an operation have their own day. */
const MOVES: readonly string[] = [
  ...['atMs', 'notBeforeMs', 'retakeFromMs'].map(
    (
      moment,
    ) => `update hold set ends = ${jsonWith('ends', moment, `${jsonAt('ends', moment)} - (at_ms - ?1)`)}
      where at_ms > ?1 and ${jsonAt('ends', moment)} is not null`,
  ),
  `update condition set ends_at_ms = ends_at_ms - (at_ms - ?1)
     where at_ms > ?1 and ends_at_ms is not null and ${jsonAt('detail', 'kind')} = 'item'
       and ${jsonAt('detail', 'item')} <> 'under-18'`,
  `update clearance set clearance = ${jsonWith('clearance', 'givenAtMs', '?1')}
     where ${jsonAt('clearance', 'givenAtMs')} > ?1`,
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

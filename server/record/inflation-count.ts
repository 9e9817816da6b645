import { type InferEntity, p, type RequiredEntityData } from '@mikro-orm/core';
import type { SeenId, Tally } from '#core/outcomes';
import type { SchoolId } from '#core/protocol';
import type { LimbKind } from '#core/quantity';
import type { Prepare } from '../db/dialect/connection';
import { defineRecord } from './define';

/** How often cuffs were inflated and what was seen with it; without a name (rule OUT-7). */
export const inflationCountRecord = defineRecord({
  name: 'InflationCount',
  table: 'inflation_count',
  of: 'site',
  properties: {
    month: p.string().primary(),
    limb: p.string().$type<LimbKind>().primary(),
    percentBand: p.string().primary(),
    minutesBand: p.string().primary(),
    schoolId: p.string().$type<SchoolId>().primary(),
    cuff: p.string().primary(),
    what: p.string().primary(),
    count: p.integer(),
  },
});

/** Adds to the count of the same month, limb, bands, school, cuff and finding. */
export function addToCount(
  prepare: Prepare,
  row: RequiredEntityData<InferEntity<typeof inflationCountRecord.entity>>,
): void {
  prepare(
    `insert into inflation_count (month, limb, percent_band, minutes_band, school_id, cuff, what, count)
     values (?, ?, ?, ?, ?, ?, ?, ?)
     on conflict (month, limb, percent_band, minutes_band, school_id, cuff, what) do update set count = count + excluded.count`,
  ).run(row.month, row.limb, row.percentBand, row.minutesBand, row.schoolId, row.cuff, row.what, row.count);
}

/** What an inflation is counted as, beside what was seen with it. */
export const INFLATION = 'inflation';

/** All that was counted, over all months. */
export function readTallies(prepare: Prepare): Tally[] {
  const rows = prepare(
    `select limb, percent_band as "percentBand", minutes_band as "minutesBand", school_id as "schoolId", cuff, what,
       sum(count) as count
     from inflation_count group by limb, percent_band, minutes_band, school_id, cuff, what having sum(count) > 0`,
  ).all() as (Omit<Tally, 'inflations' | 'seen'> & { what: typeof INFLATION | SeenId; count: number })[];
  const tallies = new Map<string, Tally>();
  for (const { what, count: n, ...cell } of rows) {
    const key = JSON.stringify(cell);
    const tally = tallies.get(key) ?? { ...cell, inflations: 0, seen: {} };
    tallies.set(
      key,
      what === INFLATION ? { ...tally, inflations: n } : { ...tally, seen: { ...tally.seen, [what]: n } },
    );
  }
  return [...tallies.values()];
}

import { type InferEntity, p, type RequiredEntityData } from '@mikro-orm/core';
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

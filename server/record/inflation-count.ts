import { p } from '@mikro-orm/core';
import type { SchoolId } from '#core/protocol';
import type { Limb } from '#core/quantity';
import { defineRecord } from './define';

/** How often cuffs were inflated and what was seen with it; without a name (rule OUT-7). */
export const inflationCountRecord = defineRecord({
  name: 'InflationCount',
  table: 'inflation_count',
  of: 'site',
  properties: {
    month: p.string().primary(),
    limb: p.string().$type<Limb>().primary(),
    percentBand: p.string().primary(),
    minutesBand: p.string().primary(),
    schoolId: p.string().$type<SchoolId>().primary(),
    cuff: p.string().primary(),
    what: p.string().primary(),
    count: p.integer(),
  },
});

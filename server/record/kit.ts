import { p } from '@mikro-orm/core';
import type { KitItem } from '#contract/practice';
import { AS_WRITTEN } from '../db/dialect/sql';
import { defineRecord, id } from './define';

export const kitRecord = defineRecord({
  name: 'Kit',
  table: 'kit',
  of: 'practice',
  properties: {
    id: id(),
    list: p.string().$type<KitItem['list']>(),
    item: p.json().$type<KitItem['item']>(),
    retiredAtMs: p.bigint('number').nullable(),
  },
  archive: { kind: 'kit', order: AS_WRITTEN, ofClient: { usedAs: 'kit', inPlans: true } },
  checks: ["list in ('cuffs', 'pumps', 'weightKits', 'straps')"],
});

import { p } from '@mikro-orm/core';
import { jsonObject } from '../db/dialect/sql';
import { atMs, clientId, defineRecord, id, number, retracted } from './define';

export const quickCheckRecord = defineRecord({
  name: 'QuickCheck',
  table: 'lop_quick_check',
  of: 'client',
  properties: {
    id: id(),
    clientId: clientId(),
    lopId: p.string(),
    atMs: atMs(),
    goneMmHg: number(),
    stepMmHg: p.double().$type<number>().nullable(),
    retracted: retracted(),
  },
  refers: { lopId: 'lop' },
  at: ['atMs'],
  retract: {
    kind: 'quick-check',
    content: jsonObject({ limb: '(select limb from lop where lop.id = lop_id)', goneMmHg: 'gone_mm_hg' }),
  },
  archive: { kind: 'quick-check', ofTheSame: { property: 'lopId', table: 'lop' } },
  indexes: ['lop_quick_check (client_id)', 'lop_quick_check (lop_id, at_ms)'],
});

import { p } from '@mikro-orm/core';
import type { OcclusionFact } from '#core/occlusion-pressure';
import type { Prepare } from '../db/dialect/connection';
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

export const readQuickChecks = (prepare: Prepare, lopId: string): OcclusionFact['quickChecks'] =>
  (
    prepare(
      `select at_ms as "atMs", gone_mm_hg as "goneMmHg", step_mm_hg as "stepMmHg" from lop_quick_check
       where lop_id = ? and retracted = 0`,
    ).all(lopId) as { atMs: number; goneMmHg: number; stepMmHg: number | null }[]
  ).map(({ stepMmHg, ...check }) => ({ ...check, ...(stepMmHg === null ? {} : { stepMmHg }) }));

import { p } from '@mikro-orm/core';
import { AS_WRITTEN } from '../db/dialect/sql';
import { atMs, defineRecord, id } from './define';

export const templateRecord = defineRecord({
  name: 'Template',
  table: 'template',
  of: 'practice',
  properties: {
    id: id(),
    name: p.string(),
    /** In the shape it was kept in: read it by `readSessionChoice`. */
    session: p.json().$type<unknown>(),
    keptBy: p.string(),
    keptAtMs: atMs(),
    retiredAtMs: p.bigint('number').nullable(),
  },
  refers: { keptBy: 'person' },
  archive: { kind: 'template', order: AS_WRITTEN },
});

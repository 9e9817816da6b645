import { p } from '@mikro-orm/core';
import type { Text } from '#core/message';
import { atMs, defineRecord, id } from './define';

/** One import, which can be undone as one. */
export const importBatchRecord = defineRecord({
  name: 'ImportBatch',
  table: 'import_batch',
  of: 'site',
  properties: {
    id: id(),
    atMs: atMs(),
    practitionerId: p.string(),
    words: p.json().$type<Text>(),
    rows: p.integer(),
    clientIds: p.json().$type<string[]>(),
    /** The last audit entry before it: what was done since is after it. */
    auditId: p.integer(),
    undoneAtMs: p.bigint('number').nullable(),
    isMove: p.boolean().default(false),
  },
});

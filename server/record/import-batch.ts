import { p } from '@mikro-orm/core';
import type { ImportBatch } from '#contract/archive';
import type { Text } from '#core/message';
import type { Prepare } from '../db/dialect/connection';
import { AS_WRITTEN } from '../db/dialect/sql';
import { atMs, defineRecord, id } from './define';
import { findRows } from './read';

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

const MOST_LISTED = 100;

/** Imports, the newest first. */
export const readImports = (prepare: Prepare): ImportBatch[] =>
  findRows(
    prepare,
    importBatchRecord,
    'all',
    ['id', 'atMs', 'practitionerId', 'words', 'rows', 'undoneAtMs'],
    { order: `at_ms desc, ${AS_WRITTEN} desc`, limit: MOST_LISTED },
  );

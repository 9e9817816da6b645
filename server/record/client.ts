import { p } from '@mikro-orm/core';
import type { About } from '#contract/client';
import type { LimbShelfLife, ShelfLife } from '#core/occlusion-pressure';
import { AS_WRITTEN } from '../db/dialect/sql';
import { atMs, defineRecord, id } from './define';

export const clientRecord = defineRecord({
  name: 'Client',
  table: 'client',
  of: 'practice',
  properties: {
    id: id(),
    name: p.string(),
    story: p.text(),
    about: p.json().$type<About>(),
    shelfLife: p.string().$type<ShelfLife>(),
    limbShelfLives: p.json().$type<LimbShelfLife[]>(),
    addedAtMs: atMs(),
    /** When they were taken off the list of people; null for who is on it. */
    archivedAtMs: p.bigint('number').nullable(),
    /** The record that this one was merged into; null for one of its own. */
    mergedInto: p.string().nullable(),
  },
  refers: { mergedInto: 'client' },
  archive: {
    kind: 'client',
    order: AS_WRITTEN,
    ofClient: 'id = ?1',
    // What was on record twice goes as the one it was merged into.
    only: 'merged_into is null',
  },
  indexes: [
    'client (name, id) where archived_at_ms is null and merged_into is null',
    'client (name, id) where archived_at_ms is not null',
    'client (merged_into) where merged_into is not null',
    'client (added_at_ms)',
  ],
});

import { p } from '@mikro-orm/core';
import type { Trial } from '#core/occlusion-pressure';
import { AS_WRITTEN } from '../db/dialect/sql';
import { defineRecord, id } from './define';

export const trialRecord = defineRecord({
  name: 'Trial',
  table: 'lop_trial',
  of: { through: 'lopId', table: 'lop' },
  properties: {
    id: id(),
    lopId: p.string().index(),
    place: p.integer(),
    readings: p.json().$type<Trial>(),
  },
  refers: { lopId: 'lop' },
  archive: { kind: 'trial', order: AS_WRITTEN },
  indexes: ['lop_trial (lop_id)'],
});

import { p } from '@mikro-orm/core';
import type { Trial } from '#core/occlusion-pressure';
import type { Prepare } from '../db/dialect/connection';
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

/** The single trials of an occlusion pressure, in their order. */
export const readTrials = (prepare: Prepare, lopId: string): Trial[] =>
  (
    prepare('select readings from lop_trial where lop_id = ? order by place').all(lopId) as {
      readings: string;
    }[]
  ).map(({ readings }) => JSON.parse(readings));

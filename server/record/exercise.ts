import { p } from '@mikro-orm/core';
import type { Exercise } from '#core/protocol';
import { AS_WRITTEN } from '../db/dialect/sql';
import { defineRecord, id } from './define';

export const exerciseRecord = defineRecord({
  name: 'Exercise',
  table: 'exercise',
  of: 'practice',
  properties: {
    id: id(),
    exercise: p.json().$type<Exercise>(),
    retiredAtMs: p.bigint('number').nullable(),
  },
  archive: { kind: 'exercise', order: AS_WRITTEN, ofClient: { usedAs: 'exercise', inPlans: true } },
});

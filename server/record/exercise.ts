import { p } from '@mikro-orm/core';
import type { Exercise } from '#core/protocol';
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
  archive: { kind: 'exercise', order: 'rowid', ofClient: { usedAs: 'exercise', inPlans: true } },
});

import { p } from '@mikro-orm/core';
import type { ExerciseId } from '#core/protocol';
import type { Side } from '#core/strength';
import { jsonObject } from '../db/dialect/sql';
import { atMs, clientId, defineRecord, id, number, retracted } from './define';

export const heavyWorkRecord = defineRecord({
  name: 'HeavyWork',
  table: 'heavy_work',
  of: 'client',
  properties: {
    id: id(),
    clientId: clientId(),
    atMs: atMs(),
    exerciseId: p.string().$type<ExerciseId>(),
    side: p.string().$type<Side>(),
    sets: p.integer(),
    reps: p.integer(),
    loadKg: number(),
    effort: p.integer().nullable(),
    pain: p.integer().nullable(),
    practitionerId: p.string(),
    retracted: retracted(),
  },
  at: ['atMs'],
  retract: {
    kind: 'heavy-work',
    content: jsonObject({
      exerciseId: 'exercise_id',
      side: 'side',
      sets: 'sets',
      loadKg: 'load_kg',
      reps: 'reps',
    }),
  },
  uses: { practitioner: ['practitionerId'], exercise: ['exerciseId'] },
  archive: { kind: 'heavy-work' },
  indexes: ['heavy_work (client_id, at_ms)'],
});

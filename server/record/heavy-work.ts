import { p } from '@mikro-orm/core';
import type { ExerciseId } from '#core/protocol';
import { SESSIONS_COUNT_MS } from '#core/record';
import type { HeavyWork, Side } from '#core/strength';
import { jsonObject } from '../db/dialect/sql';
import { atMs, clientId, defineRecord, id, number, retracted } from './define';
import { factsOf } from './read';

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

export const heavyWorkFacts = factsOf(heavyWorkRecord, {
  take: ['id', 'atMs', 'exerciseId', 'side', 'sets', 'reps', 'loadKg', 'effort', 'pain'],
  parts: [{ when: 'retracted = 0 and at_ms >= ?', times: (nowMs) => [nowMs - SESSIONS_COUNT_MS] }],
  of: (row): HeavyWork => row,
});

import { p } from '@mikro-orm/core';
import type { Derived } from '#core/derivation';
import type { ExerciseId } from '#core/protocol';
import type { Side } from '#core/strength';
import { jsonObject } from '../db/dialect/sql';
import { atMs, clientId, defineRecord, id, number, superseded } from './define';

export const strengthTestRecord = defineRecord({
  name: 'StrengthTest',
  table: 'strength_test',
  of: 'client',
  properties: {
    id: id(),
    clientId: clientId(),
    atMs: atMs(),
    exerciseId: p.string().$type<ExerciseId>(),
    side: p.string().$type<Side>(),
    loadKg: number(),
    reps: p.integer(),
    oneRepMaxKg: number(),
    oneRepMax: p.json().$type<Derived>(),
    superseded: superseded(),
  },
  at: ['atMs'],
  newestOf: ['clientId', 'exerciseId', 'side'],
  retract: {
    kind: 'strength-test',
    content: jsonObject({ exerciseId: 'exercise_id', side: 'side', loadKg: 'load_kg', reps: 'reps' }),
  },
  uses: { exercise: ['exerciseId'] },
  archive: { kind: 'strength-test' },
  indexes: [
    'strength_test (client_id, at_ms)',
    'strength_test (client_id, exercise_id, side) where superseded = 0',
  ],
});

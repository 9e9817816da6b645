import { p } from '@mikro-orm/core';
import type { HistoryPoint } from '#contract/history';
import type { Derived } from '#core/derivation';
import type { TestedOnce } from '#core/outcomes';
import type { ExerciseId } from '#core/protocol';
import type { Side, StrengthFact } from '#core/strength';
import type { Prepare } from '../db/dialect/connection';
import { jsonObject } from '../db/dialect/sql';
import { atMs, clientId, defineRecord, id, number, superseded } from './define';
import { HISTORY_POINTS } from './history';
import { factsOf, NEWEST } from './read';

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

export const strengthTestFacts = factsOf(strengthTestRecord, {
  take: ['id', 'exerciseId', 'side', 'atMs', 'oneRepMax'],
  parts: [NEWEST],
  of: (row): StrengthFact => row,
});

/** 1RMs of one exercise and side, in kg, newest first. */
export const readOneRepMaxes = (
  prepare: Prepare,
  clientId: string,
  { exerciseId, side }: { exerciseId: string; side: string },
): HistoryPoint[] =>
  prepare(
    `select at_ms as "atMs", one_rep_max_kg as "value" from strength_test
     where client_id = ? and exercise_id = ? and side = ? and superseded <> 2 order by at_ms desc limit ${HISTORY_POINTS}`,
  ).all(clientId, exerciseId, side) as HistoryPoint[];

export const readAllOneRepMaxes = (prepare: Prepare, clientId: string): TestedOnce[] =>
  (
    prepare(
      `select at_ms as "atMs", one_rep_max_kg as "value", exercise_id as "exerciseId", side from strength_test
       where client_id = ? order by at_ms`,
    ).all(clientId) as Omit<Extract<TestedOnce, { kind: 'one-rep-max' }>, 'kind'>[]
  ).map((row) => ({ kind: 'one-rep-max', ...row }));

import { p } from '@mikro-orm/core';
import type { EntityManager } from '@mikro-orm/libsql';
import type { Exercise, Library } from '#core/protocol';
import { type Prepare, withStatements } from '../db/dialect/connection';
import { AS_WRITTEN } from '../db/dialect/sql';
import { defineRecord, id } from './define';
import { findRows } from './read';

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

/** The practice's own exercises in use, by id. */
export const readOwnExercises = (em: EntityManager): Promise<Library> =>
  withStatements(em, ownExercisesInUse);

export const ownExercisesInUse = (prepare: Prepare): Library =>
  Object.fromEntries(
    findRows(prepare, exerciseRecord, { retiredAtMs: null }, ['id', 'exercise']).map(({ id, exercise }) => [
      id,
      exercise,
    ]),
  );

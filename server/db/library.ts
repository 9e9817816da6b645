import type { EntityManager } from '@mikro-orm/libsql';
import type { Measure, MeasureBook } from '#core/outcomes';
import type { Exercise, Library } from '#core/protocol';
import { type Prepare, withStatements } from './dialect/connection';

/** Measures of the practice's own, and what it says otherwise of standard ones. */
export const ownMeasures = (prepare: Prepare): MeasureBook =>
  Object.fromEntries(
    (prepare('select id, measure from measure').all() as { id: string; measure: string }[]).map(
      ({ id, measure }) => [id, JSON.parse(measure) as Measure],
    ),
  );

/** The practice's own exercises in use, by id. */
export const readOwnExercises = (em: EntityManager): Promise<Library> =>
  withStatements(em, ownExercisesInUse);

export function ownExercisesInUse(prepare: Prepare): Library {
  const rows = prepare('select id, exercise from exercise where retired_at_ms is null').all() as {
    id: string;
    exercise: string;
  }[];
  return Object.fromEntries(rows.map(({ id, exercise }) => [id, JSON.parse(exercise) as Exercise]));
}

import type { EntityManager } from '@mikro-orm/libsql';
import type { Exercise } from '#core/protocol/exercise';
import type { Library } from '#core/protocol/exercises';
import { type Prepare, withStatements } from './sqlite';

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

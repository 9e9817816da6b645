import type { EntityManager } from '@mikro-orm/libsql';
import type { Exercise } from '#core/protocol/exercise';
import { ExerciseEntity } from './entities';

/** The practice's own exercises in use, by id. */
export async function readOwnExercises(em: EntityManager): Promise<Record<string, Exercise>> {
  const rows = await em.find(ExerciseEntity, { retiredAtMs: null });
  return Object.fromEntries(rows.map(({ id, exercise }) => [id, exercise]));
}

import type { FieldValues, Path } from 'react-hook-form';
import type { z } from 'zod';
import { messageOf } from '#core/message';
import { translate } from '../../language/translate';
import '#contract/schema-words';
import type { Reading, Wrong } from './use-fields';

/**
 * What a schema makes of what was typed; what is wrong is at the field it is of.
 * @param made what the schema judges, made of what was typed
 * @param fieldOf the field of a path of the schema, such as `sets.0.reps`
 */
export function bySchema<T extends FieldValues, V>(
  schema: z.ZodType<V>,
  made: unknown,
  fieldOf: (path: string) => Path<T>,
): Reading<T, V> {
  const parsed = schema.safeParse(made);
  if (parsed.success) return { sent: parsed.data };
  const wrong: Wrong<T> = {};
  // The first thing that is wrong with a field is the one to correct first.
  for (const found of parsed.error.issues)
    wrong[fieldOf(found.path.join('.'))] ??= translate(messageOf(found));
  return { wrong };
}

import type { FieldValues, Path, Resolver } from 'react-hook-form';
import type { z } from 'zod';
import { bySchema } from './by-schema';
import { reads } from './use-fields';

/** A form that is judged by a schema as it is typed; what is wrong is at its field, in the language of the interface. */
export const schemaResolver = <T extends FieldValues, V>(schema: z.ZodType<V>): Resolver<T, unknown, V> =>
  reads<T, V>((typed) => bySchema<T, V>(schema, typed, (path) => path as Path<T>));

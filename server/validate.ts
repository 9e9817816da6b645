import { zValidator } from '@hono/zod-validator';
import type { z } from 'zod';
import '#contract/schema-words';
import { fromZod } from './problem';

/** Middleware that parses the JSON body with a contract schema, or refuses with the fields to correct. */
export const body = <T extends z.ZodType>(schema: T) =>
  zValidator('json', schema, (result) => {
    if (!result.success) throw fromZod(result.error);
  });

/** The same for what is after the question mark. */
export const query = <T extends z.ZodType>(schema: T) =>
  zValidator('query', schema, (result) => {
    if (!result.success) throw fromZod(result.error);
  });

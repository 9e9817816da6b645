import { z } from 'zod';
import type { Lighter } from './lighter';

export const lighterSchema: z.ZodType<Lighter, Lighter> = z.object({
  how: z.enum(['pressure', 'sets']),
  why: z.enum(['slept-badly', 'not-eaten', 'unwell', 'sore']),
});

import { z } from 'zod';
import { LIGHTER_WAYS, type Lighter, WHY_LIGHTER } from './lighter';

const keyOf = <Key extends string>(words: Record<Key, string>) => z.enum(Object.keys(words) as Key[]);

export const lighterSchema: z.ZodType<Lighter, Lighter> = z.object({
  how: keyOf(LIGHTER_WAYS),
  why: keyOf(WHY_LIGHTER),
});

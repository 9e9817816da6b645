import type { z } from 'zod';
import { blockSchema } from '#core/course';
import { overrideReasonSchema } from './prescription';

/** A block to keep. A new one takes the place of the one before. */
export const newBlockSchema = blockSchema.extend({ overrideReason: overrideReasonSchema });
export type NewBlock = z.infer<typeof newBlockSchema>;

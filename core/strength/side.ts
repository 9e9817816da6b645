import { z } from 'zod';

/** Which side a strength test or heavy work was done on. */
export const sideSchema = z.enum(['left', 'right', 'both']);
export type Side = z.infer<typeof sideSchema>;

import { z } from 'zod';
import { defineEvent } from './define';

const besideSchema = z.enum(['mobility', 'manual-work', 'heavy-lift', 'ice', 'compression', 'other']);
export type Beside = z.infer<typeof besideSchema>;
export const BESIDE_IDS = besideSchema.options;

/** What is done in one sitting beside the work under the cuff, before, between or after it (rule PRO-4). */
export const BESIDE_LABELS: Record<Beside, string> = {
  mobility: 'Mobility',
  'manual-work': 'Manual work',
  'heavy-lift': 'A heavy lift',
  ice: 'Ice',
  compression: 'Compression',
  other: 'Something else',
};

/** Something of the same sitting that no cuff was needed for. */
export const besideNoted = defineEvent({
  type: 'beside-noted',
  body: { what: besideSchema, words: z.string().trim().max(200, 'At most 200 characters.') },
  undoable: true,
  afterFinish: true,
  words: 'what was done beside',
  apply: (_, state, { atMs, what, words }) => {
    state.beside.push({ atMs, what, words });
  },
});

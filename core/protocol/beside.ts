import { z } from 'zod';

const besideSchema = z.enum([
  'mobility',
  'manual-work',
  'heavy-lift',
  'ice',
  'compression',
  'swelling',
  'other',
]);
export type Beside = z.infer<typeof besideSchema>;
export const BESIDE_IDS = besideSchema.options;

/** What is done in one sitting beside the work under the cuff, before, between or after it (rule PRO-4). */
export const BESIDE_LABELS: Record<Beside, string> = {
  mobility: 'Mobility',
  'manual-work': 'Manual work',
  'heavy-lift': 'A heavy lift',
  ice: 'Ice',
  compression: 'Compression',
  swelling: 'Girth for swelling',
  other: 'Something else',
};

const besideWords = z.string().trim().max(200, 'At most 200 characters.');

/** What was done, in words; a girth for swelling has its centimetres, and its words say where the tape lay. */
export const besideDone = {
  what: besideSchema,
  words: besideWords,
  girthCm: z.number('Enter the girth.').min(10, 'At least 10 cm.').max(120, 'At most 120 cm.').optional(),
};

export const plannedBesideSchema = z.object({
  when: z.enum(['before', 'after']),
  what: besideSchema,
  words: besideWords,
});
/** Something of the sitting that is planned before or after the work under the cuff. */
export type PlannedBeside = z.infer<typeof plannedBesideSchema>;

/** All that is planned beside the cuff; those of one `when` are done in their order. */
export const sittingSchema = z.array(plannedBesideSchema).max(8, 'At most eight beside the cuff.');

/** @example besideText({ what: 'heavy-lift', words: 'back squat 3 × 5' }) //=> 'A heavy lift: back squat 3 × 5' */
export const besideText = ({ what, words }: { what: Beside; words: string }): string =>
  `${BESIDE_LABELS[what]}${words ? `: ${words}` : ''}`;

/** What of the sitting comes before or after the cuff, in its order. */
export const sittingPart = (
  sitting: readonly PlannedBeside[] | undefined,
  when: PlannedBeside['when'],
): PlannedBeside[] => (sitting ?? []).filter((one) => one.when === when);

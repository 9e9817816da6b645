import { z } from 'zod';
import { capital, list, type Message, msg } from '../message/message';

const adjunctSchema = z.enum([
  'mobility',
  'manual-work',
  'heavy-lift',
  'ice',
  'compression',
  'swelling',
  'provoking-test',
  'other',
]);
export type Adjunct = z.infer<typeof adjunctSchema>;
export const ADJUNCT_IDS = adjunctSchema.options;

/** What is done in one sitting without the cuff, next to the work under it, before, between or after it, within a sentence (rule PRO-4). */
export const ADJUNCT_NAMES: Record<Adjunct, Message> = {
  mobility: msg('mobility'),
  'manual-work': msg('manual work'),
  'heavy-lift': msg('a heavy lift'),
  ice: msg('ice'),
  compression: msg('compression'),
  swelling: msg('girth for swelling'),
  'provoking-test': msg('the provoking test'),
  other: msg('something else'),
};

const adjunctWords = z.string().trim().max(200, msg('At most 200 characters.'));

/** What was done, in words; a girth for swelling has its centimetres, a provoking test its pain, and their words say where or which. */
export const adjunctDone = {
  what: adjunctSchema,
  words: adjunctWords,
  girthCm: z
    .number(msg('Enter the girth.'))
    .min(10, msg('At least 10 cm.'))
    .max(120, msg('At most 120 cm.'))
    .optional(),
  /** Of a provoking test: the pain while it is done. */
  painOfTen: z
    .number(msg('Enter the pain, 0 to 10.'))
    .int(msg('Whole numbers only.'))
    .min(0, msg('At least 0.'))
    .max(10, msg('At most 10.'))
    .optional(),
};

export const plannedAdjunctSchema = z.object({
  when: z.enum(['before', 'after']),
  what: adjunctSchema,
  words: adjunctWords,
});
/** Something of the sitting that is planned before or after the work under the cuff. */
export type PlannedAdjunct = z.infer<typeof plannedAdjunctSchema>;

/** All planned adjuncts; those of one `when` are done in their order. */
export const sittingSchema = z.array(plannedAdjunctSchema).max(8, msg('At most eight adjuncts.'));

/** What was done, as it is within a sentence: its kind, and the words for it. */
export const adjunctName = ({ what, words }: { what: Adjunct; words: string }): Message =>
  words ? list([ADJUNCT_NAMES[what], words], ': ') : ADJUNCT_NAMES[what];

/** @example adjunctText({ what: 'heavy-lift', words: 'back squat 3 × 5' }) //=> "A heavy lift: back squat 3 × 5" */
export const adjunctText = (done: { what: Adjunct; words: string }): Message => capital(adjunctName(done));

/** What of the sitting comes before or after the cuff, in its order. */
export const sittingPart = (
  sitting: readonly PlannedAdjunct[] | undefined,
  when: PlannedAdjunct['when'],
): PlannedAdjunct[] => (sitting ?? []).filter((one) => one.when === when);

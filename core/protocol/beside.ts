import { z } from 'zod';
import { capital, list, type Message, msg } from '../message/message';

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

/** What is done in one sitting beside the work under the cuff, before, between or after it, within a sentence (rule PRO-4). */
export const BESIDE_NAMES: Record<Beside, Message> = {
  mobility: msg('mobility'),
  'manual-work': msg('manual work'),
  'heavy-lift': msg('a heavy lift'),
  ice: msg('ice'),
  compression: msg('compression'),
  swelling: msg('girth for swelling'),
  other: msg('something else'),
};

const besideWords = z.string().trim().max(200, msg('At most 200 characters.'));

/** What was done, in words; a girth for swelling has its centimetres, and its words say where the tape lay. */
export const besideDone = {
  what: besideSchema,
  words: besideWords,
  girthCm: z
    .number(msg('Enter the girth.'))
    .min(10, msg('At least 10 cm.'))
    .max(120, msg('At most 120 cm.'))
    .optional(),
};

export const plannedBesideSchema = z.object({
  when: z.enum(['before', 'after']),
  what: besideSchema,
  words: besideWords,
});
/** Something of the sitting that is planned before or after the work under the cuff. */
export type PlannedBeside = z.infer<typeof plannedBesideSchema>;

/** All that is planned beside the cuff; those of one `when` are done in their order. */
export const sittingSchema = z.array(plannedBesideSchema).max(8, msg('At most eight beside the cuff.'));

/** What was done, as it stands within a sentence: its kind, and the words for it. */
export const besideName = ({ what, words }: { what: Beside; words: string }): Message =>
  words ? list([BESIDE_NAMES[what], words], ': ') : BESIDE_NAMES[what];

/** @example besideText({ what: 'heavy-lift', words: 'back squat 3 × 5' }) //=> "A heavy lift: back squat 3 × 5" */
export const besideText = (done: { what: Beside; words: string }): Message => capital(besideName(done));

/** What of the sitting comes before or after the cuff, in its order. */
export const sittingPart = (
  sitting: readonly PlannedBeside[] | undefined,
  when: PlannedBeside['when'],
): PlannedBeside[] => (sitting ?? []).filter((one) => one.when === when);

import { z } from 'zod';
import { type Message, msg } from '../message/message';
import { messageSchema } from '../message/message-schema';
import { limbKindSchema, positionSchema } from '../quantity/limb';

/** Rungs of the rehabilitation ladder, lowest first (rule PRO-5). */
export const rungSchema = z.enum(['passive', 'isometric', 'unloaded', 'loaded', 'functional']);
export type Rung = z.infer<typeof rungSchema>;

/** Rungs a limb may be on: those of exercises, and the last, done with the cuff: heavy work without it. */
export const ladderRungSchema = z.enum([...rungSchema.options, 'done']);
export type LadderRung = z.infer<typeof ladderRungSchema>;

/** How high a rung is, from 0. */
export const rungHeight = (rung: LadderRung): number => ladderRungSchema.options.indexOf(rung);

/** What loads an exercise; a stack, dumbbells, a bar and ankle weights can be weighed, the others cannot. */
export const equipmentSchema = z.enum([
  'stack',
  'dumbbells',
  'bar',
  'ankle-weights',
  'bands',
  'body-weight',
  'machine',
  'none',
]);
export type Equipment = z.infer<typeof equipmentSchema>;

export const exerciseKindSchema = z.enum(['isolated', 'compound', 'functional', 'aerobic', 'passive']);

export const EXERCISE_KIND_NAMES: Record<z.infer<typeof exerciseKindSchema>, Message> = {
  isolated: msg('isolated'),
  compound: msg('compound'),
  functional: msg('functional'),
  aerobic: msg('aerobic'),
  passive: msg('passive'),
};

/** An exercise: what it works, which kind of limb wears the cuff, how it is done, and a one-line cue. */
export const exerciseSchema = z.object({
  /** Typed by the practice, or the message of a standard exercise. */
  label: z.union([
    z.string().trim().min(1, msg('Give it a name.')).max(60, msg('At most 60 characters.')),
    messageSchema,
  ]),
  /** Names a muscle of `MUSCLE_NAMES`, or several; a practice may type others. */
  muscle: z.string().trim().min(1, msg('Name the muscle group.')).max(60, msg('At most 60 characters.')),
  /** Joints that move; none for holds and passive work. */
  joints: z.array(z.string().trim().min(1).max(30)).readonly(),
  limbKind: limbKindSchema,
  position: positionSchema,
  kind: exerciseKindSchema,
  /** Done with one limb, with both at once, or either way. */
  sides: z.enum(['one', 'both', 'either']),
  equipment: equipmentSchema,
  rung: rungSchema,
  /** What its oxygen cost is worked out by, where that is known: by watts, on the level, or on a belt that tilts (chapter 6). */
  ergometry: z.enum(['cycling', 'walking', 'treadmill']).optional(),
  /** Done to the person, by a practitioner or a machine: chosen by hand, never drafted. */
  isManual: z.literal(true).optional(),
  /** Asks for balance or for much strength at once: not drafted in the first weeks, nor from 65 years on (rule PRO-6). */
  isDemanding: z.literal(true).optional(),
  /** Done in water, where nothing with a gauge or a tube goes (rule TIGHT). */
  inWater: z.literal(true).optional(),
  cue: z.union([
    z.string().trim().min(1, msg('Say in one line how to cue it.')).max(160, msg('At most 160 characters.')),
    messageSchema,
  ]),
});
export type Exercise = z.infer<typeof exerciseSchema>;

/**
 * The muscles a muscle group is made of, so that each is counted for itself (rule PRO-3).
 * @example musclesOf('quadriceps and buttock') //=> ['quadriceps', 'buttock']
 */
export const musclesOf = (group: string): string[] => group.split(/ and |, /);

const WEIGHED: readonly Equipment[] = ['stack', 'dumbbells', 'bar', 'ankle-weights'];

/** Whether a one-repetition maximum in kg makes sense for it (rule LOAD-1). */
export const isWeighed = ({ equipment }: Exercise): boolean => WEIGHED.includes(equipment);

/** Whether there is nothing of it without kilograms: a limb weighs something by itself, a stack or a bar does not (rule LOAD-5). */
export const needsKilograms = (exercise: Exercise): boolean =>
  isWeighed(exercise) && exercise.equipment !== 'ankle-weights';

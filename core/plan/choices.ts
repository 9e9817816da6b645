import { z } from 'zod';
import { setMs } from '../protocol/pace';
import { PROTOCOLS, type ProtocolId, protocolIdSchema, TEMPOS, tempoIdSchema } from '../protocol/protocols';
import { limbSchema, positionSchema } from '../quantity/limb';
import { schoolIdSchema } from '../rules/schools';
import { goalIdSchema } from './goals';

const restMs = z
  .number('Enter the rest in seconds.')
  .int()
  .min(0, 'A rest cannot be negative.')
  .max(600_000, 'A rest is at most 10 minutes.');
const percentOneRepMax = z
  .number('Enter a share of 1RM in %.')
  .min(1, 'At least 1 %.')
  .max(200, 'At most 200 %.');

/**
 * One set: repetitions at the pace, or work for a time; the rest after it, and whether the cuff is let down in it.
 * After the last set of an exercise the rest is the way to the next exercise.
 */
export const setChoiceSchema = z
  .object({
    reps: z.number('Enter repetitions.').int().min(0).max(100, 'At most 100 repetitions in a set.'),
    /** Length of timed work in ms; null for a set of repetitions. */
    workMs: z
      .number('Enter a time.')
      .int()
      .min(10_000, 'At least 10 s.')
      .max(1_800_000, 'At most 30 min.')
      .nullable(),
    restMs,
    release: z.boolean(),
    untilFailure: z.boolean(),
  })
  .refine(({ reps, workMs }) => reps > 0 || workMs !== null, {
    path: ['reps'],
    message: 'A set of nothing: enter at least one repetition, or a time.',
  });
export type SetChoice = z.infer<typeof setChoiceSchema>;

/** A limb under a cuff: the measured pressure it goes by and the share of it; or under a strap. */
export const limbChoiceSchema = z
  .object({
    limb: limbSchema,
    /** Empty for a strap. */
    occlusionId: z.string('Measure the limb first.'),
    /** 0 for a strap. */
    percentLop: z.number('Enter a share of LOP in %.').min(0).max(200, 'At most 200 %.'),
    /** A strap tightened by feel stands in for a measured cuff (rule TIGHT). */
    strapId: z.string().optional(),
  })
  .superRefine(({ occlusionId, percentLop, strapId }, context) => {
    if (strapId) return;
    if (occlusionId === '')
      context.addIssue({ code: 'custom', path: ['occlusionId'], message: 'Measure the limb first.' });
    if (percentLop < 1) context.addIssue({ code: 'custom', path: ['percentLop'], message: 'At least 1 %.' });
  });
export type LimbChoice = z.infer<typeof limbChoiceSchema>;

/** A load as a share of a tested 1RM made from kit, or a resistance without kilograms (rules LOAD-3, LOAD-4). */
export const loadChoiceSchema = z.discriminatedUnion('kind', [
  z.object({
    kind: z.literal('weighed'),
    strengthTestId: z.string('Record a strength test first.').min(1, 'Record a strength test first.'),
    weightKitId: z.string('Choose the weights.').min(1, 'Choose the weights.'),
    percentOneRepMax,
  }),
  z.object({ kind: z.literal('unweighed'), with: z.string().trim().min(1, 'Say what resists.').max(60) }),
]);
export type LoadChoice = z.infer<typeof loadChoiceSchema>;

export const exerciseChoiceSchema = z.object({
  exerciseId: z.string().min(1, 'Choose an exercise.'),
  position: positionSchema,
  limbs: z.array(limbChoiceSchema).min(1, 'Choose a limb.').max(2, 'At most two limbs at once (PRO-2).'),
  load: loadChoiceSchema,
  protocolId: protocolIdSchema,
  tempoId: tempoIdSchema,
  sets: z.array(setChoiceSchema).min(1, 'At least one set.').max(12, 'At most 12 sets.'),
  /** Begins with priming cycles (rule PRS-6). */
  primed: z.boolean(),
});
export type ExerciseChoice = z.infer<typeof exerciseChoiceSchema>;

/** All that is chosen for a session; with what is on record it makes the plan. */
export const sessionChoiceSchema = z.object({
  goal: goalIdSchema,
  schoolId: schoolIdSchema,
  exercises: z.array(exerciseChoiceSchema).min(1, 'Add an exercise.').max(8, 'At most 8 exercises.'),
});
export type SessionChoice = z.infer<typeof sessionChoiceSchema>;

/** Sets of a protocol, as an editable copy. @param afterMs rest to the next exercise, in ms, with the cuff down */
export function setsOf(protocolId: ProtocolId, restMs: number, afterMs: number): SetChoice[] {
  const { sets, inflation } = PROTOCOLS[protocolId];
  return sets.map((set, place) => {
    const last = place === sets.length - 1;
    return {
      reps: 'reps' in set ? set.reps : 0,
      workMs: 'workMs' in set ? set.workMs : null,
      untilFailure: 'reps' in set && set.untilFailure,
      restMs: last ? afterMs : restMs,
      release: last || inflation === 'release-each-rest',
    };
  });
}

/** How long the work of a set lasts at its pace, in ms. */
export const workMsOf = (
  { reps, workMs }: Pick<SetChoice, 'reps' | 'workMs'>,
  tempoId: ExerciseChoice['tempoId'],
): number => workMs ?? setMs(reps, TEMPOS[tempoId]);

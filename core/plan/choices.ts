import { z } from 'zod';
import { msg } from '../message/message';
import { primingSchema } from '../pressure/priming';
import { sittingSchema } from '../protocol/adjunct';
import { PROTOCOLS } from '../protocol/data/protocols';
import { intensitySchema } from '../protocol/intensity';
import { type ProtocolId, protocolIdSchema } from '../protocol/protocols';
import { schoolIdSchema } from '../protocol/schools';
import { setWorkSchema } from '../protocol/set-work';
import { tempoIdSchema } from '../protocol/tempo';
import { type Limb, limbSchema, positionSchema } from '../quantity/limb';
import { goalIdSchema } from './goals';
import { deloadSchema, movementsSchema } from './movement';
import { isEachOnce, rungsSchema } from './rungs';

const restMs = z
  .number(msg('Enter the rest in seconds.'))
  .int()
  .min(0, msg('A rest cannot be negative.'))
  .max(600_000, msg('A rest is at most 10 minutes.'));
const percentOneRepMax = z
  .number(msg('Enter a share of 1RM in %.'))
  .min(1, msg('At least 1 %.'))
  .max(200, msg('At most 200 %.'));

/**
 * One set: what is done in it; the rest after it, and whether the cuff is deflated in that.
 * After the last set of an exercise the rest is the way to the next exercise.
 */
export const setChoiceSchema = z.object({
  work: setWorkSchema,
  restMs,
  release: z.boolean(),
  /** Share of the target it is done at, in %; not there at the target itself (rule PRS-9). */
  ofTarget: z
    .number(msg('Enter a share of the target in %.'))
    .min(10, msg('At least 10 % of the target.'))
    .max(100, msg('Never above the target.'))
    .optional(),
});
export type SetChoice = z.infer<typeof setChoiceSchema>;

/**
 * A limb under a cuff: the measured pressure it goes by and the share of it; a pressure without a measured LOP (rule PRS-7);
 * or under a strap by feel (rule TIGHT).
 */
export const limbChoiceSchema = z.discriminatedUnion('kind', [
  z.object({
    kind: z.literal('measured'),
    limb: limbSchema,
    occlusionId: z.string(msg('Measure the limb first.')).min(1, msg('Measure the limb first.')),
    percentLop: z
      .number(msg('Enter a share of LOP in %.'))
      .min(1, msg('At least 1 %.'))
      .max(200, msg('At most 200 %.')),
  }),
  z.object({
    kind: z.literal('arbitrary'),
    limb: limbSchema,
    cuffId: z.string(msg('Choose the cuff.')).min(1, msg('Choose the cuff.')),
    pressureMmHg: z
      .number(msg('Enter a pressure in mmHg.'))
      .min(10, msg('At least 10 mmHg.'))
      .max(300, msg('At most 300 mmHg.')),
  }),
  z.object({
    kind: z.literal('by-feel'),
    limb: limbSchema,
    strapId: z.string().min(1, msg('Choose the strap.')),
    /** The mark it is tightened to; not there where it goes by what last felt right. */
    mark: z.number(msg('Enter the mark.')).min(0).max(100).optional(),
  }),
]);
export type LimbChoice = z.infer<typeof limbChoiceSchema>;
export type MeasuredChoice = Extract<LimbChoice, { kind: 'measured' }>;
export type ArbitraryChoice = Extract<LimbChoice, { kind: 'arbitrary' }>;
export type FeltChoice = Extract<LimbChoice, { kind: 'by-feel' }>;

/** A load as a share of a tested 1RM made from kit, or a resistance without kilograms (rules LOAD-3, LOAD-4). */
export const loadChoiceSchema = z.discriminatedUnion('kind', [
  z.object({
    kind: z.literal('weighed'),
    strengthTestId: z
      .string(msg('Record a strength test first.'))
      .min(1, msg('Record a strength test first.')),
    weightKitId: z.string(msg('Choose the weights.')).min(1, msg('Choose the weights.')),
    percentOneRepMax,
  }),
  z.object({
    kind: z.literal('unweighed'),
    with: z.string().trim().min(1, msg('Say what resists.')).max(60),
  }),
]);
export type LoadChoice = z.infer<typeof loadChoiceSchema>;

export const exerciseChoiceSchema = z.object({
  exerciseId: z.string().min(1, msg('Choose an exercise.')),
  position: positionSchema,
  limbs: z
    .array(limbChoiceSchema)
    .min(1, msg('Choose a limb.'))
    .max(2, msg('At most two limbs at once (PRO-2).')),
  load: loadChoiceSchema,
  protocolId: protocolIdSchema,
  tempoId: tempoIdSchema,
  sets: z.array(setChoiceSchema).min(1, msg('At least one set.')).max(12, msg('At most 12 sets.')),
  /** Begins with priming cycles (rule PRS-6). */
  primed: z.boolean(),
  /** How, where it is not as usual. */
  priming: primingSchema.optional(),
  /** How hard aerobic work is; not there for other work, and where not said (chapter 6). */
  intensity: intensitySchema.optional(),
  /** Alternates, set by set, with the exercise before it; not there where it waits until that is through. */
  alternates: z.literal(true).optional(),
  /** How its figures move from session to session; not there where they are steady (rule CRS-1). */
  movements: movementsSchema.optional(),
});
export type ExerciseChoice = z.infer<typeof exerciseChoiceSchema>;

const exerciseChoicesSchema = z
  .array(exerciseChoiceSchema)
  .min(1, msg('Add an exercise.'))
  .max(8, msg('At most 8 exercises.'));

/** All that is chosen for a session; with what is on record it makes the plan. */
export const sessionChoiceSchema = z.object({
  goal: goalIdSchema,
  schoolId: schoolIdSchema,
  exercises: exerciseChoicesSchema,
  /** The work of the other rungs of a limb's ladder; not there where the plan knows no rungs (rule PRO-5). */
  rungs: rungsSchema(exerciseChoicesSchema).refine(isEachOnce, msg('Each rung is there once.')).optional(),
  /** What belongs to the sitting before and after the cuff; not there where that is nothing. */
  sitting: sittingSchema.optional(),
  /** Weeks with fewer sets; not there where there are none (rule CRS-5). */
  deload: deloadSchema.optional(),
  /** The id of the place where it is done; not there where that is open. */
  place: z.string().min(1).max(80).optional(),
});
export type SessionChoice = z.infer<typeof sessionChoiceSchema>;

/** Sets of a protocol, as an editable copy. @param afterMs rest to the next exercise, in ms, with the cuff down */
export function setsOf(protocolId: ProtocolId, restMs: number, afterMs: number): SetChoice[] {
  const { sets, inflation, ofTarget } = PROTOCOLS[protocolId];
  return sets.map((work, place) => {
    const last = place === sets.length - 1;
    return {
      work,
      restMs: last ? afterMs : restMs,
      release: last || inflation === 'release-each-rest',
      ...atShare(ofTarget?.[place]),
    };
  });
}

/** A share of the target as a set keeps it: at the target itself there is none. */
export const atShare = (ofTarget: number | undefined): Pick<SetChoice, 'ofTarget'> =>
  ofTarget === undefined || ofTarget === 100 ? {} : { ofTarget };

/** The limbs of a choice that go by a measured pressure. */
export const measuredChoices = ({ limbs }: Pick<ExerciseChoice, 'limbs'>): MeasuredChoice[] =>
  limbs.filter((limb) => limb.kind === 'measured');

/** One pressure on every limb without a measured LOP. */
export const withArbitraryMmHg = (limbs: readonly LimbChoice[], pressureMmHg: number): LimbChoice[] =>
  limbs.map((limb) => (limb.kind === 'arbitrary' ? { ...limb, pressureMmHg } : limb));

/** At most so much on every limb without a measured LOP: one that has less keeps it. */
export const atMostArbitraryMmHg = (limbs: readonly LimbChoice[], mostMmHg: number): LimbChoice[] =>
  limbs.map((limb) =>
    limb.kind === 'arbitrary' ? { ...limb, pressureMmHg: Math.min(limb.pressureMmHg, mostMmHg) } : limb,
  );

/** One share of LOP on every measured limb. */
export const withPercentLop = (limbs: readonly LimbChoice[], percentLop: number): LimbChoice[] =>
  changePercentLop(limbs, () => percentLop);

/** Another share of LOP on each measured limb, worked out from its own: limbs of one exercise need not be alike. */
export const changePercentLop = (
  limbs: readonly LimbChoice[],
  change: (percentLop: number, limb: Limb) => number,
): LimbChoice[] =>
  limbs.map((limb) =>
    limb.kind === 'measured' ? { ...limb, percentLop: change(limb.percentLop, limb.limb) } : limb,
  );

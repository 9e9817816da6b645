import { z } from 'zod';
import { derivedSchema } from '../../derivation/derived-schema';
import { textSchema } from '../../message/message-schema';
import { primingSchema } from '../../pressure/priming';
import { sittingSchema } from '../../protocol/adjunct';
import { rungSchema } from '../../protocol/exercise';
import { intensitySchema } from '../../protocol/intensity';
import { protocolIdSchema } from '../../protocol/protocols';
import { schoolIdSchema } from '../../protocol/schools';
import { setWorkSchema } from '../../protocol/set-work';
import { tempoIdSchema } from '../../protocol/tempo';
import { workModeSchema } from '../../protocol/work-mode';
import { limbSchema, positionSchema } from '../../quantity/limb';
import { sideSchema } from '../../strength/side';
import { compile } from '../compile';
import { EXERCISE_FIGURES, LIMB_FIGURES } from '../figure-ids';
import { goalIdSchema } from '../goals';
import { lighterSchema } from '../lighter-schema';
import { deloadSchema, movementsSchema } from '../movement';
import { PLAN_VERSION } from '../plan';
import { isEachOnce, rungsSchema } from '../rungs';
import { readPlan } from './read-plan';

const words = z.string().max(400);
const ms = z.number().min(0).max(86_400_000);
const mmHg = z.number().min(0).max(400);
const percent = z.number().min(0).max(400);

const limbTargetSchema = z.discriminatedUnion('kind', [
  z.object({
    kind: z.literal('measured'),
    limb: limbSchema,
    occlusionId: words,
    cuffId: words,
    cuffLabel: words,
    occlusion: derivedSchema,
    uncertaintyMmHg: mmHg,
    divisionMmHg: mmHg,
    measuredPosition: positionSchema,
    percentLop: percent,
    pressure: derivedSchema,
    trueRange: derivedSchema,
    primingMmHg: z.array(mmHg).max(20),
  }),
  z.object({
    kind: z.literal('arbitrary'),
    limb: limbSchema,
    cuffId: words,
    cuffLabel: words,
    divisionMmHg: mmHg,
    pressure: derivedSchema,
    primingMmHg: z.array(mmHg).max(20),
  }),
  z.object({
    kind: z.literal('by-feel'),
    limb: limbSchema,
    strapId: words,
    strapLabel: words,
    mark: z.number(),
    primingMarks: z.array(z.number().min(0).max(100)).max(20).optional(),
    counts: z.enum(['turns', 'squeezes']).optional(),
    tension: words.optional(),
    felt: z.number().min(0).max(10),
    isMarkChosen: z.literal(true).optional(),
  }),
]);

const estimateSchema = z.object({
  watts: derivedSchema.optional(),
  speed: z.object({ kmPerHour: derivedSchema, gradientPercent: z.number().min(-30).max(40) }).optional(),
  zone: z.object({ lowPerMinute: derivedSchema, highPerMinute: derivedSchema }).optional(),
  percentVo2max: derivedSchema.optional(),
});

const loadSchema = z.discriminatedUnion('kind', [
  z.object({
    kind: z.literal('weighed'),
    load: derivedSchema,
    recipe: textSchema,
    truePercent: percent,
    testId: words,
    testedSide: sideSchema,
    oneRepMax: derivedSchema,
    percentOneRepMax: percent,
    weightKitId: words.nullable(),
  }),
  z.object({ kind: z.literal('unweighed'), recipe: textSchema, with: words.optional() }),
]);

const moveSchema = z.object({
  exerciseIndex: z.number().int().min(0).max(20),
  figure: z.enum([...LIMB_FIGURES, ...EXERCISE_FIGURES]),
  limb: limbSchema.optional(),
  from: z.number(),
  to: z.number(),
  why: textSchema,
  heldBy: textSchema.optional(),
});

const plannedExercisesSchema = z
  .array(
    z.object({
      exerciseId: words.min(1),
      label: textSchema,
      cue: textSchema,
      position: positionSchema,
      mode: workModeSchema,
      limbs: z.array(limbTargetSchema).min(1).max(4),
      load: loadSchema,
      protocolId: protocolIdSchema,
      protocolLabel: textSchema,
      sets: z
        .array(
          z.object({
            work: setWorkSchema,
            lastsMs: ms,
            restMs: ms,
            release: z.boolean(),
            ofTarget: percent.optional(),
          }),
        )
        .min(1)
        .max(40),
      intensity: intensitySchema.optional(),
      estimate: estimateSchema.optional(),
      priming: primingSchema.optional(),
      reinflateLeadMs: ms,
      tempoId: tempoIdSchema,
      tempo: z.object({ upMs: ms, holdMs: ms, downMs: ms }),
      alternates: z.literal(true).optional(),
      movements: movementsSchema.optional(),
    }),
  )
  .min(1)
  .max(20);

/** A plan in the shape of now, as it is found outside the practice's own database: in an archive, or in a session's file. */
const planSchema = z.object({
  version: z.literal(PLAN_VERSION),
  goal: goalIdSchema,
  schoolId: schoolIdSchema,
  exercises: plannedExercisesSchema,
  rungs: rungsSchema(plannedExercisesSchema).extend({ signedOn: rungSchema }).refine(isEachOnce).optional(),
  sitting: sittingSchema.optional(),
  today: lighterSchema.optional(),
  deload: deloadSchema.optional(),
  course: z
    .object({
      moves: z.array(moveSchema).max(80),
      keptBack: z.literal(true).optional(),
      deloadPercent: percent.optional(),
    })
    .optional(),
});

/** Whether a value is a plan, of whichever version, that can be shown, run and reviewed. */
export function isPlan(stored: unknown): boolean {
  try {
    const plan = readPlan(stored);
    compile(plan);
    return planSchema.safeParse(plan).success;
  } catch {
    return false;
  }
}

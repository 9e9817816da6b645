import { z } from 'zod';
import { type Message, msg, type Text } from '../message/message';
import type { Plan } from '../plan/plan';
import type { WorkMode } from '../protocol/work-mode';
import { weekdaySchema, weekdaysText } from '../quantity/days';
import { LIMB_LABELS, type Limb, limbKind } from '../quantity/limb';

/** When a plan is for. */
export const occasionSchema = z.discriminatedUnion('kind', [
  z.object({
    kind: z.literal('weekdays'),
    weekdays: z.array(weekdaySchema).min(1, msg('Choose at least one weekday.')).max(7),
  }),
  z.object({
    kind: z.literal('daily'),
    times: z
      .number(msg('Enter how often a day.'))
      .int()
      .min(1, msg('At least once a day.'))
      .max(6, msg('At most six times a day.')),
  }),
  z.object({ kind: z.literal('after-heavy') }),
  z.object({ kind: z.literal('any-day') }),
]);
export type Occasion = z.infer<typeof occasionSchema>;

export const planNameSchema = z
  .string()
  .trim()
  .min(1, msg('Give the plan a name.'))
  .max(60, msg('At most 60 characters.'));

/**
 * What a plan of a course is called, when it is for, and until when; null where it is open. Without a name of its own it is called
 * after what it trains now.
 */
export const coursePlanChoiceSchema = z.object({
  name: planNameSchema.nullable(),
  occasion: occasionSchema,
  untilMs: z.number().int().nullable(),
});
export type CoursePlanChoice = z.infer<typeof coursePlanChoiceSchema>;

export const coursePlanStateSchema = z.enum(['in-force', 'paused', 'ended']);
export type CoursePlanState = z.infer<typeof coursePlanStateSchema>;

/** One of the plans of a person; its newest signed version counts. */
export type CoursePlan = Omit<CoursePlanChoice, 'name'> & {
  id: string;
  state: CoursePlanState;
  /** Its own, or after what it trains now. */
  name: Text;
  /** Its own alone. */
  ownName: string | null;
};

/**
 * When a plan is for, in words.
 * @example occasionWords({ kind: 'weekdays', weekdays: [0, 3] }) //=> 'Mon, Thu'
 * @example occasionWords({ kind: 'daily', times: 2 }) //=> 'twice a day'
 */
export function occasionWords(occasion: Occasion): Message {
  switch (occasion.kind) {
    case 'weekdays':
      return weekdaysText([...occasion.weekdays].sort());
    case 'daily':
      return msg('{times, plural, =1 {once a day} =2 {twice a day} other {# times a day}}', {
        times: occasion.times,
      });
    case 'after-heavy':
      return msg('after heavy work');
    case 'any-day':
      return msg('any day');
  }
}

/**
 * What a plan may be called where it was not named: its limbs, and that it is passive or cycles of the cuff.
 * @example nameOf(plan) //=> 'Left thigh, passive'
 */
export function nameOf({ exercises }: Pick<Plan, 'exercises'>): Message {
  const limbs = [...new Set(exercises.flatMap((exercise) => exercise.limbs.map(({ limb }) => limb)))];
  const every = (wanted: WorkMode) => exercises.every(({ mode }) => mode === wanted);
  const name = limbsName(limbs);
  if (every('passive')) return msg('{limbs}, passive', { limbs: name });
  return every('preparation') ? msg('{limbs}, cycles', { limbs: name }) : name;
}

/** What a set of limbs is called. @example limbsName(['left-thigh', 'right-thigh']) //=> 'Legs' */
export function limbsName(limbs: readonly Limb[]): Message {
  const [only, ...others] = limbs;
  if (!only) return msg('Plan');
  if (others.length === 0) return LIMB_LABELS[only];
  const kinds = new Set(limbs.map(limbKind));
  if (kinds.size > 1) return msg('Legs and arms');
  return kinds.has('leg') ? msg('Legs') : msg('Arms');
}

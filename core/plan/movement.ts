import { z } from 'zod';
import { type Message, msg } from '../message/message';
import { RULES } from '../rules/catalogue';
import {
  EXERCISE_FIGURES,
  FIGURE_KINDS,
  type FigureId,
  type FigureKind,
  figureWords,
  LIMB_FIGURES,
  MOST_A_WEEK,
} from './figure-ids';

const to = z.number(msg('Enter up to where.')).positive(msg('Above 0.')).max(1_000);
const anyFigure = z.enum([...LIMB_FIGURES, ...EXERCISE_FIGURES]);

/**
 * How one figure of an exercise moves from session to session, and up to where (rule CRS-1). The bound is signed with it; a
 * figure without a movement is steady.
 */
export const movementSchema = z.discriminatedUnion('by', [
  /** The newcomer's ramp, or without a LOP the one in mmHg (rule PRS-4). */
  z.object({ by: z.literal('ramp'), figure: z.enum(['percent-lop', 'mmHg']), to }),
  /** After an operation, each day (rule PRS-4). */
  z.object({ by: z.literal('re-entry'), figure: z.literal('percent-lop'), to }),
  z.object({
    by: z.literal('week'),
    figure: anyFigure,
    step: z.number(msg('Enter by how much a week.')).positive(msg('Above 0.')),
    to,
  }),
  /** As its review says (rule REV). */
  z.object({ by: z.literal('review'), figure: z.enum(['percent-lop', 'percent-1rm']), to }),
]);
export type Movement = z.infer<typeof movementSchema>;

/** The movements of an exercise: at most one of its pressure, its load and its volume. */
export const movementsSchema = z
  .array(
    movementSchema.refine(
      (movement) => movement.by !== 'week' || movement.step <= MOST_A_WEEK[movement.figure],
      msg('That is too much for a week.'),
    ),
  )
  .max(3)
  .refine(
    (movements) => new Set(movements.map(({ figure }) => FIGURE_KINDS[figure])).size === movements.length,
    { message: msg('Each of pressure, load and volume moves in one way.').message },
  );

/** Weeks with a share of the sets: every so many weeks that are trained (rules CRS-5, PRO-4). */
export const deloadSchema = z.object({
  everyWeeks: z.number().int().min(3, msg('At least every third week.')).max(12),
  setsPercent: z
    .number(msg('Enter a share of the sets in %.'))
    .int()
    .min(20, msg('At least 20 % of the sets.'))
    .max(80, msg('At most 80 %: more is no deload.')),
});
export type Deload = z.infer<typeof deloadSchema>;

const { pointsPerWeek, reEntryMmHg, withoutLopMmHg } = RULES['PRS-4'].figures;

/** By what a movement goes, in words. @example byWords({ by: 'ramp', figure: 'percent-lop', to: 60 }) //=> 'ramp, +5 points a week' */
export function byWords(movement: Movement): Message {
  switch (movement.by) {
    case 'ramp':
      return movement.figure === 'mmHg'
        ? msg('ramp, +{aWeek} mmHg a week', { aWeek: withoutLopMmHg.aWeek })
        : msg('ramp, +{pointsPerWeek} points a week', { pointsPerWeek });
    case 're-entry':
      return msg('re-entry, +{aDay} mmHg a day', { aDay: reEntryMmHg.aDay });
    case 'week':
      return msg('+{step} a week', { step: stepWords(movement.figure, movement.step) });
    case 'review':
      return msg('by the review');
  }
}

/** A step of a figure, in words. @example stepWords('percent-lop', 5) //=> '5 points' */
export const stepWords = (figure: FigureId, step: number): Message =>
  figure === 'percent-lop' || figure === 'percent-1rm'
    ? msg('{step, plural, one {# point} other {# points}}', { step })
    : figure === 'mark'
      ? msg('{step, plural, one {# mark} other {# marks}}', { step })
      : figure === 'beats'
        ? msg('{step} beats', { step })
        : figureWords(figure, step);

/** The movement of one kind of figure; undefined where that is steady. */
export const movementOf = (
  { movements }: { movements?: readonly Movement[] | undefined },
  kind: FigureKind,
): Movement | undefined => movements?.find(({ figure }) => FIGURE_KINDS[figure] === kind);

import { z } from 'zod';
import { type LadderRung, type Rung, rungHeight, rungSchema } from '../protocol/exercise';
import { type Limb, limbSchema } from '../quantity/limb';

/**
 * The rungs that a plan is signed for: the one its exercises belong to, and the exercises of each other (rules PRO-5, CRS-1).
 * What is done on a day is the work of the rung that the limb is on.
 */
export type Rungs<Exercise> = {
  limb: Limb;
  rung: Rung;
  others: { rung: Rung; exercises: Exercise[] }[];
};

/** @param exercises of a rung @returns the schema of rungs whose exercises are of that kind */
export const rungsSchema = <Exercise>(exercises: z.ZodType<Exercise[]>) =>
  z.object({
    limb: limbSchema,
    rung: rungSchema,
    others: z.array(z.object({ rung: rungSchema, exercises })).max(rungSchema.options.length - 1),
  });

/** Whether each rung is there once. */
export const isEachOnce = ({ rung, others }: Pick<Rungs<unknown>, 'rung' | 'others'>): boolean =>
  new Set([rung, ...others.map((one) => one.rung)]).size === others.length + 1;

type OnRungs<Exercise> = { exercises: Exercise[]; rungs?: Rungs<Exercise> | undefined };

/**
 * A plan, or the choices of one, with the exercises of the rung that its limb is on: of the highest that it names at or under it,
 * so that nothing above the limb's rung is done. As it is where it names none of those.
 */
export function onRung<Exercise, Of extends OnRungs<Exercise>>(
  of: Of & OnRungs<Exercise>,
  rung: LadderRung,
): Of {
  const { rungs, exercises } = of;
  if (!rungs) return of;
  const named = [{ rung: rungs.rung, exercises }, ...rungs.others];
  const [now] = named
    .filter((one) => rungHeight(one.rung) <= rungHeight(rung))
    .sort((a, b) => rungHeight(b.rung) - rungHeight(a.rung));
  if (!now || now.rung === rungs.rung) return of;
  const others = named.filter((one) => one !== now).sort((a, b) => rungHeight(a.rung) - rungHeight(b.rung));
  return { ...of, exercises: now.exercises, rungs: { ...rungs, rung: now.rung, others } };
}

/** The exercises of one rung; none where it is not named. */
export const workOn = <Exercise>({ exercises, rungs }: OnRungs<Exercise>, rung: Rung): Exercise[] =>
  rung === rungs?.rung ? exercises : (rungs?.others.find((one) => one.rung === rung)?.exercises ?? []);

/** The exercises of a plan, or of its choices, on whichever rung. */
export const onEveryRung = <Exercise>({ exercises, rungs }: OnRungs<Exercise>): Exercise[] => [
  ...exercises,
  ...(rungs?.others ?? []).flatMap((other) => other.exercises),
];

/** The same with each exercise changed, on every rung. */
export const changeEveryRung = <Exercise, Of extends OnRungs<Exercise>>(
  of: Of & OnRungs<Exercise>,
  change: (exercise: Exercise) => Exercise,
): Of => ({
  ...of,
  exercises: of.exercises.map(change),
  ...(of.rungs
    ? {
        rungs: {
          ...of.rungs,
          others: of.rungs.others.map((other) => ({ ...other, exercises: other.exercises.map(change) })),
        },
      }
    : {}),
});

/** The work of one day: without the rungs that it is not on. */
export const ofOneRung = <Exercise, Of extends OnRungs<Exercise>>(of: Of & OnRungs<Exercise>): Of =>
  of.rungs ? { ...of, rungs: { ...of.rungs, others: [] } } : of;

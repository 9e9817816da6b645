import { compile } from '../plan/compile';
import { doseOf } from '../plan/dose';
import type { Plan } from '../plan/plan';
import { libraryOf } from '../protocol/exercises';
import { musclesWorked } from '../protocol/muscles';
import { type Day, dayAt } from '../quantity/days';
import { RULES } from '../rules/catalogue';
import type { ClientFacts } from './facts';

/** What sessions under a cuff come to against the heavy work of a usual week, load times repetitions (rule PRO-4). */
export type HeavyShare = {
  kgReps: number;
  /** Of a week, in the mean of those before that had any. */
  heavyKgReps: number;
  percent: number;
  isOverMost: boolean;
};

const { mostPercentOfHeavy, meanOfWeeks } = RULES['PRO-4'].figures;

/**
 * The share of a usual week's heavy volume that some sessions stand in for: of the heavy work of the four weeks before a day, what
 * works a muscle that they work too (rule PRO-4). Null where there was none, or they lift nothing in kg.
 * @example two sessions of 1,200 kg·reps after weeks of 6,000 //=> percent: 40
 */
export function heavyShare(
  sessions: readonly Plan[],
  { heavyWork, ownExercises, zoneOffsetMs }: Pick<ClientFacts, 'heavyWork' | 'ownExercises' | 'zoneOffsetMs'>,
  beforeDay: Day,
): HeavyShare | null {
  const library = libraryOf(ownExercises);
  const muscles = new Set(
    sessions.flatMap(({ exercises }) =>
      exercises.flatMap(({ exerciseId }) => musclesWorked(exerciseId, library)),
    ),
  );
  const work = heavyWork.flatMap(({ atMs, exerciseId, sets, reps, loadKg }) => {
    const daysBefore = beforeDay - dayAt(atMs, zoneOffsetMs);
    const isOwn = musclesWorked(exerciseId, library).some((muscle) => muscles.has(muscle));
    return isOwn && daysBefore > 0 && daysBefore <= 7 * meanOfWeeks
      ? [{ week: Math.ceil(daysBefore / 7), kgReps: sets * reps * loadKg }]
      : [];
  });
  const kgReps = sessions.reduce((sum, plan) => sum + doseOf(compile(plan)).volumeKgReps, 0);
  const weeks = new Set(work.map(({ week }) => week)).size;
  if (weeks === 0 || kgReps === 0) return null;
  const heavyKgReps = work.reduce((sum, one) => sum + one.kgReps, 0) / weeks;
  const percent = Math.round((100 * kgReps) / heavyKgReps);
  return { kgReps, heavyKgReps, percent, isOverMost: percent > mostPercentOfHeavy };
}

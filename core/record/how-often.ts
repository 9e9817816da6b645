import type { Finding } from '../findings/finding';
import { msg } from '../message/message';
import type { Basis, SessionDone } from '../plan/basis';
import type { Plan, PlannedExercise } from '../plan/plan';
import { muscleKeys, muscleOf } from '../protocol/muscles';
import { trains } from '../protocol/work-mode';
import { limbKind } from '../quantity/limb';
import { MS_PER_DAY } from '../quantity/units';
import { RULES } from '../rules/catalogue';

const { mostPerWeek: MOST_PER_WEEK, apartDays: APART_DAYS } = RULES['PRO-3'].figures;

/**
 * How often the same limbs and muscles were trained, from opening to opening in rolling days; exactly a day or a week is
 * free, and passive work does not count (rule PRO-3).
 */
export function checkHowOften(plan: Plan, basis: Basis): Finding[] {
  const moved = plan.exercises.filter(trains);
  const within = (days: number) =>
    basis.done.filter(({ atMs }) => basis.nowMs - atMs < days * MS_PER_DAY && atMs <= basis.nowMs);
  return [...checkDay(moved, within(APART_DAYS)), ...checkWeek(moved, within(7), basis)];
}

function checkDay(moved: readonly PlannedExercise[], done: readonly SessionDone[]): Finding[] {
  const kind = moved
    .flatMap(({ limbs }) => limbs.map(({ limb }) => limbKind(limb)))
    .find((wanted) => done.some(({ kinds }) => kinds.includes(wanted)));
  if (!kind) return [];
  return [
    {
      rule: 'PRO-3',
      level: 'guard',
      subject: 'howOften',
      message: msg('The {kind} were trained less than 24 h ago.', {
        kind: kind === 'arm' ? msg('arms') : msg('legs'),
      }),
      remedy: msg('Wait for the day to be over, or have a clinician give the reason.'),
    },
  ];
}

function checkWeek(
  moved: readonly PlannedExercise[],
  done: readonly SessionDone[],
  { library }: Basis,
): Finding[] {
  const trained = done.map(
    ({ worked }) =>
      new Set(
        worked.filter(trains).flatMap(({ exerciseId, limbs }) => muscleKeys(exerciseId, limbs, library)),
      ),
  );
  const over = moved
    .flatMap(({ exerciseId, limbs }) =>
      muscleKeys(
        exerciseId,
        limbs.map(({ limb }) => limb),
        library,
      ),
    )
    .find((key) => trained.filter((keys) => keys.has(key)).length >= MOST_PER_WEEK);
  if (!over) return [];
  return [
    {
      rule: 'PRO-3',
      level: 'guard',
      subject: 'howOften',
      message: msg('The {muscle} was trained {times} times in the last seven days already.', {
        muscle: muscleOf(over),
        times: MOST_PER_WEEK,
      }),
      remedy: msg('Wait, or have a clinician give the reason.'),
    },
  ];
}

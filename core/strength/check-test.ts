import type { Finding } from '../findings/finding';
import { msg } from '../message/message';
import type { Exercise } from '../protocol/exercise';
import { mayTestSingle } from '../protocol/teaching';
import { LIMB_LABELS, type Limb, limbKind, limbSide } from '../quantity/limb';
import type { Side } from './side';

/**
 * Whether a strength test may be done: not on a limb that was operated on in the last 12 weeks, unless a clinician says why
 * (rule LOAD-2); not by a single heaviest repetition of small joints and loose positions (rule LOAD-1).
 * @param id of the exercise, which says how it is taught
 * @param reps null while not said
 * @param operated limbs with an operation that still counts
 * @example knee extension on the left, left thigh operated //=> one guard
 */
export const checkTest = (
  id: string,
  exercise: Exercise,
  { side, reps }: { side: Side; reps: number | null },
  operated: readonly Limb[],
): Finding[] => [...checkSide(exercise, side, operated), ...checkReps(id, exercise, reps)];

function checkSide({ limbKind: kind }: Exercise, side: Side, operated: readonly Limb[]): Finding[] {
  const limb = operated.find((one) => limbKind(one) === kind && (side === 'both' || limbSide(one) === side));
  if (!limb) return [];
  return [
    {
      rule: 'LOAD-2',
      level: 'guard',
      subject: 'side',
      message: msg('{limb} was operated on in the last 12 weeks: it is not tested.', {
        limb: LIMB_LABELS[limb],
      }),
      remedy: msg('Test the other side, which stands in with a mark, or have a clinician give the reason.'),
    },
  ];
}

function checkReps(id: string, exercise: Exercise, reps: number | null): Finding[] {
  if (reps === null || reps > 1 || mayTestSingle(id, exercise)) return [];
  return [
    {
      rule: 'LOAD-1',
      level: 'hard',
      subject: 'reps',
      message: msg('{exercise} is not tested by a single heaviest repetition.', { exercise: exercise.label }),
      remedy: msg('Take a lighter load, and 3 to 10 repetitions to failure.'),
    },
  ];
}

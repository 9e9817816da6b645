import type { Finding } from '../findings/finding';
import { LIMB_LABELS, type Limb, type LimbKind, limbKind, limbSide } from '../quantity/limb';
import type { Side } from './side';

/**
 * Whether a strength test may be done: not on a limb that was operated on in the last 12 weeks, unless a clinician says why
 * (rule LOAD-2).
 * @param operated limbs with an operation that still counts
 * @example knee extension on the left, left thigh operated //=> one guard
 */
export function checkTestedSide(kind: LimbKind, side: Side, operated: readonly Limb[]): Finding[] {
  const limb = operated.find((one) => limbKind(one) === kind && (side === 'both' || limbSide(one) === side));
  if (!limb) return [];
  return [
    {
      rule: 'LOAD-2',
      level: 'guard',
      subject: 'side',
      message: `${LIMB_LABELS[limb]} was operated on in the last 12 weeks: it is not tested.`,
      remedy: 'Test the other side, which stands in with a mark, or have a clinician give the reason.',
    },
  ];
}

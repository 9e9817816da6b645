import type { WeightKit } from '../load/weight-kit';
import { list, type Message, mass, msg, only } from '../message/message';
import type { Movement } from '../plan/movement';
import type { PlannedExercise } from '../plan/plan';
import { isMeasured } from '../plan/target';
import { shareMmHg } from '../pressure/target-pressure';
import { liftedWith, madeKg } from './lifted';

/**
 * What a bound comes to on what was measured and tested: a share of LOP in mmHg, limb by limb, a share of 1RM in the kilograms that the
 * kit makes of it; null where it is not a share (rule CRS-1).
 * @example 60 % of 174 mmHg //=> '104 mmHg'
 */
export function comesTo(
  { figure, to }: Pick<Movement, 'figure' | 'to'>,
  { limbs, load }: Pick<PlannedExercise, 'limbs' | 'load'>,
  kits: readonly WeightKit[],
): Message | null {
  if (figure === 'percent-lop') {
    const pressures = limbs
      .filter(isMeasured)
      .map(({ occlusion, divisionMmHg }) => shareMmHg(occlusion.value, to, divisionMmHg));
    return pressures.length === 0
      ? null
      : msg('{pressures} mmHg', { pressures: list([...new Set(pressures)], '/') });
  }
  const lifted = figure === 'percent-1rm' ? liftedWith(load, kits) : null;
  return lifted && only(mass(madeKg(to, lifted)));
}

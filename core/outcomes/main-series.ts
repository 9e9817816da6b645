import type { Plan } from '../plan/plan';
import type { Limb } from '../quantity/limb';
import { isAside, type Series } from './series';

/** The limbs that plans train. */
export const trainedLimbs = (prescriptions: readonly { plan: Plan }[]): Limb[] =>
  prescriptions.flatMap(({ plan }) => plan.exercises.flatMap(({ limbs }) => limbs.map(({ limb }) => limb)));

/** The measure that counts: a verdict that can be given and says something, of a limb that is trained, of what was taken most. */
export const mainSeries = (series: readonly Series[], trained: readonly Limb[]): Series | undefined =>
  [...series].sort(
    (a, b) =>
      Number(b.verdict !== null) - Number(a.verdict !== null) ||
      isAside(a) - isAside(b) ||
      isUntrained(a, trained) - isUntrained(b, trained) ||
      saysNothing(a) - saysNothing(b) ||
      b.points.length - a.points.length,
  )[0];

const saysNothing = ({ verdict }: Series): number => Number(verdict?.kind === 'within-noise');

const isUntrained = ({ limb }: Series, trained: readonly Limb[]): number =>
  Number(limb !== null && !trained.includes(limb));

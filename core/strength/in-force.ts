import type { Derived } from '../derivation/derived';
import { mass, msg } from '../message/message';
import { type Limb, limbSide } from '../quantity/limb';
import { newest } from '../quantity/newest';
import { tidy } from '../quantity/rounding';
import type { StrengthFact } from './fact';
import type { Side } from './side';

/** How a test serves the limbs that work: it is theirs, half of one of both sides, or the other side's (rule LOAD-2). */
export type StandsFor = 'itself' | 'half-of-both' | 'other-side';

/** A test as it serves: the 1RM of the limbs that work, in kg, with its working. */
export type ServingTest = { fact: StrengthFact; stands: StandsFor; oneRepMax: Derived };

/** The side a set of limbs works: one, or both at once. */
export const sideOf = (limbs: readonly Limb[]): Side | undefined =>
  limbs.length > 1 ? 'both' : limbs[0] && limbSide(limbs[0]);

/** The tests of a person, and the operations that still count, by the limb. */
export type Tested = { strengthTests: readonly StrengthFact[]; procedures: readonly { limb: Limb }[] };

/**
 * The strength test in force for an exercise on some limbs (rules START-2, LOAD-2, LOAD-3): the newest of the side that
 * works; for one limb, half of one of both sides, then the other side's, each marked. One side's never serves two, and half of
 * both never serves a limb that was operated on, which gave less than its half.
 */
export function testInForce(
  { strengthTests, procedures }: Tested,
  exerciseId: string,
  limbs: readonly Limb[],
): ServingTest | undefined {
  const side = sideOf(limbs);
  const of = (wanted: Side | undefined) =>
    newest(strengthTests.filter((fact) => fact.exerciseId === exerciseId && fact.side === wanted));
  const own = of(side);
  if (own || side === 'both' || side === undefined) return own && serve(own, side);
  const isOperated = procedures.some(({ limb }) => limbs.includes(limb));
  const standIn = (isOperated ? undefined : of('both')) ?? of(side === 'left' ? 'right' : 'left');
  return standIn && serve(standIn, side);
}

/** A test as it serves a side. @returns with the 1RM halved where it was of both and one works */
export function serve(fact: StrengthFact, side: Side | undefined): ServingTest {
  if (fact.side === side) return { fact, stands: 'itself', oneRepMax: fact.oneRepMax };
  if (fact.side !== 'both') return { fact, stands: 'other-side', oneRepMax: fact.oneRepMax };
  const { value, unit, working, interval } = fact.oneRepMax;
  const half = tidy(value / 2);
  return {
    fact,
    stands: 'half-of-both',
    oneRepMax: {
      value: half,
      unit,
      ...(interval ? { interval: { low: tidy(interval.low / 2), high: tidy(interval.high / 2) } } : {}),
      working: [
        ...working,
        {
          label: msg('Half of both sides'),
          detail: msg('{both} ÷ 2 = {half}', { both: mass(value), half: mass(half) }),
        },
      ],
      rules: ['LOAD-1', 'LOAD-3'],
    },
  };
}

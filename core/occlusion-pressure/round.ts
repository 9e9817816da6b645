import { type Message, msg } from '../message/message';
import { LIMB_LABELS, LIMB_NAMES, type Limb, otherSide, type Position } from '../quantity/limb';
import { toDecimals } from '../quantity/rounding';

/** One thing to measure in a round through several limbs and positions. */
export type RoundItem = { limb: Limb; position: Position };

const ORDER: Limb[] = ['left-arm', 'right-arm', 'left-thigh', 'right-thigh'];

/** A round in the order that moves the person least: all limbs in one position, then the next (rules LOP-4, LOP-5). */
export const roundOf = (limbs: readonly Limb[], positions: readonly Position[]): RoundItem[] =>
  positions.flatMap((position) =>
    ORDER.filter((limb) => limbs.includes(limb)).map((limb) => ({ limb, position })),
  );

/** "Left thigh is 8 mmHg above right thigh." Never a reason to copy one to the other (rule LOP-4). */
export function sideDifferenceWords(limb: Limb, thisMmHg: number, otherMmHg: number): Message {
  const difference = toDecimals(thisMmHg - otherMmHg, 1);
  const limbs = { limb: LIMB_LABELS[limb], other: LIMB_NAMES[otherSide(limb)] };
  if (difference === 0) return msg('{limb} is the same as {other}.', limbs);
  return difference > 0
    ? msg('{limb} is {difference} mmHg above {other}.', { ...limbs, difference })
    : msg('{limb} is {difference} mmHg below {other}.', { ...limbs, difference: -difference });
}

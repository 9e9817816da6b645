import { z } from 'zod';
import { type Message, msg } from '../message/message';
import { type Exercise, rungHeight } from './exercise';
import type { Limbs } from './figure';
import { JOINT_NAMES, jointSchema, type RangeJoint } from './joint-names';
import { figureOf, movesSideways } from './poses';

const degrees = z
  .number(msg('Enter whole degrees, 0 being straight.'))
  .int(msg('Enter whole degrees.'))
  .min(0, msg('At least 0°, which is straight.'))
  .max(180, msg('At most 180°.'));

/** A range of a joint, in degrees of bending from straight, that is not to be gone through. */
export const rangeLimitSchema = z
  .object({
    joint: jointSchema,
    fromDegrees: degrees,
    toDegrees: degrees,
    /** With a load only: holds, and a limb by its own weight, may go through it. */
    isOfLoaded: z.boolean(),
  })
  .refine(({ fromDegrees, toDegrees }) => fromDegrees < toDegrees, {
    path: ['toDegrees'],
    message: msg('Enter more degrees than the range begins with.').message,
  });
export type RangeLimit = z.infer<typeof rangeLimitSchema>;

/**
 * How far a joint is bent from straight, near side and far, in degrees: hips and shoulders forwards, under 0 backwards. An ankle and
 * a wrist are not measured from a drawing.
 */
const BENDS: Partial<Record<RangeJoint, (limbs: Limbs) => number[]>> = {
  knee: ({ leg, farLeg = leg }) => [leg, farLeg].map(([thigh, shank]) => Math.abs(turn(thigh - shank))),
  elbow: ({ arm, farArm = arm }) => [arm, farArm].map(([upper, fore]) => Math.abs(turn(upper - fore))),
  hip: ({ trunk, leg, farLeg = leg }) => [leg, farLeg].map(([thigh]) => turn(thigh - trunk + 180)),
  shoulder: ({ trunk, arm, farArm = arm }) => [arm, farArm].map(([upper]) => turn(upper - trunk + 180)),
};

/** An angle as the shortest turn, in whole degrees from −180. @example turn(235) //=> -125 */
const turn = (degrees: number): number => Math.round((((degrees % 360) + 540) % 360) - 180);

/**
 * What an exercise of the library takes a joint through, in degrees of bending, as it is drawn and taught: the side that moves,
 * or both. `null` where it is not known: of a movement to the side, for one.
 * @example rangeOf('knee-extension', 'knee') //=> { fromDegrees: 5, toDegrees: 90 }
 * @example rangeOf('straight-leg-raise', 'hip') //=> { fromDegrees: 0, toDegrees: 40 }
 */
export function rangeOf(id: string, joint: RangeJoint): { fromDegrees: number; toDegrees: number } | null {
  const [figure, bends] = [figureOf(id), BENDS[joint]];
  if (!figure || !bends || (SIDEWAYS.includes(joint) && movesSideways(id))) return null;
  const [start, end] = [bends(figure.start), bends(figure.end)];
  const moving = start.flatMap((from, side) => {
    const to = end[side] ?? from;
    return Math.abs(to - from) < LEAST_DEGREES ? [] : [from, to];
  });
  if (moving.length === 0) return null;
  return { fromDegrees: Math.min(...moving), toDegrees: Math.max(...moving) };
}

/** A joint that is drawn to turn by less is only carried along. */
const LEAST_DEGREES = 5;

/** What is drawn from the front moves these to the side, which is no bending. */
const SIDEWAYS: readonly RangeJoint[] = ['hip', 'shoulder'];

/**
 * Every range that an exercise is known to go through.
 * @example rangesOf('knee-extension', EXERCISES['knee-extension']) //=> [{ joint: 'knee', fromDegrees: 5, toDegrees: 90 }]
 */
export const rangesOf = (id: string, { joints }: Pick<Exercise, 'joints'>) =>
  jointSchema.options.flatMap((joint) => {
    const range = joints.includes(joint) ? rangeOf(id, joint) : null;
    return range ? [{ joint, ...range }] : [];
  });

/**
 * Whether an exercise goes through a range that is limited; one whose range is not known counts as going through it
 * (rule SCR-2).
 * @param loaded whether it is done with a load, as the rung of exercise and load says
 */
export function crosses(
  id: string,
  { joints, rung, limbKind, isManual }: Exercise,
  loaded: boolean,
  { joint, fromDegrees, toDegrees, isOfLoaded }: RangeLimit,
): boolean {
  if (isOfLoaded && !loaded) return false;
  // What is done to a person by hand moves them (rule PRO).
  const isStill = !isManual && rungHeight(rung) <= rungHeight('isometric');
  // Without a word of what moves, any joint of the limb may.
  const moves = joints.length === 0 ? !isStill && LIMB_OF[joint] === limbKind : joints.some(isCalled(joint));
  if (!moves) return false;
  const range = rangeOf(id, joint);
  return range === null || (range.fromDegrees < toDegrees && range.toDegrees > fromDegrees);
}

const LIMB_OF: Record<RangeJoint, Exercise['limbKind']> = {
  knee: 'leg',
  hip: 'leg',
  ankle: 'leg',
  elbow: 'arm',
  shoulder: 'arm',
  wrist: 'arm',
};

const isCalled = (joint: RangeJoint) => (name: string) => name.trim().toLowerCase() === joint;

/** @example rangeWords({ joint: 'knee', fromDegrees: 0, toDegrees: 45, isOfLoaded: true }) //=> 'no loaded work of the knee from 0 to 45°' */
export const rangeWords = ({ joint, fromDegrees, toDegrees, isOfLoaded }: RangeLimit): Message =>
  isOfLoaded
    ? msg('no loaded work of the {joint} from {fromDegrees} to {toDegrees}°', {
        joint: JOINT_NAMES[joint],
        fromDegrees,
        toDegrees,
      })
    : msg('no work of the {joint} from {fromDegrees} to {toDegrees}°', {
        joint: JOINT_NAMES[joint],
        fromDegrees,
        toDegrees,
      });

import type { z } from 'zod';
import { list, type Message, msg } from '../message/message';
import type { Plan } from '../plan/plan';
import { measuredLimbs } from '../plan/target';
import { mostPercentLop } from '../pressure/most-percent-lop';
import { RULES } from '../rules/catalogue';
import type { Limits } from '../screening/clearance';
import type { reviewChangeSchema } from '../session/events/values';

/** What to change next time. Points of %LOP, kit steps of load, ms of rest; an empty change holds. */
export type Change = {
  pressurePoints?: number | undefined;
  loadSteps?: number | undefined;
  restMs?: number | undefined;
  /** Nothing is lighter and the pressure is at its floor: a rung down, or a smaller range; it is chosen by hand. */
  easier?: true | undefined;
  heavyBridge?: true | undefined;
};

/** A change in the fewest words. */
export function changeWords({ pressurePoints, loadSteps, restMs, easier, heavyBridge }: Change): Message {
  const parts = [
    ...(pressurePoints === undefined ? [] : [pressureText(pressurePoints)]),
    ...(loadSteps === undefined ? [] : [loadText(loadSteps)]),
    ...(restMs === undefined ? [] : [msg('rest {seconds} s', { seconds: restMs / 1000 })]),
    ...(easier ? [msg('a rung down, or a smaller range')] : []),
    ...(heavyBridge ? [msg('propose the heavy bridge, and retest the 1RM')] : []),
  ];
  return parts.length === 0 ? msg('hold') : list(parts, ', ');
}

const pressureText = (points: number): Message =>
  points > 0
    ? msg('pressure +{points} points', { points })
    : msg('pressure −{points} points', { points: -points });

const loadText = (steps: number): Message =>
  steps > 0
    ? msg('load {steps, plural, one {one step} other {# steps}} up', { steps })
    : msg('load {steps, plural, one {one step} other {# steps}} down', { steps: -steps });

/** A change as it came from a log or a form: only what it says, nothing undefined. */
export const tidyChange = ({
  pressurePoints,
  loadSteps,
  restMs,
  easier,
  heavyBridge,
}: z.infer<typeof reviewChangeSchema>): Change => ({
  ...(pressurePoints ? { pressurePoints } : {}),
  ...(loadSteps ? { loadSteps } : {}),
  ...(restMs !== undefined ? { restMs } : {}),
  ...(easier ? { easier } : {}),
  ...(heavyBridge ? { heavyBridge } : {}),
});

/**
 * An edited change, checked against the rules again: what must not be done next time, in words, or `null` when it may be done
 * (rules PRS-3, SCR-2, LOAD-3).
 */
export function whyNotChange(
  { plan }: { plan: Plan },
  exerciseIndex: number,
  change: Change,
  limits: Limits,
): Message | null {
  const exercise = plan.exercises[exerciseIndex];
  const limbs = exercise ? measuredLimbs(exercise) : [];
  const shares = limbs.map(({ percentLop }) => percentLop);
  const points = change.pressurePoints ?? 0;
  const next = Math.max(0, ...shares) + points;
  // One change goes to all limbs of an exercise: the one with the least must stay above the floor as well.
  const lowest = Math.min(100, ...shares) + points;
  const most = mostPercentLop(exercise?.mode ?? 'resistance');
  if (next > most) return msg('{next} % of LOP is above {most} % (PRS-3).', { next, most });
  for (const { limb, percentLop } of limbs) {
    const cap = limits[limb].maxPercentLop;
    if (cap !== null && percentLop + points > cap)
      return msg('{percentLop} % is above the {cap} % that is cleared (SCR-2).', {
        percentLop: percentLop + points,
        cap,
      });
  }
  const low = RULES['PRS-3'].figures.exercisePercentLop.gradedStartArm;
  if (points < 0 && lowest < low) return msg('{lowest} % of LOP is below {low} % (PRS-3).', { lowest, low });
  const heavy = exercise?.load.kind === 'weighed' ? exercise.load.truePercent : 0;
  if ((change.loadSteps ?? 0) > 0 && heavy >= RULES['LOAD-3'].figures.percentOneRepMax.usualHigh) {
    return msg('The load is at {heavy} % of 1RM already (LOAD-3).', { heavy });
  }
  return null;
}

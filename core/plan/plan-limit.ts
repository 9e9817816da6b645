import type { Limb } from '../quantity/limb';
import { compile } from './compile';
import { guardLimitMs, occlusionLimitMs, type Stretch, stretchesOf } from './occlusion-clock';
import type { Plan } from './plan';
import type { Lane, Timeline } from './timeline';

/**
 * The limit that a limb's clock counts to in an exercise of a plan, in ms (rules PRO-1, RUN-1): the guard of all exercises that
 * its inflation is planned for, so that a shared inflation keeps one limit to its end; the hard limit where the plan was signed
 * past that guard.
 * @example two leg exercises under one inflation, in either //=> 900_000
 */
export function planLimitMs(plan: Plan, limb: Limb, exerciseIndex: number): number {
  const stretches = stretchesIn(plan, limb).filter(({ exerciseIndexes }) =>
    exerciseIndexes.includes(exerciseIndex),
  );
  const inStretch = new Set(stretches.flatMap(({ exerciseIndexes }) => exerciseIndexes));
  const hardMs = occlusionLimitMs({ limb });
  const exercises = [...inStretch.add(exerciseIndex)].flatMap((index) => plan.exercises[index] ?? []);
  const guardMs = Math.min(hardMs, guardLimitMs(limb, exercises));
  return stretches.some(({ clockMs }) => clockMs > guardMs) ? hardMs : guardMs;
}

/** The limit of the last stretch of a lane, in ms. */
export const laneLimitMs = (plan: Plan, lane: Lane, timeline: Pick<Timeline, 'sets'>): number =>
  planLimitMs(plan, lane.limb, stretchesOf(lane, timeline).at(-1)?.exerciseIndexes.at(-1) ?? 0);

const stretchesByPlan = new WeakMap<Plan, Map<Limb, Stretch[]>>();

/** The stretches a plan has for a limb; worked out once a plan, since clocks ask for them by the second. */
function stretchesIn(plan: Plan, limb: Limb): Stretch[] {
  const known = stretchesByPlan.get(plan);
  if (known) return known.get(limb) ?? [];
  const timeline = compile(plan);
  const made = new Map(timeline.lanes.map((lane) => [lane.limb, stretchesOf(lane, timeline)]));
  stretchesByPlan.set(plan, made);
  return made.get(limb) ?? [];
}

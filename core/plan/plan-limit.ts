import type { Limb } from '../quantity/limb';
import { compile } from './compile';
import { guardLimitMs, occlusionLimitMs, stretchesOf } from './occlusion-clock';
import type { Plan, PlannedExercise } from './plan';
import type { Lane, Timeline } from './timeline';

/**
 * The limit that a limb's clock counts to in a plan, in ms (rules PRO-1, RUN-1): the guard of the exercises that fall into
 * the stretch, or the hard limit where the plan was signed past the guard.
 */
export function planLimitMs(
  plan: Plan,
  limb: Limb,
  exercises: readonly Pick<PlannedExercise, 'mode'>[],
): number {
  const hardMs = occlusionLimitMs({ limb });
  const guardMs = Math.min(hardMs, guardLimitMs(limb, exercises));
  return plannedLongestMs(plan, limb) > guardMs ? hardMs : guardMs;
}

/** The limit of the last stretch of a lane, in ms. */
export function laneLimitMs(plan: Plan, lane: Lane, timeline: Pick<Timeline, 'sets'>): number {
  const indexes = stretchesOf(lane, timeline).at(-1)?.exerciseIndexes ?? [];
  const exercises = indexes.flatMap((index) => plan.exercises[index] ?? []);
  return planLimitMs(plan, lane.limb, exercises.length > 0 ? exercises : plan.exercises.slice(0, 1));
}

const longestByPlan = new WeakMap<Plan, Map<Limb, number>>();

/** The longest stretch a plan has for a limb, in ms; worked out once a plan. */
function plannedLongestMs(plan: Plan, limb: Limb): number {
  const known = longestByPlan.get(plan) ?? new Map<Limb, number>();
  longestByPlan.set(plan, known);
  const longest = known.get(limb);
  if (longest !== undefined) return longest;
  const timeline = compile(plan);
  const lane = timeline.lanes.find((candidate) => candidate.limb === limb);
  const made = lane ? Math.max(0, ...stretchesOf(lane, timeline).map(({ clockMs }) => clockMs)) : 0;
  known.set(limb, made);
  return made;
}

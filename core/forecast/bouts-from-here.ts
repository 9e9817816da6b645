import { compile } from '../plan/compile';
import type { Plan } from '../plan/plan';
import type { PlannedLoad } from '../plan/planned-load';
import { setOrder } from '../plan/set-order';
import { isCuffed, type LimbTarget } from '../plan/target';
import type { Lane } from '../plan/timeline';
import type { Library } from '../protocol/exercises';
import { loadInHand, loosenedMmHg, restInHand } from '../session/in-hand';
import { findSet, type SessionState } from '../session/state';
import { type Bout, boutsOf } from './bouts';
import { doneTimeline, outcomeOf, type SessionSoFar } from './done-bouts';

/**
 * A session's sets: those done as they were done, then those ahead as they are in hand now, lightened, loosened and with
 * the rests accepted, the next one beginning when its rest is over (rule RUN-7).
 */
export function boutsFromHere({ plan, state }: SessionSoFar, library: Library): Bout[] {
  const ahead = asInHand(plan, state);
  const left = setOrder(plan).filter((place) => !findSet(state, place)?.endedAtMs);
  const timeline = compile(ahead, left);
  const startMs = state.startedAtMs ?? 0;
  const nextMs = nextStartMs(plan, state);
  const done = doneTimeline({ plan, state }, nextMs);
  const shiftMs = nextMs - startMs - (timeline.sets[0]?.fromMs ?? 0);
  const joined = {
    lanes: joinLanes(done.lanes, timeline.lanes, shiftMs, nextMs - startMs),
    sets: [
      ...done.sets,
      ...timeline.sets.map((set) => ({
        ...set,
        fromMs: set.fromMs + shiftMs,
        toMs: set.toMs + shiftMs,
      })),
    ],
  };
  return boutsOf(plan, joined, library, (place) => outcomeOf(state, place));
}

/** When the set under way began, or the next one begins. */
function nextStartMs(plan: Plan, state: SessionState): number {
  const last = state.sets.at(-1);
  if (!last) return state.startedAtMs ?? 0;
  if (last.endedAtMs === null) return last.startedAtMs;
  const planned = plan.exercises[last.exerciseIndex]?.sets[last.setIndex]?.restMs ?? 0;
  return last.endedAtMs + restInHand(plan, state, last.exerciseIndex, planned);
}

/** A plan as in hand now: loosened, lightened, with the rests that were accepted (rule RUN-7). */
const asInHand = (plan: Plan, state: SessionState): Plan => ({
  ...plan,
  exercises: plan.exercises.map((exercise, exerciseIndex) => ({
    ...exercise,
    limbs: exercise.limbs.map((target) => loosened(state, target)),
    load: lightened(state, exerciseIndex, exercise.load),
    sets: exercise.sets.map((set) => ({
      ...set,
      restMs: restInHand(plan, state, exerciseIndex, set.restMs),
    })),
  })),
});

const loosened = (state: SessionState, target: LimbTarget): LimbTarget =>
  isCuffed(target)
    ? {
        ...target,
        pressure: { ...target.pressure, value: loosenedMmHg(state, target, target.pressure.value) },
      }
    : target;

function lightened(state: SessionState, exerciseIndex: number, load: PlannedLoad): PlannedLoad {
  const loadKg = loadInHand(state, exerciseIndex, load);
  return load.kind === 'weighed' && loadKg !== null
    ? { ...load, load: { ...load.load, value: loadKg } }
    : load;
}

/** Lanes of what was done, up to `nowMs`, with what lies ahead behind them. */
function joinLanes(done: readonly Lane[], ahead: readonly Lane[], shiftMs: number, nowMs: number): Lane[] {
  const limbs = [...new Set([...done, ...ahead].map(({ limb }) => limb))];
  const of = (lanes: readonly Lane[], limb: Lane['limb']) =>
    lanes.find((lane) => lane.limb === limb)?.inflations ?? [];
  return limbs.map((limb) => ({
    limb,
    inflations: [
      ...of(done, limb),
      ...of(ahead, limb)
        .filter(({ toMs }) => toMs + shiftMs > nowMs)
        .map((inflation) => ({
          ...inflation,
          fromMs: Math.max(inflation.fromMs + shiftMs, nowMs),
          toMs: inflation.toMs + shiftMs,
          steps: inflation.steps.map((step) => ({ ...step, atMs: Math.max(step.atMs + shiftMs, nowMs) })),
        })),
    ],
  }));
}

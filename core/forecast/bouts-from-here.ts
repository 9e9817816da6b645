import { compile } from '../plan/compile';
import type { LimbTarget, Plan, PlannedLoad } from '../plan/plan';
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
  const ahead = setsLeft(plan, state);
  const timeline = compile(ahead.plan);
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
        ...ahead.placeOf(set.exerciseIndex, set.setIndex),
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

/** What is left of a plan, as in hand now, and the places its sets have in the whole. */
function setsLeft(plan: Plan, state: SessionState) {
  const left = plan.exercises.flatMap((exercise, exerciseIndex) => {
    const sets = exercise.sets.flatMap((set, setIndex) =>
      findSet(state, { exerciseIndex, setIndex })?.endedAtMs ? [] : [{ set, setIndex }],
    );
    return sets.length > 0 ? [{ exercise, exerciseIndex, sets }] : [];
  });
  return {
    placeOf: (index: number, set: number) => ({
      exerciseIndex: left[index]?.exerciseIndex ?? 0,
      setIndex: left[index]?.sets[set]?.setIndex ?? 0,
    }),
    plan: {
      ...plan,
      exercises: left.map(({ exercise, exerciseIndex, sets }) => ({
        ...exercise,
        limbs: exercise.limbs.map((target) => loosened(state, target)),
        load: lightened(state, exerciseIndex, exercise.load),
        sets: sets.map(({ set }) => ({
          ...set,
          restMs: restInHand(plan, state, exerciseIndex, set.restMs),
        })),
      })),
    },
  };
}

const loosened = (state: SessionState, target: LimbTarget): LimbTarget =>
  target.kind === 'measured'
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

import { setMs } from '../protocol/pace';
import { LIMITS } from '../rules/limits';
import type { Plan, PlannedExercise } from './plan';
import type { Inflation, Lane, Timeline, TimelineSet } from './timeline';

/** Time from inflating to the first repetition: settle the pressure and get set (rule PRS-5). */
const SETTLE_MS = 20_000;

/**
 * The timeline a plan will follow when nobody runs late; the cuffs are down ≥ 60 s between exercises (rule PRO-1).
 * @returns times in ms from the start; planned pressures and repetitions
 */
export function compile(plan: Plan): Timeline {
  const lanes = new Map<string, Lane>();
  const sets: TimelineSet[] = [];
  let startMs = 0;
  let endMs = 0;
  plan.exercises.forEach((exercise, exerciseIndex) => {
    const span = compileExercise(exercise, exerciseIndex, startMs);
    sets.push(...span.sets);
    for (const target of exercise.limbs) {
      const lane = lanes.get(target.limb) ?? {
        limb: target.limb,
        occlusionMmHg: target.occlusion.value,
        inflations: [],
      };
      lane.inflations.push(
        ...span.inflated.map(({ fromMs, toMs }) => ({
          fromMs,
          toMs,
          steps: [{ atMs: fromMs, pressureMmHg: target.pressure.value }],
        })),
      );
      lanes.set(target.limb, lane);
    }
    endMs = span.endMs;
    startMs = endMs + LIMITS.continuousOcclusionMs.freeFlowToRestart;
  });
  return { lanes: [...lanes.values()], sets, endMs };
}

function compileExercise(exercise: PlannedExercise, exerciseIndex: number, startMs: number) {
  const released = exercise.inflation === 'release-each-rest';
  const sets: TimelineSet[] = [];
  const inflated: Pick<Inflation, 'fromMs' | 'toMs'>[] = [];
  let fromMs = startMs + SETTLE_MS;
  exercise.reps.forEach((reps, setIndex) => {
    const toMs = fromMs + setMs(reps, exercise.tempo);
    sets.push({
      exerciseIndex,
      setIndex,
      fromMs,
      toMs,
      reps,
      plannedReps: reps,
      loadKg: exercise.load.value,
      tempo: exercise.tempo,
    });
    if (released) {
      inflated.push({ fromMs: setIndex === 0 ? startMs : fromMs - exercise.reinflateLeadMs, toMs });
    }
    fromMs = toMs + exercise.restMs;
  });
  const endMs = sets.at(-1)?.toMs ?? startMs;
  if (!released) inflated.push({ fromMs: startMs, toMs: endMs });
  return { sets, inflated, endMs };
}

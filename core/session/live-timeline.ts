import type { Plan } from '../plan/plan';
import { plannedKg } from '../plan/planned-load';
import type { Inflation, Span, Timeline, TimelineSet } from '../plan/timeline';
import { repsByPace } from '../protocol/pace';
import type { Limb } from '../quantity/limb';
import { correctedReps, type LiveInflation, type SessionState } from './state';

/**
 * The timeline of what has happened up to `nowMs` (wall clock), in ms from the session's start.
 * Open inflations and sets end now; a finished session ends when it finished.
 */
export function liveTimeline(plan: Plan, state: SessionState, nowMs: number): Timeline {
  const startMs = state.startedAtMs ?? nowMs;
  const untilMs = endsAtMs(state, nowMs);
  return {
    lanes: state.limbs.map(({ limb, inflations }) => ({
      limb,
      inflations: inflations.map((inflation) => closeInflation(inflation, startMs, untilMs)),
    })),
    sets: state.sets.map((set): TimelineSet => {
      const exercise = plan.exercises[set.exerciseIndex];
      if (!exercise) throw new RangeError(`The plan has no exercise ${set.exerciseIndex}.`);
      const toMs = set.endedAtMs ?? untilMs;
      const counted =
        set.countedReps ?? repsByPace(toMs - set.startedAtMs, exercise.tempo, set.plannedReps ?? 0);
      return {
        exerciseIndex: set.exerciseIndex,
        setIndex: set.setIndex,
        limbs: exercise.limbs.map(({ limb }) => limb),
        fromMs: set.startedAtMs - startMs,
        toMs: toMs - startMs,
        reps: correctedReps(set, counted),
        plannedReps: set.plannedReps,
        loadKg: set.loadKg ?? plannedKg(exercise.load),
        tempo: exercise.tempo,
      };
    }),
    endMs: untilMs - startMs,
  };
}

function endsAtMs(state: SessionState, nowMs: number): number {
  const cuffsUp = state.limbs.some(({ inflations }) => inflations.at(-1)?.toMs === null);
  // A cuff left up after "finished" still counts: the limb does not know the session is over.
  return cuffsUp ? nowMs : (state.finishedAtMs ?? nowMs);
}

/** When the cuffs were up until `nowMs`, by limb, wall clock; what was read meanwhile is left out, for what ticks. */
export function liveSpans(state: SessionState, nowMs: number): { lanes: LiveSpans[]; endMs: number } {
  const endMs = endsAtMs(state, nowMs);
  const lanes = state.limbs.map(({ limb, inflations }) => ({
    limb,
    spans: inflations.map(({ fromMs, toMs }) => ({ fromMs, toMs: toMs ?? endMs })),
  }));
  return { lanes, endMs };
}

type LiveSpans = { limb: Limb; spans: Span[] };

const closeInflation = (
  { fromMs, toMs, occlusionMmHg, steps }: LiveInflation,
  startMs: number,
  untilMs: number,
): Inflation => ({
  occlusionMmHg,
  fromMs: fromMs - startMs,
  toMs: (toMs ?? untilMs) - startMs,
  steps: steps.map((step) => ({ ...step, atMs: step.atMs - startMs })),
});

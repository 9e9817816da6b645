import type { Text } from '../message/message';
import { type Dose, doseOf } from '../plan/dose';
import { exerciseWords, type Plan } from '../plan/plan';
import { wornLabel } from '../plan/target';
import { type Inflation, pressuresHeld } from '../plan/timeline';
import type { ExerciseId } from '../protocol/exercises';
import type { SchoolId } from '../protocol/schools';
import { pacedReps } from '../protocol/set-work';
import type { WorkMode } from '../protocol/work-mode';
import type { Limb } from '../quantity/limb';
import { tidy, toDecimals } from '../quantity/rounding';
import { sumKnown } from '../quantity/sum-known';
import { MS_PER_MINUTE } from '../quantity/units';
import type { FollowUp } from '../session/events';
import { liveTimeline } from '../session/live-timeline';
import { setStretches } from '../session/set-stretches';
import type { SignId } from '../session/signs';
import { findSet, type SessionState } from '../session/state';

/** A set as it was done. */
export type LineSet = {
  setIndex: number;
  /** When it began, in ms from the session's start: its place on the strip. */
  fromMs: number;
  reps: number;
  /** Null for work by the clock. */
  plannedReps: number | null;
  /** Null without kilograms. */
  loadKg: number | null;
  /** Rest really taken until the next set of the session began; null after the last. */
  restMs: number | null;
  effort: number | null;
  jointPain: number | null;
};

/** What a limb was given by one exercise. */
export type LineLimb = {
  limb: Limb;
  occludedMs: number;
  /** Null where no pressure is known. */
  pressureTimeMmHgMin: number | null;
  percentLopMin: number | null;
};

/** The mean pressure that was held on a limb, in whole mmHg; null where it is not known. */
export const heldMmHg = ({ occludedMs, pressureTimeMmHgMin }: LineLimb): number | null =>
  pressureTimeMmHgMin === null || occludedMs === 0
    ? null
    : Math.round(pressureTimeMmHgMin / (occludedMs / MS_PER_MINUTE));

/** An exercise of which a set was begun. */
export type LineExercise = {
  exerciseId: ExerciseId;
  label: Text;
  mode: WorkMode;
  limbs: LineLimb[];
  sets: LineSet[];
  volumeKgReps: number;
};

/**
 * One cuff up and down. `percentLop` is the mean share held, null without a LOP; `signs` were noted from then on until a cuff
 * next went up.
 */
export type LineInflation = {
  limb: Limb;
  occludedMs: number;
  percentLop: number | null;
  cuff: string;
  signs: SignId[];
};

/** A finished session in one line of the client's log (rule RUN-5): all that is ever added up, shown or counted of it. */
export type SessionLine = Pick<Dose, 'occludedMs' | 'volumeKgReps' | 'reps' | 'limbs'> & {
  schoolId: SchoolId;
  isEnteredLater: boolean;
  exercises: LineExercise[];
  /** Of the whole plan, also of sets that were never begun; 0 where all of it is by the clock. */
  plannedReps: number;
  /** As it was last said. */
  effort: number | null;
  worstPain: number | null;
  signs: SignId[];
  /** How it was the day after; null while not asked. */
  followUp: FollowUp | null;
  inflations: LineInflation[];
};

/** The line of a session that is over. */
export function sessionLine(plan: Plan, state: SessionState): SessionLine {
  const timeline = liveTimeline(plan, state, state.finishedAtMs ?? state.startedAtMs ?? 0);
  const { limbs, occludedMs, volumeKgReps, reps } = doseOf(timeline);
  const known = (values: readonly (number | null)[]) => values.filter((value) => value !== null);
  const pains = known(state.sets.map(({ jointPain }) => jointPain));
  return {
    schoolId: plan.schoolId,
    isEnteredLater: state.enteredAtMs !== null,
    limbs,
    occludedMs,
    volumeKgReps,
    reps,
    exercises: exercisesOf(plan, state, timeline),
    plannedReps: plan.exercises
      .flatMap(({ sets }) => sets)
      .reduce((sum, { work }) => sum + (work.kind === 'timed' ? 0 : (pacedReps(work) ?? 0)), 0),
    effort: known(state.sets.map(({ effort }) => effort)).at(-1) ?? null,
    worstPain: pains.length === 0 ? null : Math.max(...pains),
    signs: [...new Set(state.signs.map(({ sign }) => sign))],
    followUp: state.followUp,
    inflations: timeline.lanes.flatMap(({ limb, inflations }) =>
      inflations.map((inflation) => ({
        limb,
        occludedMs: inflation.toMs - inflation.fromMs,
        percentLop: meanPercentLop(inflation),
        cuff: cuffOn(plan, limb),
        signs: signsOf(state, timeline, inflation),
      })),
    ),
  };
}

function exercisesOf(
  plan: Plan,
  state: SessionState,
  timeline: ReturnType<typeof liveTimeline>,
): LineExercise[] {
  const stretches = setStretches(timeline);
  return plan.exercises.flatMap(({ exerciseId, mode, limbs }, exerciseIndex): LineExercise[] => {
    const own = stretches.flatMap((stretch, place) =>
      stretch.set.exerciseIndex === exerciseIndex ? [{ ...stretch, next: stretches[place + 1]?.set }] : [],
    );
    if (own.length === 0) return [];
    const label = exerciseWords(plan, exerciseIndex);
    return [
      {
        exerciseId,
        label,
        mode,
        limbs: limbs.map(({ limb }) => limbGiven(limb, own)),
        volumeKgReps: tidy(own.reduce((sum, { set }) => sum + (set.loadKg ?? 0) * set.reps, 0)),
        sets: own.map(({ set, next }): LineSet => {
          const record = findSet(state, set);
          return {
            setIndex: set.setIndex,
            fromMs: set.fromMs,
            reps: set.reps,
            plannedReps: set.plannedReps,
            loadKg: set.loadKg,
            restMs: next ? next.fromMs - set.toMs : null,
            effort: record?.effort ?? null,
            jointPain: record?.jointPain ?? null,
          };
        }),
      },
    ];
  });
}

function limbGiven(limb: Limb, own: readonly { limbs: SessionLine['limbs'] }[]): LineLimb {
  const doses = own.flatMap(({ limbs }) => limbs.filter((dose) => dose.limb === limb));
  return {
    limb,
    occludedMs: doses.reduce((total, { totalOcclusionMs }) => total + totalOcclusionMs, 0),
    pressureTimeMmHgMin: sumKnown(doses.map(({ pressureTimeMmHgMin }) => pressureTimeMmHgMin)),
    percentLopMin: sumKnown(
      doses.map(({ relativePressureTimePercentLopMin }) => relativePressureTimePercentLopMin),
    ),
  };
}

/** Cuffs that go up within this are one inflation of a pair. */
const TOGETHER_MS = 60_000;

/** What was noted from an inflation on, until one that came after it. */
function signsOf(
  state: SessionState,
  { lanes }: ReturnType<typeof liveTimeline>,
  { fromMs }: Inflation,
): SignId[] {
  const next = lanes
    .flatMap(({ inflations }) => inflations.map((other) => other.fromMs))
    .filter((other) => other > fromMs + TOGETHER_MS);
  const untilMs = Math.min(Number.POSITIVE_INFINITY, ...next);
  const noted = state.signs.filter(({ atMs }) => {
    const afterMs = atMs - (state.startedAtMs ?? 0);
    return afterMs >= fromMs && afterMs < untilMs;
  });
  return [...new Set(noted.map(({ sign }) => sign))];
}

function meanPercentLop(inflation: Inflation): number | null {
  const { occlusionMmHg, fromMs, toMs } = inflation;
  const held = pressuresHeld(inflation);
  if (occlusionMmHg === null || toMs === fromMs || held.some(({ pressureMmHg }) => pressureMmHg === null)) {
    return null;
  }
  const area = held.reduce((sum, step) => sum + (step.pressureMmHg ?? 0) * (step.toMs - step.fromMs), 0);
  return toDecimals((100 * area) / (toMs - fromMs) / occlusionMmHg, 1);
}

const cuffOn = (plan: Plan, limb: Limb): string => {
  const worn = plan.exercises.flatMap(({ limbs }) => limbs).find((target) => target.limb === limb);
  if (!worn) return '';
  return wornLabel(worn);
};

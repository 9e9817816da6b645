import { doseOf, type LimbDose } from '../plan/dose';
import type { Plan, PlannedExercise } from '../plan/plan';
import type { Rung } from '../protocol/exercise';
import type { ExerciseId } from '../protocol/exercises';
import { trains, type WorkMode } from '../protocol/work-mode';
import { isEqual } from '../quantity/is-equal';
import { type Limb, type LimbKind, limbKind } from '../quantity/limb';
import { toDecimals } from '../quantity/rounding';
import { MS_PER_MINUTE } from '../quantity/units';
import type { RuleId } from '../rules/catalogue';
import type { FollowUp } from '../session/events';
import { liveTimeline } from '../session/live-timeline';
import { SIGNS } from '../session/signs';
import type { SessionState } from '../session/state';
import { type Change, tidyChange } from './change';
import { type OpenedExercise, openedExercises } from './opened';
import { recommend } from './review';

/** One exercise of which a set was really begun. */
export type Worked = {
  exerciseId: ExerciseId;
  limbs: Limb[];
  mode: WorkMode;
  /** Without a LOP, which has a ramp of its own (rules PRS-4, PRS-7). */
  arbitrary?: true | undefined;
  /** What it was planned at then, in mmHg; not said by sessions of earlier releases. */
  arbitraryMmHg?: number | undefined;
};

/** An exercise as it is worked, once a set of it is begun. */
export function workedIn({ exerciseId, mode, limbs }: PlannedExercise): Worked {
  const chosenMmHg = limbs.flatMap((one) => (one.kind === 'arbitrary' ? [one.pressure.value] : []));
  return {
    exerciseId,
    mode,
    limbs: limbs.map(({ limb }) => limb),
    ...(chosenMmHg.length > 0 ? { arbitrary: true, arbitraryMmHg: Math.max(...chosenMmHg) } : {}),
  };
}

/** Kinds of limbs that moved, for the ramp and for how often (rules PRS-4, PRO-3). */
export const kindsMoved = (worked: readonly Worked[]): LimbKind[] => [
  ...new Set(worked.filter(trains).flatMap(({ limbs }) => limbs.map(limbKind))),
];

/** What later sessions ask of an earlier one, so that they need not read its log. */
export type SessionSummary = {
  worked: Worked[];
  /** No stop sign, nothing of REV-1 to REV-3, no release for discomfort (rule PRS-4). */
  tolerated: boolean;
  /** Limbs of exercises that REV-1 or REV-2 answers: on a ladder they go down a rung (rule PRO-5). */
  stepsDown: Limb[];
  /** Whether every exercise that was worked has its review answered (rule REV-10). */
  reviewed: boolean;
  /** What the answers change, by the place of the exercise in the plan; an empty change where nothing is (rule REV-10). */
  answered: Change[];
  followUp: FollowUp | null;
  /** What each limb was given: time occluded, and the share of LOP held over it in the mean, null without one (RUN-5). */
  given: { limb: Limb; occludedMs: number; percentLop: number | null }[];
  /** What each exercise was opened at and what was done of it, by its place; none in sessions of earlier releases (CRS-2). */
  exercises: OpenedExercise[];
  /** Its figures were those of that day alone: lighter, or fewer sets in a deload week (rules SCR-3, CRS-5). */
  wasLighter?: true | undefined;
  wasDeload?: true | undefined;
  /** The rung of its plan's ladder that it was on; not there where the plan has none (rule PRO-5). */
  rung?: Rung | undefined;
  /**
   * What was said of it before something was added later, the oldest first: until when, how it went, and of each exercise what was
   * done and answered. Days that lie between are as they were meant then (rule CRS-2).
   */
  former?: FormerSummary[] | undefined;
  /** Pain before it, 0–10; null where it was not asked. */
  painBefore: number | null;
  /** Done at home, and reported by the person who did it. */
  byClient?: true | undefined;
  /** When it was entered, for a session that was done on paper or elsewhere. */
  enteredAtMs?: number | undefined;
};

export type FormerSummary = {
  untilMs: number;
  tolerated: boolean;
  exercises: Pick<OpenedExercise, 'reading' | 'answer'>[];
};

/** What was added within an hour belongs to the session itself. */
const BELONGS_MS = 3_600_000;

/**
 * A summary made again, with what the one before it said where that was another thing for more than an hour.
 * @param before as it was kept, when it was finished
 */
export function withFormer(
  made: SessionSummary,
  before: SessionSummary & { finishedAtMs: number | null },
  nowMs: number,
): SessionSummary {
  const former = before.former ?? [];
  const sinceMs = former.at(-1)?.untilMs ?? before.finishedAtMs;
  // As it is stored: what is undefined is not there.
  const said = ({ tolerated, exercises }: SessionSummary): Omit<FormerSummary, 'untilMs'> =>
    JSON.parse(
      JSON.stringify({ tolerated, exercises: exercises.map(({ reading, answer }) => ({ reading, answer })) }),
    );
  const isNews = sinceMs !== null && nowMs - sinceMs > BELONGS_MS && !isEqual(said(made), said(before));
  const kept = isNews ? [...former, { untilMs: nowMs, ...said(before) }] : former;
  return kept.length === 0 ? made : { ...made, former: kept };
}

const NOT_TOLERATED: readonly RuleId[] = ['REV-1', 'REV-2', 'REV-3'];

/** Whether a session was tolerated as far as the rule goes that answers to an exercise (rule PRS-4). */
export const isTolerable = (rule: RuleId): boolean => !NOT_TOLERATED.includes(rule);

const STEPS_DOWN = ['REV-1', 'REV-2'];

const givenTo = ({ limb, totalOcclusionMs, relativePressureTimePercentLopMin }: LimbDose) => ({
  limb,
  occludedMs: totalOcclusionMs,
  percentLop:
    relativePressureTimePercentLopMin === null || totalOcclusionMs === 0
      ? null
      : toDecimals((relativePressureTimePercentLopMin * MS_PER_MINUTE) / totalOcclusionMs, 1),
});

/** Whether a cuff came down while its limb was at work: for comfort, since a re-fit takes the set out (rule FIT-4). */
const releasedInASet = ({ exercises }: Plan, { limbs, sets }: SessionState): boolean =>
  sets.some(({ exerciseIndex, startedAtMs, endedAtMs }) =>
    limbs
      .filter(({ limb }) => exercises[exerciseIndex]?.limbs.some((target) => target.limb === limb))
      .some(({ inflations }) =>
        inflations.some(({ toMs }) => toMs !== null && toMs > startedAtMs && toMs < (endedAtMs ?? toMs)),
      ),
  );

/** Up to when a session that is not finished yet says what was given. */
const lastSaidMs = ({ startedAtMs, limbs, sets }: SessionState): number =>
  Math.max(
    startedAtMs ?? 0,
    ...sets.map((set) => set.endedAtMs ?? set.startedAtMs),
    ...limbs.flatMap(({ inflations }) =>
      inflations.map(({ fromMs, toMs, steps }) => toMs ?? steps.at(-1)?.atMs ?? fromMs),
    ),
  );

/** A session in short, from its plan and what its log folds to. @param painBefore as `recommend` takes it */
export function summaryOf(plan: Plan, state: SessionState, painBefore: number | null): SessionSummary {
  const places = [...new Set(state.sets.map(({ exerciseIndex }) => exerciseIndex))];
  // The rule that answers does not go by what bounds the next session.
  const context = {
    painBefore,
    before: null,
    capPercentLop: null,
    rampPercentLop: null,
    kits: [],
    heavyWork: [],
  };
  const rules = places.map((place) => ({
    place,
    rule: recommend({ plan, state }, place, context)?.rule ?? 'REV-5',
  }));
  const discomfort =
    state.stopped !== null ||
    state.signs.some(({ sign }) => SIGNS[sign].level !== 'expected') ||
    releasedInASet(plan, state);
  return {
    worked: places.flatMap((place) => {
      const exercise = plan.exercises[place];
      return exercise ? [workedIn(exercise)] : [];
    }),
    tolerated: !discomfort && rules.every(({ rule }) => isTolerable(rule)),
    stepsDown: [
      ...new Set(
        rules
          .filter(({ rule }) => STEPS_DOWN.includes(rule))
          .flatMap(({ place }) => plan.exercises[place]?.limbs.map(({ limb }) => limb) ?? []),
      ),
    ],
    reviewed: places.every((place) => state.reviews.some(({ exerciseIndex }) => exerciseIndex === place)),
    answered: plan.exercises.map((_, place) => {
      const answer = state.reviews.find(({ exerciseIndex }) => exerciseIndex === place);
      return answer && answer.answer !== 'declined' ? tidyChange(answer.change) : {};
    }),
    followUp: state.followUp,
    exercises: openedExercises({ plan, state }),
    painBefore,
    ...(plan.today ? { wasLighter: true as const } : {}),
    ...(plan.course?.deloadPercent === undefined ? {} : { wasDeload: true as const }),
    ...(plan.rungs ? { rung: plan.rungs.rung } : {}),
    ...(state.byClient ? { byClient: true as const } : {}),
    ...(state.enteredAtMs === null ? {} : { enteredAtMs: state.enteredAtMs }),
    given: doseOf(liveTimeline(plan, state, state.finishedAtMs ?? lastSaidMs(state))).limbs.map(givenTo),
  };
}

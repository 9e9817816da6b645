import { type Bout, boutsOf } from '../forecast/bouts';
import { MODEL, type Trainee } from '../forecast/fatigue-model';
import { USUAL } from '../forecast/fit-trainee';
import { boutRunner, type RunBouts } from '../forecast/run-bouts';
import type { Basis } from '../plan/basis';
import { compile } from '../plan/compile';
import { doseOf } from '../plan/dose';
import type { Plan } from '../plan/plan';
import type { Timeline } from '../plan/timeline';
import type { Limb } from '../quantity/limb';
import { MS_PER_MINUTE } from '../quantity/units';
import { type OpenedFigures, openedAt } from '../review/opened';
import type { Reading } from '../review/reading';
import { readingsOf } from '../review/review';
import { summaryOf, type Worked } from '../review/summary';
import { amountDone, type EnteredSession, enteredEvents, readAsPlanned } from '../session/entered';
import { fold } from '../session/fold';
import { type Log, mergeLogs } from '../session/log';
import { stampedLog } from '../session/stamp';
import { normal, type Random } from '../simulation/random';

/** Effort of a set that the model cannot foresee: done, and neither easy nor hard. */
const UNFORESEEN_EFFORT = 7;

/**
 * A session as a trainee might do it, by the forecast's model: for a simulated practice.
 * @param trainees how each limb takes it; usual where nothing is said
 */
export const simulatedSession = (
  plan: Plan,
  basis: Pick<Basis, 'library'>,
  trainees: ReadonlyMap<Limb, Trainee>,
  random: Random,
  startedAtMs: number,
): EnteredSession => runOnce(preparedFrom(plan, basis), trainees, random, startedAtMs);

/** What of a session is the same in every run; its readings are those of one that is done as planned. */
export type Prepared = {
  plan: Plan;
  timeline: Timeline;
  bouts: Bout[];
  run: RunBouts;
  minutes: number;
  opened: OpenedFigures[];
  readings: (Reading | null)[];
  worked: Worked[];
  /** Of each set of the timeline, the pressures it is planned at. */
  asRead: ReturnType<typeof readAsPlanned>[];
};

export function preparedFrom(plan: Plan, { library }: Pick<Basis, 'library'>): Prepared {
  const timeline = compile(plan);
  const bouts = boutsOf(plan, timeline, library);
  const asRead = timeline.sets.map((set) => readAsPlanned(plan, set));
  const asPlanned: EnteredSession = {
    startedAtMs: 0,
    jointPain: null,
    signs: [],
    sets: timeline.sets.map((set, place) => ({
      exerciseIndex: set.exerciseIndex,
      setIndex: set.setIndex,
      ...amountDone(set, set.reps),
      ...asRead[place],
      effort: UNFORESEEN_EFFORT,
    })),
  };
  const state = fold(plan, logOf(enteredEvents(plan, asPlanned, 0), 0));
  return {
    plan,
    timeline,
    bouts,
    run: boutRunner(bouts),
    minutes: doseOf(timeline).occludedMs / MS_PER_MINUTE,
    opened: openedAt(plan),
    readings: readingsOf({ plan, state }),
    worked: summaryOf(plan, state, null).worked,
    asRead,
  };
}

/** What was done of an exercise, where it differs from what was planned: repetitions and effort. */
export function readingIn(
  { readings, timeline }: Prepared,
  { sets }: EnteredSession,
  exerciseIndex: number,
): Reading | null {
  const planned = readings[exerciseIndex];
  if (!planned) return null;
  const own = timeline.sets.flatMap((set, place) =>
    set.exerciseIndex === exerciseIndex ? [{ asked: set.plannedReps, done: sets[place] }] : [],
  );
  const lastEffort = own.at(-1)?.done?.effort ?? null;
  if (!planned.reps) return { ...planned, lastEffort };
  const reps = own.map(({ asked, done }) => Math.min(done?.reps ?? 0, asked ?? 0));
  return {
    ...planned,
    lastEffort,
    reps: {
      ...planned.reps,
      done: reps.reduce((sum, one) => sum + one, 0),
      firstShort: (reps[0] ?? 0) < (own[0]?.asked ?? 0),
    },
  };
}

/** One session as a trainee of such endurance might do it; effort is ten less the repetitions that were left. */
export function runOnce(
  { timeline, bouts, run, asRead }: Prepared,
  trainees: ReadonlyMap<Limb, Trainee>,
  random: Random,
  startedAtMs: number,
): EnteredSession {
  const varied = bouts.map(() => Math.exp(MODEL.setSpread * normal(random)));
  const results = run(
    (limb) => trainees.get(limb) ?? USUAL,
    (place) => varied[place] ?? 1,
  );
  return {
    startedAtMs,
    jointPain: null,
    signs: [],
    sets: timeline.sets.map((set, place) => {
      const { exerciseIndex, setIndex, reps } = set;
      const bout = bouts.findIndex((one) => one.exerciseIndex === exerciseIndex && one.setIndex === setIndex);
      const result = results[bout];
      const at = { exerciseIndex, setIndex, ...asRead[place] };
      if (!result) return { ...at, ...amountDone(set, reps), effort: UNFORESEEN_EFFORT };
      const left = Math.floor(result.possible - result.done);
      return {
        ...at,
        ...amountDone(set, Math.round(result.done)),
        effort: Math.max(0, 10 - Math.max(0, left)),
      };
    }),
  };
}

const logOf = (events: ReturnType<typeof enteredEvents>, startMs: number): Log =>
  mergeLogs(
    stampedLog(
      { sessionId: '', deviceId: '' },
      events.map(({ afterMs, body }) => ({ atMs: startMs + afterMs, body })),
      String,
    ),
  );

import { type Bout, boutsOf } from '../forecast/bouts';
import { MODEL, type Trainee } from '../forecast/fatigue-model';
import { drawerOf, fitTrainee, USUAL } from '../forecast/fit-trainee';
import { boutRunner, type RunBouts } from '../forecast/run-bouts';
import type { Basis } from '../plan/basis';
import { compile } from '../plan/compile';
import { composeSession } from '../plan/compose';
import { doseOf } from '../plan/dose';
import type { Plan } from '../plan/plan';
import { plannedKg } from '../plan/planned-load';
import { measuredLimbs } from '../plan/target';
import type { Timeline } from '../plan/timeline';
import { LIMBS, type Limb } from '../quantity/limb';
import { MS_PER_DAY, MS_PER_MINUTE } from '../quantity/units';
import { nextSession } from '../review/next-session';
import { reviewEach } from '../review/review-each';
import type { Reviewed } from '../review/reviewed';
import { kindsMoved, summaryOf } from '../review/summary';
import { RULES } from '../rules/catalogue';
import { amountDone, type EnteredSession, enteredEvents } from '../session/entered';
import type { SessionEvent } from '../session/events';
import { fold } from '../session/fold';
import { type Log, mergeLogs } from '../session/log';
import { normal, type Random, seededRandom } from '../simulation/random';
import type { OnDay } from './block';
import type { BlockPlan } from './block-plan';

/**
 * A block to run forward: the sessions to come and the plans as they are signed, what everything is composed from, and sets
 * that were seen before, to know the person by. The same question gives the same answer.
 */
export type RehearsalQuestion = {
  sessions: OnDay[];
  plans: BlockPlan[];
  basis: Basis;
  seen: Bout[][];
  runs: number;
  seed: number;
};

/** The median of the runs, and the band that eight of ten fall in. */
export type Spread = { likely: number; low: number; high: number };

/** One session as the runs saw it, by its first exercise; `short` is the share of runs with under 80 % of the repetitions. */
export type RehearsedSession = OnDay & {
  percentLop: Spread | null;
  loadKg: Spread | null;
  minutes: Spread;
  short: number;
};

export type Rehearsal = {
  sessions: RehearsedSession[];
  /** The first session that more than half of the runs fall short in; null where none is. */
  stall: OnDay | null;
  runs: number;
};

const ENOUGH = RULES['REV-4'].figures.enoughShare;
const BAND = { low: 0.1, high: 0.9 };
/** Effort of a set that the model cannot foresee: done, and neither easy nor hard. */
const UNFORESEEN_EFFORT = 7;

/**
 * A block run forward on the forecast's model and the review's own rules: what is done is reviewed and accepted, and the
 * next session of that plan goes by it (rules REV-1 to REV-8, PRS-4). The person stays as they are now: it says where the
 * plans would outrun them, and promises no gain. It informs, and never sets a load.
 */
export function rehearse({ sessions, plans, basis, seen, runs, seed }: RehearsalQuestion): Rehearsal {
  const random = seededRandom(seed);
  const drawers = new Map(LIMBS.map((limb) => [limb, drawerOf(fitTrainee(seen, limb))] as const));
  const prepared = new Map<Plan, Prepared>();
  const prepare = (plan: Plan): Prepared => {
    const known = prepared.get(plan);
    if (known) return known;
    const made = preparedFrom(plan, basis);
    prepared.set(plan, made);
    return made;
  };
  // Many runs come to the same next session: it is composed once.
  const nexts = new Map<string, Plan>();
  const columns = sessions.map((): Seen[] => []);
  for (let run = 0; run < runs; run += 1) {
    const trainees = new Map(LIMBS.map((limb) => [limb, drawers.get(limb)?.(random) ?? USUAL]));
    const now = new Map(plans.map(({ id, plan }) => [id, plan]));
    const last = new Map<string, Reviewed>();
    const done = [...basis.done];
    for (const [place, { day, coursePlanId }] of sessions.entries()) {
      const plan = now.get(coursePlanId);
      if (!plan) continue;
      const nowMs = Math.max(basis.nowMs, day * MS_PER_DAY);
      const ready = prepare(plan);
      const entered = runOnce(ready, trainees, random, nowMs);
      const state = fold(plan, logOf(enteredEvents(plan, entered, nowMs), nowMs));
      columns[place]?.push(seenOf(plan, ready, entered));
      const changes = reviewEach(
        { plan, state, painBefore: null, before: last.get(coursePlanId) ?? null },
        { done, limits: basis.limits, kits: basis.weightKits, heavyWork: [] },
        day,
      ).map((advice) => advice?.change ?? {});
      const { worked, tolerated } = summaryOf(plan, state, null);
      done.push({ atMs: nowMs, day, kinds: kindsMoved(worked), worked, tolerated });
      last.set(coursePlanId, { plan, state });
      if (changes.every((change) => Object.keys(change).length === 0)) continue;
      const key = `${ready.id} ${JSON.stringify(changes)} ${day}`;
      const next = nexts.get(key) ?? composeNext(plan, changes, { ...basis, done, nowMs, today: day });
      nexts.set(key, next);
      now.set(coursePlanId, next);
    }
  }
  const rehearsed = sessions.map((session, place) => ({ ...session, ...summed(columns[place] ?? []) }));
  return { sessions: rehearsed, stall: rehearsed.find(({ short }) => short > 0.5) ?? null, runs };
}

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

/** What of a plan is the same in every run. */
type Prepared = { id: number; timeline: Timeline; bouts: Bout[]; run: RunBouts; minutes: number };

let lastId = 0;
function preparedFrom(plan: Plan, { library }: Pick<Basis, 'library'>): Prepared {
  const timeline = compile(plan);
  const bouts = boutsOf(plan, timeline, library);
  lastId += 1;
  return {
    id: lastId,
    timeline,
    bouts,
    run: boutRunner(bouts),
    minutes: doseOf(timeline).occludedMs / MS_PER_MINUTE,
  };
}

/** One session as a trainee of such endurance might do it; effort is ten less the repetitions that were left. */
function runOnce(
  { timeline, bouts, run }: Prepared,
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
    sets: timeline.sets.map((set) => {
      const { exerciseIndex, setIndex, reps } = set;
      const at = bouts.findIndex(
        (bout) => bout.exerciseIndex === exerciseIndex && bout.setIndex === setIndex,
      );
      const result = results[at];
      if (!result) return { exerciseIndex, setIndex, ...amountDone(set, reps), effort: UNFORESEEN_EFFORT };
      const left = Math.floor(result.possible - result.done);
      return {
        exerciseIndex,
        setIndex,
        ...amountDone(set, Math.round(result.done)),
        effort: Math.max(0, 10 - Math.max(0, left)),
      };
    }),
  };
}

const logOf = (events: ReturnType<typeof enteredEvents>, startMs: number): Log =>
  mergeLogs(
    events.map(
      ({ afterMs, body }, seq) =>
        ({
          ...body,
          id: `${seq}`,
          sessionId: '',
          deviceId: '',
          seq,
          atMs: startMs + afterMs,
        }) as SessionEvent,
    ),
  );

function composeNext(plan: Plan, changes: Parameters<typeof nextSession>[1], basis: Basis): Plan {
  const { session } = nextSession(plan, changes, basis);
  return session ? composeSession(session, basis).plan : plan;
}

/** What a run saw of a session. */
type Seen = { percentLop: number | null; loadKg: number | null; minutes: number; isShort: boolean };

function seenOf(plan: Plan, { minutes, timeline }: Prepared, { sets }: EnteredSession): Seen {
  const [exercise] = plan.exercises;
  const planned = timeline.sets.reduce((sum, { plannedReps }) => sum + (plannedReps ?? 0), 0);
  const counted = timeline.sets.flatMap(({ plannedReps }, place) =>
    plannedReps === null ? [] : [sets[place]?.reps ?? 0],
  );
  const reps = counted.reduce((sum, one) => sum + one, 0);
  return {
    percentLop: (exercise && measuredLimbs(exercise)[0]?.percentLop) ?? null,
    loadKg: exercise ? plannedKg(exercise.load) : null,
    minutes,
    isShort: reps < ENOUGH * planned,
  };
}

function summed(seen: readonly Seen[]): Omit<RehearsedSession, keyof OnDay> {
  return {
    percentLop: spread(seen.map(({ percentLop }) => percentLop)),
    loadKg: spread(seen.map(({ loadKg }) => loadKg)),
    minutes: spread(seen.map(({ minutes }) => minutes)) ?? { likely: 0, low: 0, high: 0 },
    short: seen.length === 0 ? 0 : seen.filter(({ isShort }) => isShort).length / seen.length,
  };
}

/** Null where nothing is known in any run. */
function spread(values: readonly (number | null)[]): Spread | null {
  const sorted = values.filter((value) => value !== null).sort((a, b) => a - b);
  const at = (share: number) => sorted[Math.floor(share * (sorted.length - 1))] ?? 0;
  return sorted.length === 0 ? null : { likely: at(0.5), low: at(BAND.low), high: at(BAND.high) };
}

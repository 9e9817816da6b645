import type { Bout } from '../forecast/bouts';
import type { Trainee } from '../forecast/fatigue-model';
import { drawerOf, fitTrainee, USUAL } from '../forecast/fit-trainee';
import type { Basis, SessionDone } from '../plan/basis';
import type { ExerciseChoice, SessionChoice } from '../plan/choices';
import { composeSession } from '../plan/compose';
import { limbValue } from '../plan/figures';
import { isRise } from '../plan/move';
import type { Plan } from '../plan/plan';
import { plannedKg } from '../plan/planned-load';
import { measuredLimbs } from '../plan/target';
import type { Day } from '../quantity/days';
import { LIMBS, type Limb } from '../quantity/limb';
import { MS_PER_DAY } from '../quantity/units';
import { recommendFrom } from '../review/review';
import { isTolerable } from '../review/summary';
import { RULES } from '../rules/catalogue';
import type { EnteredSession } from '../session/entered';
import { type Random, seededRandom } from '../simulation/random';
import type { CourseRecord, OpenedSession } from './course-record';
import { doneOn, openedOn } from './lived';
import type { OnDay } from './on-day';
import { type ReviewedSession, reviewInCourse } from './review-course';
import { type DaySession, sessionOn } from './session-on';
import { type Prepared, preparedFrom, readingIn, runOnce } from './simulated-session';

/** A plan that is rehearsed: as it is signed, and what it is folded from now (rule CRS-2). */
export type RehearsedCourse = { id: string; plan: Plan; record: CourseRecord };

/**
 * A block to run forward: the sessions to come, the courses they are of, and sets that were seen before, to know the person by. The
 * same question gives the same answer.
 */
export type RehearsalQuestion = {
  sessions: OnDay[];
  courses: RehearsedCourse[];
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
  /** The share of runs in which a rise waited or something stepped back that day. */
  waits: number;
  stepsBack: number;
};

export type Rehearsal = {
  sessions: RehearsedSession[];
  /** The first session that more than half of the runs fall short in; null where none is. */
  stall: OnDay | null;
  /** The first that more than half of the runs step back before; null where none is. */
  stepBack: OnDay | null;
  runs: number;
};

const ENOUGH = RULES['REV-4'].figures.enoughShare;
const BAND = { low: 0.1, high: 0.9 };

/**
 * A block run forward on the forecast's model, by the function that says what is to be done on a day and the review's own rules
 * (rules CRS-2, CRS-3, REV-1 to REV-8, PRS-4): where a review asks, nothing is answered, and the plan holds. The person stays as they
 * are now: it says where the plans would outrun them, and promises no gain. It informs, and never sets a load.
 */
export const rehearse = (question: RehearsalQuestion): Rehearsal =>
  rehearsalOf(question, [rehearseRuns(question, 0, question.runs)]);

/** What some runs saw: for each session, a line a run. */
export type RunsSeen = Seen[][];

/**
 * Some of the runs of a rehearsal, so that several workers can share them: each run draws by itself, whichever of them it is in.
 * @param fromRun the first, from 0 @param toRun the one after the last
 */
export function rehearseRuns(
  { sessions, courses, seen, seed }: RehearsalQuestion,
  fromRun: number,
  toRun: number,
): RunsSeen {
  const drawers = new Map(LIMBS.map((limb) => [limb, drawerOf(fitTrainee(seen, limb))] as const));
  // Many runs come to the same session: it is composed once.
  const prepared = new Map<string, Prepared>();
  const columns = sessions.map((): Seen[] => []);
  for (let run = fromRun; run < toRun; run += 1) {
    const random = seededRandom(seed + run * APART);
    const trainees = new Map(LIMBS.map((limb) => [limb, drawers.get(limb)?.(random) ?? USUAL]));
    const lives = new Map(courses.map((course) => [course.id, new Life(course, prepared)]));
    const done = [...(courses[0]?.record.basis.done ?? [])];
    for (const [place, { day, coursePlanId }] of sessions.entries()) {
      const seenThen = lives.get(coursePlanId)?.live(day, done, trainees, random);
      if (seenThen) columns[place]?.push(seenThen);
    }
  }
  return columns;
}

/** So far apart that the draws of two runs do not meet. */
const APART = 0x9e3779b1;

/** The rehearsal that shares of its runs come to. */
export function rehearsalOf({ sessions, runs }: RehearsalQuestion, shares: readonly RunsSeen[]): Rehearsal {
  const rehearsed = sessions.map((session, place) => ({
    ...session,
    ...summed(shares.flatMap((columns) => columns[place] ?? [])),
  }));
  return {
    sessions: rehearsed,
    stall: rehearsed.find(({ short }) => short > 0.5) ?? null,
    stepBack: rehearsed.find(({ stepsBack }) => stepsBack > 0.5) ?? null,
    runs,
  };
}

/** One course in one run: what was opened, and what its review says. */
class Life {
  private readonly opened: OpenedSession[];
  private readonly trainedDays: Day[];
  private readonly kept: { session: OpenedSession; ready: Prepared }[] = [];
  private advices: CourseRecord['advices'];
  private readonly reviewed: ReviewedSession[] = [];

  constructor(
    private readonly course: RehearsedCourse,
    private readonly prepared: Map<string, Prepared>,
  ) {
    const { opened, trainedDays, advices } = course.record;
    this.opened = [...opened];
    this.trainedDays = [...trainedDays];
    this.advices = advices;
  }

  /** @param done of all courses, which this adds to */
  live(day: Day, done: SessionDone[], trainees: ReadonlyMap<Limb, Trainee>, random: Random): Seen {
    const { plan, record } = this.course;
    const basis: Basis = { ...record.basis, done, today: day };
    const of = sessionOn(
      plan,
      { ...record, basis, opened: this.opened, trainedDays: this.trainedDays, advices: this.advices },
      day,
    );
    const ready = this.asLastTime(of) ?? this.prepare(of.session, basis);
    const entered = runOnce(ready, trainees, random, day * MS_PER_DAY);
    const exercises = ready.opened.map((figures, place) => ({
      ...figures,
      reading: readingIn(ready, entered, place),
      answer: null,
    }));
    const tolerated = exercises.every(
      ({ reading }) => !reading || isTolerable(recommendFrom(reading, null, UNBOUNDED).rule),
    );
    this.keep(openedOn(day, ready.opened, tolerated, of), ready);
    this.trainedDays.push(day);
    done.push(doneOn(day, ready.worked, tolerated));
    this.reviewed.unshift({ exercises, painBefore: null });
    this.advices = reviewInCourse(plan, this.reviewed, {
      done,
      limits: basis.limits,
      kits: basis.weightKits,
      heavyWork: [],
      today: day,
    }).map((one) => (one && !one.leavesBounds ? { ...one.advice, change: one.change } : undefined));
    return {
      ...seenOf(ready, entered),
      waits: of.waits.length > 0,
      stepsBack: of.moves.some((move) => !isRise(move)),
    };
  }

  /** What was opened; of several alike in a row the first and the last say all that is asked of them. */
  private keep(session: OpenedSession, ready: Prepared): void {
    const isAlike = (one: { session: OpenedSession; ready: Prepared } | undefined) =>
      one?.ready === ready && one.session.tolerated === session.tolerated;
    if (isAlike(this.kept.at(-1)) && isAlike(this.kept.at(-2))) {
      this.kept.pop();
      this.opened.pop();
    }
    this.kept.push({ session, ready });
    this.opened.push(session);
  }

  /** The session before this one, where nothing is another now. */
  private asLastTime({ moves, deloadPercent }: DaySession): Prepared | null {
    const last = this.kept.at(-1);
    const isSame =
      moves.length === 0 &&
      deloadPercent === null &&
      !last?.session.wasDeload &&
      this.advices.every((advice) => advice?.change.restMs === undefined);
    return (isSame && last?.ready) || null;
  }

  private prepare(session: SessionChoice, basis: Basis): Prepared {
    const key = `${this.course.id} ${session.exercises.map(figuresText).join(' ')}`;
    const known = this.prepared.get(key);
    if (known) return known;
    const made = preparedFrom(composeSession(session, basis).plan, basis);
    this.prepared.set(key, made);
    return made;
  }
}

/** All of an exercise that a course may move, as a text. */
const figuresText = ({ limbs, load, sets, intensity }: ExerciseChoice): string =>
  [
    ...limbs.map(limbValue),
    load.kind === 'weighed' ? load.percentOneRepMax : load.with,
    ...sets.flatMap(({ work, restMs }) => [
      work.kind === 'reps' ? work.reps : work.kind === 'timed' ? work.workMs : work.pacedTo,
      restMs,
    ]),
    intensity ? JSON.stringify(intensity) : '',
  ].join(',');

const UNBOUNDED = { painBefore: null, capPercentLop: null, rampPercentLop: null, kits: [], heavyWork: [] };

/** What a run saw of a session. */
type Seen = {
  percentLop: number | null;
  loadKg: number | null;
  minutes: number;
  isShort: boolean;
  waits: boolean;
  stepsBack: boolean;
};

function seenOf(
  { plan, minutes, timeline }: Prepared,
  { sets }: EnteredSession,
): Omit<Seen, 'waits' | 'stepsBack'> {
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
    short: shareOf(seen, ({ isShort }) => isShort),
    waits: shareOf(seen, (one) => one.waits),
    stepsBack: shareOf(seen, (one) => one.stepsBack),
  };
}

const shareOf = (seen: readonly Seen[], is: (one: Seen) => boolean): number =>
  seen.length === 0 ? 0 : seen.filter(is).length / seen.length;

/** Null where nothing is known in any run. */
function spread(values: readonly (number | null)[]): Spread | null {
  const sorted = values.filter((value) => value !== null).sort((a, b) => a - b);
  const at = (share: number) => sorted[Math.floor(share * (sorted.length - 1))] ?? 0;
  return sorted.length === 0 ? null : { likely: at(0.5), low: at(BAND.low), high: at(BAND.high) };
}

import { targetLoad } from '../load/target-load';
import type { WeightKit } from '../load/weight-kit';
import { type Message, msg, sentences } from '../message/message';
import { exerciseChoiceOf } from '../plan/choices-of';
import { figureValue } from '../plan/figures';
import { movementOf } from '../plan/movement';
import type { PlannedExercise } from '../plan/plan';
import { rampLevel } from '../pressure/ramp';
import { dayAt } from '../quantity/days';
import { limbKind } from '../quantity/limb';
import { newestBy } from '../quantity/newest';
import { MS_PER_DAY } from '../quantity/units';
import { percentSteps } from '../review/carry-over';
import { type Change, changeWords } from '../review/change';
import type { Bounds } from '../review/done';
import type { OpenedExercise } from '../review/opened';
import type { Reading } from '../review/reading';
import { isSameWork, type Recommendation, recommendFrom } from '../review/review';
import { boundOfShare, leastOf } from '../review/review-each';
import { RULES } from '../rules/catalogue';
import { capOn } from '../screening/clearance';
import type { ClientFacts, PrescriptionFact, SessionFact } from './facts';
import { limitsInForce } from './limits-in-force';
import { sessionsDone } from './sessions-done';

/** What the last session of a plan says for an exercise: the change, and whether it moves by itself or asks (rule REV-10). */
export type ExerciseReview = {
  advice: Recommendation;
  /** As it was answered, where it was; else as advised. */
  change: Change;
  isAnswered: boolean;
  /** Whether the change leaves what was signed, so that it is a new version. */
  leavesBounds: boolean;
  /** Why it waits for an answer, in words; null where the plan moves by itself. */
  asks: Message | null;
};

/** The review of a plan's last session; null for an exercise of which no set was begun. */
export type CourseReview = { session: SessionFact; exercises: (ExerciseReview | null)[] };

/** Sessions under a signature that count for its course, the oldest first. */
export const openedUnder = (
  { versions }: Pick<PrescriptionFact, 'versions'>,
  { sessions }: Pick<ClientFacts, 'sessions'>,
  nowMs: number,
): SessionFact[] =>
  sessions
    .filter(
      ({ prescriptionId, startedAtMs, finishedAtMs, worked }) =>
        versions.includes(prescriptionId) &&
        finishedAtMs !== null &&
        worked.length > 0 &&
        startedAtMs <= nowMs,
    )
    .sort((a, b) => a.startedAtMs - b.startedAtMs);

/**
 * Reviews the last session under a signature, and says of each exercise whether the plan moves by itself: it does inside what was
 * signed; it asks where it leaves that, after a sign or pain, and at the second step down in a row (rules CRS-3, REV-10).
 */
export function reviewOfCourse(
  prescription: PrescriptionFact,
  facts: ClientFacts,
  kits: readonly WeightKit[],
  nowMs: number,
): CourseReview | null {
  const opened = openedUnder(prescription, facts, nowMs);
  const session = opened.at(-1);
  if (!session || session.exercises.length === 0) return null;
  const [before, beforeThat] = [opened.at(-2), opened.at(-3)];
  const advise = (of: SessionFact, prior: SessionFact | undefined, place: number) =>
    adviceOn(of, prior, place, { prescription, facts, kits, nowMs });
  return {
    session,
    exercises: session.exercises.map((exercise, place) => {
      const signed = prescription.plan.exercises[place];
      const advice = advise(session, before, place);
      if (!advice || !signed) return null;
      const change = exercise.answer ?? advice.change;
      const isAnswered = exercise.answer !== null;
      const beyond = leavesBounds(signed, exercise, change, kits);
      const wasDown = before ? isDown(advise(before, beforeThat, place)?.change) : false;
      return {
        advice,
        change,
        isAnswered,
        leavesBounds: beyond,
        asks: isAnswered ? null : whyAsked(advice, beyond, wasDown),
      };
    }),
  };
}

const isDown = (change: Change | undefined): boolean =>
  (change?.pressurePoints ?? 0) < 0 || (change?.loadSteps ?? 0) < 0;

/** Rules after which an answer is asked for, whatever they change. */
const ASKING = ['REV-1', 'REV-2'];

function whyAsked(
  { rule, change, reason }: Recommendation,
  beyond: boolean,
  wasDown: boolean,
): Message | null {
  if (ASKING.includes(rule)) return msg('{reason} It is answered before the next session.', { reason });
  if (change.easier || change.heavyBridge)
    return msg('{reason} The review says: {change}.', { reason, change: changeWords(change) });
  if (beyond)
    return msg('{reason} {change} is more than was signed.', { reason, change: changeWords(change) });
  return isDown(change) && wasDown ? sentences(reason, msg('It is the second step down in a row.')) : null;
}

/** Whether a change asks for more than was signed: past the bound, or of a figure that was signed as steady. */
function leavesBounds(
  signed: PlannedExercise,
  { limbs, figures }: OpenedExercise,
  { pressurePoints = 0, loadSteps = 0 }: Change,
  kits: readonly WeightKit[],
): boolean {
  const pressure = movementOf(signed, 'pressure');
  const most = pressure?.to ?? figureValue(exerciseChoiceOf(signed), 'percent-lop') ?? 0;
  if (
    pressurePoints > 0 &&
    limbs.some(({ figure, value }) => figure === 'percent-lop' && (value ?? 0) + pressurePoints > most)
  )
    return true;
  const asked = figures['percent-1rm'];
  if (loadSteps <= 0 || asked === undefined || signed.load.kind !== 'weighed') return false;
  const { oneRepMax, weightKitId, percentOneRepMax } = signed.load;
  const kit = kits.find(({ id }) => id === weightKitId);
  if (!kit) return false;
  const oneRepMaxKg = oneRepMax.value;
  const made = (percent: number) => targetLoad(oneRepMaxKg, percent, kit).load.value;
  const next = percentSteps(asked, { oneRepMaxKg, madeKg: made(asked), kit }, loadSteps);
  return made(next) > made(Math.max(percentOneRepMax, movementOf(signed, 'load')?.to ?? 0));
}

type Beside = {
  prescription: PrescriptionFact;
  facts: ClientFacts;
  kits: readonly WeightKit[];
  nowMs: number;
};

/** What one session says of an exercise, bounded by the caps and the ramp in force, and by what was signed (rule CRS-4). */
function adviceOn(
  session: SessionFact,
  before: SessionFact | undefined,
  place: number,
  { prescription: { plan }, facts, kits, nowMs }: Beside,
): Recommendation | null {
  const reading = session.exercises[place]?.reading;
  const signed = plan.exercises[place];
  const [limb] = reading?.limbs ?? [];
  if (!reading || !signed || !limb) return null;
  const today = dayAt(nowMs, facts.zoneOffsetMs);
  const ramp = rampLevel(sessionsDone(facts), limbKind(limb), plan.schoolId, today);
  return recommendFrom(reading, sameIn(before, reading), {
    painBefore: session.painBefore,
    capPercentLop: leastOf(capOn(limitsInForce(facts, nowMs), reading.limbs), boundOfShare(signed)),
    rampPercentLop: ramp.running ? ramp.percentLop : null,
    kits,
    heavyWork: heavyWorkNow(facts, nowMs),
  });
}

const sameIn = (before: SessionFact | undefined, reading: Reading): Reading | null =>
  before?.exercises.map((one) => one.reading).find((other) => other !== null && isSameWork(other, reading)) ??
  null;

/** Heavy work of the days that count for a review, the newest first (rule REV-8). */
export function heavyWorkNow(
  { heavyWork }: Pick<ClientFacts, 'heavyWork'>,
  nowMs: number,
): Bounds['heavyWork'] {
  const { withinDays } = RULES['REV-8'].figures.heavyWork;
  return heavyWork
    .filter(({ atMs }) => atMs <= nowMs && atMs > nowMs - withinDays * MS_PER_DAY)
    .sort((a, b) => b.atMs - a.atMs);
}

/**
 * The last finished session of a plan, whichever version it ran; also one of a plan that has ended since and did the same
 * exercise on the same limb, so that no review is passed by under another name.
 */
export function lastOf(
  prescribed: PrescriptionFact,
  { sessions, coursePlans }: Pick<ClientFacts, 'sessions' | 'coursePlans'>,
): SessionFact | undefined {
  const done = new Set(
    prescribed.plan.exercises.flatMap(({ exerciseId, limbs }) =>
      limbs.map(({ limb }) => `${exerciseId} ${limb}`),
    ),
  );
  const isOwn = ({ coursePlanId, worked }: SessionFact) =>
    coursePlanId === prescribed.coursePlanId ||
    (!coursePlans.some(({ id }) => id === coursePlanId) &&
      worked.some(({ exerciseId, limbs }) => limbs.some((limb) => done.has(`${exerciseId} ${limb}`))));
  return newestBy(
    sessions.filter((session) => session.finishedAtMs !== null && isOwn(session)),
    ({ startedAtMs }) => startedAtMs,
  );
}

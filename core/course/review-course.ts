import type { WeightKit } from '../load/weight-kit';
import { type Message, msg, sentences } from '../message/message';
import { exerciseChoiceOf } from '../plan/choices-of';
import { figureValue } from '../plan/figures';
import { movementOf } from '../plan/movement';
import type { Plan, PlannedExercise } from '../plan/plan';
import { type RampSession, rampLevel } from '../pressure/ramp';
import type { Day } from '../quantity/days';
import { limbKind } from '../quantity/limb';
import { type Change, changeWords } from '../review/change';
import type { Bounds } from '../review/done';
import type { OpenedExercise, OpenedFigures } from '../review/opened';
import type { Reading } from '../review/reading';
import { isSameWork, type Recommendation, recommendFrom } from '../review/review';
import { boundOfShare, leastOf } from '../review/review-each';
import { capOn, type Limits } from '../screening/clearance';
import { liftedWith, madeKg, stepped } from './lifted';

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

/** A session as its review reads it. */
export type ReviewedSession = { exercises: readonly OpenedExercise[]; painBefore: number | null };

/** What a review is bounded by. */
export type ReviewBeside = Pick<Bounds, 'kits' | 'heavyWork'> & {
  done: readonly RampSession[];
  limits: Limits;
  today: Day;
};

/**
 * Reviews the last session under a signature, and says of each exercise whether the plan moves by itself: it does inside what was
 * signed; it asks where it leaves that, after a sign or pain, and at the second step down in a row (rules CRS-3, REV-10).
 * @param sessions under the signature, the newest first; no more than three are looked at
 * @returns by the place of the exercise; null where no set was begun
 */
export function reviewInCourse(
  plan: Plan,
  [last, before, beforeThat]: readonly ReviewedSession[],
  beside: ReviewBeside,
): (ExerciseReview | null)[] {
  if (!last) return [];
  return last.exercises.map((exercise, place) => {
    const signed = plan.exercises[place];
    const advice = signed && adviceOn(signed, plan, last, before, place, beside);
    if (!advice) return null;
    const change = exercise.answer ?? advice.change;
    const beyond = leavesBounds(signed, exercise, change, beside.kits);
    const wasDown = () =>
      before !== undefined && isDown(adviceOn(signed, plan, before, beforeThat, place, beside)?.change);
    const isAnswered = exercise.answer !== null;
    return {
      advice,
      change,
      isAnswered,
      leavesBounds: beyond,
      asks: isAnswered ? null : whyAsked(advice, beyond, wasDown),
    };
  });
}

const isDown = (change: Change | undefined): boolean =>
  (change?.pressurePoints ?? 0) < 0 || (change?.loadSteps ?? 0) < 0;

/** Rules after which an answer is asked for, whatever they change. */
const ASKING = ['REV-1', 'REV-2'];

function whyAsked(
  { rule, change, reason }: Recommendation,
  beyond: boolean,
  wasDown: () => boolean,
): Message | null {
  if (ASKING.includes(rule)) return msg('{reason} It is answered before the next session.', { reason });
  if (change.easier || change.heavyBridge)
    return msg('{reason} The review says: {change}.', { reason, change: changeWords(change) });
  if (beyond)
    return msg('{reason} {change} is more than was signed.', { reason, change: changeWords(change) });
  return isDown(change) && wasDown() ? sentences(reason, msg('It is the second step down in a row.')) : null;
}

/** Whether a change asks for more than was signed: past the bound, or of a figure that was signed as steady. */
function leavesBounds(
  signed: PlannedExercise,
  { limbs, figures }: OpenedFigures,
  { pressurePoints = 0, loadSteps = 0 }: Change,
  kits: readonly WeightKit[],
): boolean {
  const most =
    movementOf(signed, 'pressure')?.to ?? figureValue(exerciseChoiceOf(signed), 'percent-lop') ?? 0;
  if (
    pressurePoints > 0 &&
    limbs.some(({ figure, value }) => figure === 'percent-lop' && (value ?? 0) + pressurePoints > most)
  )
    return true;
  const asked = figures['percent-1rm'];
  if (loadSteps <= 0 || asked === undefined || signed.load.kind !== 'weighed') return false;
  const lifted = liftedWith(signed.load, kits);
  if (!lifted) return false;
  const mostPercent = Math.max(signed.load.percentOneRepMax, movementOf(signed, 'load')?.to ?? 0);
  return madeKg(stepped(asked, loadSteps, lifted), lifted) > madeKg(mostPercent, lifted);
}

/** What one session says of an exercise, bounded by the caps and the ramp in force, and by what was signed (rule CRS-4). */
function adviceOn(
  signed: PlannedExercise,
  { schoolId }: Plan,
  session: ReviewedSession,
  before: ReviewedSession | undefined,
  place: number,
  { done, limits, today, kits, heavyWork }: ReviewBeside,
): Recommendation | null {
  const reading = session.exercises[place]?.reading;
  const [limb] = reading?.limbs ?? [];
  if (!reading || !limb) return null;
  const ramp = rampLevel(done, limbKind(limb), schoolId, today);
  return recommendFrom(reading, sameIn(before, reading), {
    painBefore: session.painBefore,
    capPercentLop: leastOf(capOn(limits, reading.limbs), boundOfShare(signed)),
    rampPercentLop: ramp.running ? ramp.percentLop : null,
    kits,
    heavyWork,
  });
}

const sameIn = (before: ReviewedSession | undefined, reading: Reading): Reading | null =>
  before?.exercises.map((one) => one.reading).find((other) => other !== null && isSameWork(other, reading)) ??
  null;

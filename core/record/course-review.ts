import { type ExerciseReview, reviewInCourse } from '../course/review-course';
import type { WeightKit } from '../load/weight-kit';
import { onRung } from '../plan/rungs';
import { dayAt } from '../quantity/days';
import { newestBy } from '../quantity/newest';
import { MS_PER_DAY } from '../quantity/units';
import type { Bounds } from '../review/done';
import { RULES } from '../rules/catalogue';
import type { ClientFacts, PrescriptionFact, SessionFact } from './facts';
import { limitsInForce } from './limits-in-force';
import { sessionsDone } from './sessions-done';

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

/** Whether a session did the work of the rung that a version is on; where it has no rungs there is one work alone. */
export const isOnRungOf = (
  { plan }: Pick<PrescriptionFact, 'plan'>,
  { rung }: Pick<SessionFact, 'rung'>,
): boolean => rung === plan.rungs?.rung;

/**
 * Reviews the last session under a signature (rules CRS-3, REV-10); null where there is none, or it is of an earlier release. One
 * on another rung is reviewed by the work of that rung.
 */
export function reviewOfCourse(
  prescription: PrescriptionFact,
  facts: ClientFacts,
  kits: readonly WeightKit[],
  nowMs: number,
): CourseReview | null {
  const newestFirst = openedUnder(prescription, facts, nowMs).reverse();
  const [session] = newestFirst;
  if (!session || session.exercises.length === 0) return null;
  const plan = session.rung ? onRung(prescription.plan, session.rung) : prescription.plan;
  const alike = newestFirst.filter(({ rung }) => rung === session.rung);
  const exercises = reviewInCourse(plan, alike, {
    kits,
    heavyWork: heavyWorkNow(facts, nowMs),
    done: sessionsDone(facts),
    limits: limitsInForce(facts, nowMs),
    today: dayAt(nowMs, facts.zoneOffsetMs),
  });
  return { session, exercises };
}

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

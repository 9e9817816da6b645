import type { CourseRecord } from '../course/course-record';
import { type DayChoices, type DaySession, sessionOn } from '../course/session-on';
import type { Basis } from '../plan/basis';
import type { Deload } from '../plan/movement';
import { dayAt, dayOf } from '../quantity/days';
import { newest, newestBy } from '../quantity/newest';
import { basisOf } from './basis';
import { type CourseReview, openedUnder, reviewOfCourse } from './course-review';
import type { ClientFacts, KitInUse, PrescriptionFact } from './facts';

/** The session of a day with what it was made from. */
export type CourseToday = { day: DaySession; review: CourseReview | null; basis: Basis };

/** What is to be done now by a signed plan (rule CRS-2). */
export function courseToday(
  prescription: PrescriptionFact,
  facts: ClientFacts,
  kit: KitInUse,
  nowMs: number,
  choices?: DayChoices,
): CourseToday {
  const { record, review } = courseRecordOf(prescription, facts, kit, nowMs);
  const today = dayAt(nowMs, facts.zoneOffsetMs);
  return { day: sessionOn(prescription.plan, record, today, choices), review, basis: record.basis };
}

/** What a course is folded from, as it is known now (rule CRS-2). */
export function courseRecordOf(
  prescription: PrescriptionFact,
  facts: ClientFacts,
  kit: KitInUse,
  nowMs: number,
): { record: CourseRecord; review: CourseReview | null } {
  const day = (atMs: number) => dayAt(atMs, facts.zoneOffsetMs);
  const review = reviewOfCourse(prescription, facts, kit.weightKits, nowMs);
  const record: CourseRecord = {
    basis: basisOf(facts, kit, prescription.role, nowMs),
    opened: openedUnder(prescription, facts, nowMs).map(
      ({ startedAtMs, tolerated, wasLighter, wasDeload, exercises }) => ({
        day: day(startedAtMs),
        tolerated,
        exercises: exercises.map(({ reading, answer: _, ...figures }) => ({
          ...figures,
          isBegun: reading !== null,
        })),
        ...(wasLighter ? { wasLighter } : {}),
        ...(wasDeload ? { wasDeload } : {}),
      }),
    ),
    advices: prescription.plan.exercises.map((_, place) => {
      const one = review?.exercises[place];
      // What leaves the bounds is the next version's; what waits for an answer moves nothing up.
      return one && !one.leavesBounds
        ? { change: one.change, reason: one.advice.reason, rule: one.advice.rule }
        : undefined;
    }),
    trainedDays: facts.sessions
      .filter(
        ({ coursePlanId, worked, startedAtMs }) =>
          coursePlanId === prescription.coursePlanId && worked.length > 0 && startedAtMs <= nowMs,
      )
      .map(({ startedAtMs }) => day(startedAtMs)),
    deload: deloadOfBlock(facts, prescription.coursePlanId, day(nowMs)),
    isPassed: (rule, exerciseIndex) =>
      prescription.guards.some((guard) => guard.rule === rule && guard.exerciseIndex === exerciseIndex),
  };
  return { record, review };
}

/** Deload weeks that the block which schedules a plan asks for; null where it asks for none, or is over. */
function deloadOfBlock(
  { blocks }: Pick<ClientFacts, 'blocks'>,
  coursePlanId: string,
  today: number,
): Deload | null {
  const wish = newest(blocks)?.wish;
  if (!wish?.lines.some((line) => line.coursePlanId === coursePlanId)) return null;
  const from = dayOf(wish.startsOn);
  return today >= from && today < from + 7 * wish.weeks ? wish.deload : null;
}

/** A record as it was known at a moment: without the sessions that were recorded later (rule CRS-2). */
export const asKnownAt = (facts: ClientFacts, atMs: number): ClientFacts => ({
  ...facts,
  sessions: facts.sessions.filter(
    ({ startedAtMs, finishedAtMs, enteredAtMs }) =>
      startedAtMs < atMs && (enteredAtMs ?? finishedAtMs ?? startedAtMs) <= atMs,
  ),
  occlusions: facts.occlusions.filter((fact) => fact.atMs <= atMs),
});

/** Whether the last session of a plan was at home and no practitioner has answered it yet: at home nothing rises on it (CRS-3). */
export function waitsToBeSeen(
  { sessions }: Pick<ClientFacts, 'sessions'>,
  { coursePlanId }: Pick<PrescriptionFact, 'coursePlanId'>,
): boolean {
  const last = newestBy(
    sessions.filter((one) => one.coursePlanId === coursePlanId && one.finishedAtMs !== null),
    ({ startedAtMs }) => startedAtMs,
  );
  return last?.byClient === true && !last.reviewed;
}

/** What a version that is not signed yet begins with: nothing was opened under it, and everything else is as it stands. */
export const recordOfDraft = (
  coursePlanId: string | null,
  facts: ClientFacts,
  basis: Basis,
): CourseRecord => ({
  basis,
  opened: [],
  advices: [],
  trainedDays: facts.sessions
    .filter((session) => session.coursePlanId === coursePlanId && session.worked.length > 0)
    .map(({ startedAtMs }) => dayAt(startedAtMs, facts.zoneOffsetMs)),
  deload: coursePlanId === null ? null : deloadOfBlock(facts, coursePlanId, basis.today),
  isPassed: () => false,
});

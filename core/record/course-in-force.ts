import type { CourseRecord } from '../course/course-record';
import { type DayChoices, type DaySession, sessionOn } from '../course/session-on';
import { msg } from '../message/message';
import type { Basis } from '../plan/basis';
import { composeSession, unlessUnknown } from '../plan/compose';
import { moveWords } from '../plan/move';
import type { Deload } from '../plan/movement';
import type { Plan } from '../plan/plan';
import { type Day, dayAt, dayOf } from '../quantity/days';
import { newest, newestBy } from '../quantity/newest';
import { draftFrom } from '../review/next-session';
import { basisOf } from './basis';
import { type CourseReview, isOnRungOf, openedUnder, reviewOfCourse } from './course-review';
import type { ClientFacts, KitInUse, PrescriptionFact, SessionFact } from './facts';
import { guardsThatStand } from './on-their-rungs';

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
    opened: openedUnder(prescription, facts, nowMs).map((session) => ({
      day: day(session.startedAtMs),
      tolerated: session.tolerated,
      // Of a session on another rung only the day and how it went count.
      exercises: isOnRungOf(prescription, session)
        ? session.exercises.map(({ reading, answer: _, ...figures }) => ({
            ...figures,
            isBegun: reading !== null,
          }))
        : [],
      ...(session.wasLighter ? { wasLighter: true as const } : {}),
      ...(session.wasDeload ? { wasDeload: true as const } : {}),
    })),
    advices: prescription.plan.exercises.map((_, place) => {
      const one = review && isOnRungOf(prescription, review.session) ? review.exercises[place] : null;
      // What leaves the bounds is the next version's; what waits for an answer moves nothing up.
      return one && !one.leavesBounds
        ? { change: one.change, reason: one.advice.reason, rule: one.advice.rule }
        : undefined;
    }),
    trainedDays: trainedDaysOf(prescription.coursePlanId, facts, nowMs),
    deload: deloadOfBlock(facts, prescription.coursePlanId, day(nowMs)),
    passed: guardsThatStand(prescription),
  };
  return { record, review };
}

/** Days on which a plan was trained, whichever version. */
const trainedDaysOf = (coursePlanId: string, facts: ClientFacts, nowMs: number): Day[] =>
  facts.sessions
    .filter(
      (session) =>
        session.coursePlanId === coursePlanId && session.worked.length > 0 && session.startedAtMs <= nowMs,
    )
    .map(({ startedAtMs }) => dayAt(startedAtMs, facts.zoneOffsetMs));

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

/** A record as it was known at a moment: without sessions, measurements and corrections that were recorded later (rule CRS-2). */
export const asKnownAt = (facts: ClientFacts, atMs: number): ClientFacts => ({
  ...facts,
  sessions: facts.sessions
    .filter(
      ({ startedAtMs, finishedAtMs, enteredAtMs }) =>
        startedAtMs < atMs && (enteredAtMs ?? finishedAtMs ?? startedAtMs) <= atMs,
    )
    .map((session) => sessionAsKnownAt(session, atMs)),
  occlusions: facts.occlusions.filter((fact) => fact.atMs <= atMs),
  rungChecks: facts.rungChecks.filter((check) => check.atMs <= atMs),
  dayChecks: facts.dayChecks.filter((check) => check.atMs <= atMs),
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
  trainedDays: coursePlanId === null ? [] : trainedDaysOf(coursePlanId, facts, basis.nowMs),
  deload: coursePlanId === null ? null : deloadOfBlock(facts, coursePlanId, basis.today),
  passed: [],
});

function sessionAsKnownAt(session: SessionFact, atMs: number): SessionFact {
  const then = session.former?.find(({ untilMs }) => untilMs > atMs);
  return then
    ? {
        ...session,
        tolerated: then.tolerated,
        exercises: session.exercises.map((exercise, place) => ({ ...exercise, ...then.exercises[place] })),
      }
    : session;
}

/**
 * What the next version of a plan is drafted from: the session of today, on what is in force, with what moved it (rules CRS-2,
 * REV-10).
 */
export function draftOfToday(
  prescription: PrescriptionFact,
  facts: ClientFacts,
  kit: KitInUse,
  basis: Basis,
): ReturnType<typeof draftFrom> {
  const { day } = courseToday(prescription, facts, kit, basis.nowMs);
  const draft = draftFrom(day.whole, basis);
  return {
    ...draft,
    notes: [
      ...day.moves.map((move) =>
        msg('{exercise}: {move}', {
          exercise: prescription.plan.exercises[move.exerciseIndex]?.label ?? '',
          move: moveWords(move),
        }),
      ),
      ...draft.notes,
    ],
  };
}

/** A plan as it is now with all its sets, whatever week it is; as it was signed where it cannot be composed any more. */
export function planAsItIs(
  prescription: PrescriptionFact,
  facts: ClientFacts,
  kit: KitInUse,
  basis: Basis,
): Plan {
  return unlessUnknown(
    () => composeSession(courseToday(prescription, facts, kit, basis.nowMs).day.whole, basis).plan,
    prescription.plan,
  );
}

import { v5 as uuidFrom } from 'uuid';
import { type Message, msg } from '#core/message';
import type { Plan } from '#core/plan';
import { holdsOfDayCheck, SESSIONS_COUNT_MS } from '#core/record';
import type { DayCheckAnswers } from '#core/screening';
import {
  checkEntered,
  type EnteredSession,
  enteredEvents,
  type SessionEvent,
  type SetPlace,
  stampedLog,
} from '#core/session';
import { type AuditNote, writeAudit } from '../../db/audit';
import type { Prepare } from '../../db/dialect/connection';
import { refusedField } from '../../problem';
import { dayCheckRecord } from '../day-check';
import { versionAt } from '../prescription';
import { NOTHING_DONE, readHead, sessionRecord, wasRunning } from '../session';
import { keepRow } from '../write';
import { raiseHolds } from './raise-holds';
import { takeEvents } from './take-events';

/** Who writes an entered session's events: no device ran it. */
const PAPER = 'entered-later';

/** @property planThen what a version asked for on that day (rule CRS-2) */
type Entry = {
  id: string;
  coursePlanId: string;
  entered: EnteredSession;
  dayCheck?: DayCheckAnswers | undefined;
  planThen: (version: { id: string; plan: Plan }) => Plan;
};

/**
 * Keeps a session that was done on paper or elsewhere: opened when it began, with the version of its plan that was in force
 * then, and its events taken as any others. To be called in a transaction.
 * @returns whose it is
 * @throws Problem 422 for a time at which it cannot have been
 */
export function enterSession(
  prepare: Prepare,
  { id, coursePlanId, entered, dayCheck, planThen }: Entry,
  by: { nowMs: number; aheadMs: number; practitionerId: string },
): string {
  const already = readHead(prepare, id);
  if (already) return already.clientId;
  const version = versionAt(prepare, coursePlanId, entered.startedAtMs);
  if (!version)
    throw cannotBe(msg('The plan was not signed yet then.'), msg('Choose a day after it was signed.'));
  const signed = version.plan;
  const plan = asWasDone(planThen(version), signed, entered.sets);
  const [wrong] = checkEntered(plan, entered);
  if (wrong) {
    const field = `sets.${wrong.place}.reps`;
    throw refusedField(
      msg('How much of it?'),
      field,
      'RUN-10',
      wrong.message,
      msg('Left empty, it was not done.'),
    );
  }
  const events = eventsOf(id, plan, entered, by.nowMs);
  if (!events.some(({ type }) => type === 'set-started')) {
    throw refusedField(
      msg('Which sets?'),
      'sets',
      'RUN-5',
      msg('None of these sets is one of the plan.'),
      msg('Enter those of the version that was in force then.'),
    );
  }
  if (Math.max(...events.map(({ atMs }) => atMs)) > by.nowMs)
    throw cannotBe(msg('It would not be over yet.'), msg('Choose when it began; or run it here.'));
  if (dayCheck) keepCheckOfThen(prepare, version.clientId, { id, atMs: entered.startedAtMs, ...dayCheck });
  keepDone(prepare, { id, version, plan: plan === signed ? null : plan, events }, by);
  const note: AuditNote = {
    action: 'session-entered-later',
    subject: version.clientId,
    detail: { id, ...entered, ...(dayCheck ? { dayCheck } : {}) },
  };
  writeAudit(prepare, note, { practitionerId: by.practitionerId, atMs: by.nowMs });
  return version.clientId;
}

/** The check of the day it was done on, with the holds it raised then: one of today still holds. */
function keepCheckOfThen(
  prepare: Prepare,
  clientId: string,
  { id: sessionId, atMs, ...answers }: DayCheckAnswers & { id: string; atMs: number },
): void {
  const id = uuidFrom('day-check', sessionId);
  keepRow(prepare, dayCheckRecord, { id, clientId, atMs, answers, by: null });
  raiseHolds(prepare, clientId, holdsOfDayCheck(id, answers, [], atMs));
}

/**
 * Keeps a session that is over, with its whole log: `plan` where it is not as it was signed. To be called in a transaction.
 * @throws Problem 422 for a time at which it cannot have been, and what `takeEvents` refuses
 */
export function keepDone(
  prepare: Prepare,
  {
    id,
    version,
    plan,
    events,
  }: {
    id: string;
    version: { id: string; clientId: string };
    plan: Plan | null;
    events: readonly SessionEvent[];
  },
  by: { nowMs: number; aheadMs: number; practitionerId: string },
): void {
  const startMs = Math.min(...events.map(({ atMs }) => atMs));
  const endMs = Math.max(...events.map(({ atMs }) => atMs));
  if (startMs < by.nowMs - SESSIONS_COUNT_MS) {
    throw cannotBe(
      msg('It is longer ago than anything counts: half a year.'),
      msg('Note it in the person’s story.'),
    );
  }
  if (wasRunning(prepare, version.clientId, { fromMs: startMs, untilMs: endMs }, by.nowMs))
    throw cannotBe(msg('Another session of this person was running then.'), msg('Choose another time.'));
  keepRow(prepare, sessionRecord, {
    id,
    clientId: version.clientId,
    prescriptionId: version.id,
    openedAtMs: startMs,
    // Null where it froze the plan as it was signed (`AS_SIGNED`).
    plan,
    summary: NOTHING_DONE,
    finishedAtMs: null,
    logLine: null,
    lane: null,
  });
  takeEvents(prepare, id, events, by);
}

/** What was asked for that day, unless more sets than that were done (rule PRO-4): then it was done as it was signed. */
export function asWasDone(asked: Plan, signed: Plan, sets: readonly SetPlace[]): Plan {
  const wasAsked = ({ exerciseIndex, setIndex }: SetPlace) =>
    asked.exercises[exerciseIndex]?.sets[setIndex] !== undefined;
  return sets.every(wasAsked) ? asked : signed;
}

const eventsOf = (
  sessionId: string,
  plan: Plan,
  entered: EnteredSession,
  enteredAtMs: number,
): SessionEvent[] =>
  stampedLog(
    { sessionId, deviceId: PAPER },
    enteredEvents(plan, entered, enteredAtMs).map(({ afterMs, body }) => ({
      atMs: entered.startedAtMs + Math.round(afterMs),
      body,
    })),
    (seq) => uuidFrom(`entered ${seq}`, sessionId),
  );

const cannotBe = (message: Message, remedy: Message) =>
  refusedField(msg('When was it?'), 'startedAtMs', 'RUN-9', message, remedy);

import { hardFindings } from '../findings/finding';
import { type Message, msg, type Text } from '../message/message';
import type { Limb } from '../quantity/limb';
import { LIMB_NAMES } from '../quantity/limb';
import { MS_PER_DAY, MS_PER_MINUTE } from '../quantity/units';
import type { RuleId } from '../rules/catalogue';
import { RULES } from '../rules/catalogue';
import { type BloodPressure, bloodPressureWords, holdsToday } from '../screening/blood-pressure';
import type { Clearance, FoundSubject } from '../screening/clearance';
import {
  bloodPressureToday,
  DAY_CHECK_HOLDS_MS,
  DAY_SIGNS,
  type DayCheck,
  type DayCheckAnswers,
  type DaySign,
  judgeDayCheck,
} from '../screening/day-check';
import { judgeScreening } from '../screening/decide';
import type { Stricter } from '../screening/items';
import { isTooHigh } from '../screening/pressure-in-work';
import type { Screening } from '../screening/screening';
import type { FollowUp } from '../session/events';
import { isEmergency, SIGNS, type SignId } from '../session/signs';

/**
 * When a hold ends by itself: at a time, when the session's review is answered after it, once a clinician screens again, or
 * never.
 */
export type HoldEnd =
  /** A blood pressure of the day is taken once more, not before `retakeFromMs`: that reading counts (rule SCR-3). */
  | { by: 'time'; atMs: number; retakeFromMs?: number | undefined }
  | { by: 'review'; sessionId: string; notBeforeMs: number }
  | { by: 'screening' }
  | { by: 'clinician'; notBeforeMs: number };

/**
 * A stop with a record of its own: what caused it, when the server heard of it, and who may lift it. A later answer never
 * erases it (rule SCR-5).
 */
export type Hold = {
  id: string;
  /** What raised it; the same cause raises one hold, however often it is sent. */
  cause: string;
  /** Text in holds of earlier releases. */
  words: Text;
  rule: RuleId;
  /** When the server received what raised it. */
  atMs: number;
  /** Null holds the whole person. */
  limb: Limb | null;
  /** What a clearance could answer it by; null where none can. */
  subject: FoundSubject | null;
  ends: HoldEnd;
  lifted: { atMs: number; by: string; reason: Text } | null;
  /** The emergency number comes before anything else, and the practice sees it first (rule RUN-6). */
  isEmergency?: boolean | undefined;
};

export type NewHold = Omit<Hold, 'id' | 'lifted'>;

/** Holds of a screening: each stop it finds, for as long as no clearance answers it (rules SCR-1, SCR-2, SCR-5). */
export function holdsOfScreening(
  screeningId: string,
  screening: Pick<Screening, 'yes' | 'bloodPressures'>,
  stricter: Stricter,
  atMs: number,
): NewHold[] {
  return judgeScreening(screening, [], stricter, atMs)
    .reasons.filter(({ level }) => level === 'stop')
    .map(({ subject, words, rule }) => ({
      cause: `screening ${screeningId} ${subject}`,
      words,
      rule,
      atMs,
      limb: null,
      subject,
      ends: { by: 'clinician', notBeforeMs: atMs },
    }));
}

/**
 * Holds of a check on the day: for that day, whatever a later check says; and something new in health until a clinician screens
 * again (rules SCR-1, SCR-3, SCR-5).
 * @param standing the holds in force: a blood pressure that holds already is not asked for a third reading
 */
export function holdsOfDayCheck(
  checkId: string,
  answers: DayCheckAnswers,
  standing: readonly Pick<Hold, 'ends'>[],
  atMs: number,
): NewHold[] {
  const endOfDay = { by: 'time', atMs: atMs + DAY_CHECK_HOLDS_MS } as const;
  const retakes = standing.flatMap(({ ends }) => (ends.by === 'time' ? (ends.retakeFromMs ?? []) : []));
  const found = hardFindings(judgeDayCheck(answers));
  // A reading before the five minutes are over is no second one.
  const isTooSoon = retakes.some((fromMs) => atMs < fromMs);
  return found
    .filter(({ subject }) => subject !== 'bloodPressure' || !isTooSoon)
    .map(({ subject }) => ({
      cause: `day-check ${checkId} ${subject}`,
      words: wordsOf(subject),
      rule: 'SCR-3',
      atMs,
      limb: null,
      subject: null,
      ends: endsOf(subject),
    }));

  function wordsOf(subject: string): Message {
    return subject === 'bloodPressure' && answers.bloodPressure
      ? bloodPressureToday(answers.bloodPressure)
      : DAY_SIGNS[subject as DaySign].no;
  }

  function endsOf(subject: string): HoldEnd {
    if (subject === 'same') return { by: 'screening' };
    return subject === 'bloodPressure' && retakes.length === 0
      ? { ...endOfDay, retakeFromMs: atMs + RETAKE_AFTER_MS }
      : endOfDay;
  }
}

const RETAKE_AFTER_MS = RULES['SCR-3'].figures.retakeAfterMin * MS_PER_MINUTE;

/**
 * Holds of a sign noted in a session: a red one holds the person, not before the next day; another stop sign holds the
 * limbs until the next day and until its review is answered (rules RUN-3, SCR-5).
 * @param limbs it was felt in, or all that were under a cuff where not said
 */
export function holdsOfSign(
  event: { id: string; sessionId: string; sign: SignId },
  limbs: readonly Limb[],
  atMs: number,
): NewHold[] {
  const { label, level } = SIGNS[event.sign];
  const common = { rule: 'RUN-3', atMs, subject: null, isEmergency: isEmergency(event.sign) } as const;
  const notBeforeMs = atMs + MS_PER_DAY;
  if (level === 'red') {
    return [
      {
        ...common,
        cause: `sign ${event.id}`,
        words: msg('{label} in the last session', { label }),
        limb: null,
        ends: { by: 'clinician', notBeforeMs },
      },
    ];
  }
  if (level === 'expected') return [];
  return limbs.map((limb) => ({
    ...common,
    cause: `sign ${event.id} ${limb}`,
    words: msg('{label} in the last session, {limb}', { label, limb: LIMB_NAMES[limb] }),
    limb,
    ends: { by: 'review', sessionId: event.sessionId, notBeforeMs },
  }));
}

/**
 * The hold of a blood pressure in or after work that ends it: for that day (rule RUN-8).
 * @param limit the practice's own, which is never taken for higher than the rule's
 */
export const holdsOfBloodPressure = (
  { id, reading }: { id: string; reading: BloodPressure },
  limit: BloodPressure,
  atMs: number,
): NewHold[] =>
  isTooHigh(reading, limit)
    ? [
        {
          cause: `blood-pressure ${id}`,
          words: msg('Blood pressure {bloodPressure} in the last session', {
            bloodPressure: bloodPressureWords(reading),
          }),
          rule: 'RUN-8',
          atMs,
          limb: null,
          subject: null,
          ends: { by: 'time', atMs: atMs + DAY_CHECK_HOLDS_MS },
        },
      ]
    : [];

/** Words of what holds after an answer of the day after; empty when nothing does (rule RUN-6). */
export function dayAfterWords({ numbness, bruising, urgent = [] }: FollowUp): Message[] {
  return [
    ...(numbness ? [msg('Numbness')] : []),
    ...(bruising === 'wide' ? [msg('Wide bruising')] : []),
    ...urgent.map((sign) => msg('{sign}: refer urgently', { sign: URGENT_SIGNS[sign] })),
  ];
}

/** Whether what is said the day after asks for the emergency number (rule RUN-6). */
export const isEmergencyAfter = ({ urgent = [] }: Pick<FollowUp, 'urgent'>): boolean =>
  urgent.includes('chest-pain') || urgent.includes('breathless');

export const URGENT_SIGNS = {
  'dark-urine': msg('Dark urine'),
  weakness: msg('Marked weakness'),
  'swollen-limb': msg('Swollen or painful calf or arm'),
  breathless: msg('Breathless'),
  'chest-pain': msg('Chest pain'),
} as const;

export const holdsOfDayAfter = (eventId: string, answer: FollowUp, atMs: number): NewHold[] =>
  dayAfterWords(answer).map((words, place) => ({
    isEmergency: isEmergencyAfter(answer),
    cause: `day-after ${eventId} ${place}`,
    words: msg('{words}, after the last session', { words }),
    rule: 'RUN-6',
    atMs,
    limb: null,
    subject: null,
    ends: { by: 'clinician', notBeforeMs: atMs },
  }));

/** What holds are judged from. */
type HoldFacts = {
  holds: readonly Hold[];
  clearances: readonly Clearance[];
  screenings: readonly Screening[];
  stricter: Stricter;
  dayChecks: readonly DayCheck[];
  sessions: readonly { id: string; reviewed: boolean }[];
};

/** The holds in force at `nowMs`, newest first (rule SCR-5). */
export const holdsInForce = (facts: HoldFacts, nowMs: number): Hold[] =>
  facts.holds
    .filter((hold) => hold.lifted === null && hold.atMs <= nowMs)
    .filter((hold) => !hasEnded(hold, facts, nowMs) && !isCleared(hold, facts, nowMs))
    .sort((a, b) => b.atMs - a.atMs);

function hasEnded(
  { ends, atMs }: Hold,
  { sessions, screenings, dayChecks }: HoldFacts,
  nowMs: number,
): boolean {
  switch (ends.by) {
    case 'time':
      return nowMs >= ends.atMs || isRetakenWell(dayChecks, ends.retakeFromMs, nowMs);
    case 'review':
      return (
        nowMs >= ends.notBeforeMs && sessions.some(({ id, reviewed }) => id === ends.sessionId && reviewed)
      );
    case 'screening':
      return screenings.some(
        (screening) => screening.by === 'clinician' && screening.atMs > atMs && screening.atMs <= nowMs,
      );
    case 'clinician':
      return false;
  }
}

/** Whether the second reading of a blood pressure that held was below what holds; a third one changes nothing (rule SCR-3). */
function isRetakenWell(dayChecks: readonly DayCheck[], fromMs: number | undefined, nowMs: number): boolean {
  if (fromMs === undefined) return false;
  const [second] = dayChecks
    .filter(({ atMs, bloodPressure }) => bloodPressure !== null && atMs >= fromMs && atMs <= nowMs)
    .sort((a, b) => a.atMs - b.atMs);
  return second?.bloodPressure ? !holdsToday(second.bloodPressure) : false;
}

/** A stop of a screening is answered while a clearance that may answer it is in force (rule SCR-2). */
function isCleared({ subject }: Hold, { clearances, stricter }: HoldFacts, nowMs: number): boolean {
  if (subject === null || subject === 'blood-pressure') return false;
  const { reasons } = judgeScreening({ yes: [subject], bloodPressures: [] }, clearances, stricter, nowMs);
  return reasons.every(({ clearedBy }) => clearedBy !== null);
}

/** Why a hold cannot be lifted now, in words; `null` when a clinician may lift it with a reason (rules SCR-5, RUN-3). */
export function whyNotLift({ ends, words }: Hold, nowMs: number): Message | null {
  const notBeforeMs = 'notBeforeMs' in ends ? ends.notBeforeMs : 0;
  return nowMs < notBeforeMs
    ? msg('{words}: no restart that day, so it is not lifted before the next (RUN-3).', { words })
    : null;
}

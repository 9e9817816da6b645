import {
  type LadderAnswers,
  MOST_PAIN,
  missingFor,
  type RungCheck,
  rungAbove,
  rungBelow,
  sessionsAsked,
} from '../course/ladder';
import type { Finding } from '../findings/finding';
import { list, type Message, msg, sentences } from '../message/message';
import { RUNG_NAMES } from '../plan/goals';
import { type LadderRung, rungHeight } from '../protocol/exercise';
import { libraryOf } from '../protocol/exercises';
import { type Limb, limbKind, limbSide, otherSide } from '../quantity/limb';
import { newest, newestBy } from '../quantity/newest';
import { MS_PER_DAY } from '../quantity/units';
import { RULES } from '../rules/catalogue';
import { DAY_CHECK_HOLDS_MS } from '../screening/day-check';
import { strengthTestIsDue } from '../strength/shelf-life';
import type { ClientFacts, SessionFact } from './facts';
import { dayCheckInForce, proceduresOnRecord } from './in-force';

/** Where a limb is: the check that entered a rung, and the rung it is on now. */
export type RungStood = RungCheck & {
  /** After which what is done counts for this rung. */
  sinceMs: number;
  /** Why it went down by itself since the check, in words; null where it did not. */
  fell: Message | null;
};

/** What a limb's rung is known by. */
export type Ladder = Pick<ClientFacts, 'rungChecks' | 'sessions' | 'dayChecks'>;

/**
 * The rung a limb is on: as it was last checked, and one lower for each session since that REV-1 or REV-2 answers and each day
 * that the swelling rose. Down goes by itself, up with a clinician's word. Undefined where it was never checked
 * (rules START-2, PRO-5).
 */
export function rungInForce(facts: Ladder, limb: Limb): RungStood | undefined {
  const check = newest(facts.rungChecks.filter((one) => one.limb === limb));
  if (!check) return undefined;
  const falls = check.rung === 'done' ? [] : fallsOf(facts, check);
  const last = falls.at(-1);
  if (!last) return { ...check, sinceMs: check.atMs - 1, fell: null };
  const rung = falls.reduce<LadderRung>((now) => rungBelow(now), check.rung);
  return { ...check, rung, sinceMs: last.atMs, fell: last.why };
}

/** What took a limb down since a check, in the order in which it happened. */
function fallsOf(
  { sessions, dayChecks }: Ladder,
  { limb, atMs }: RungCheck,
): { atMs: number; why: Message }[] {
  const bad = sessions
    .filter(({ startedAtMs, stepsDown }) => startedAtMs >= atMs && stepsDown.includes(limb))
    .map(({ startedAtMs }) => ({
      atMs: startedAtMs,
      why: msg('pain or a symptom to stop for in the session'),
    }));
  const swollen = dayChecks
    .filter((check) => check.atMs >= atMs && check.notWell.includes('swelling'))
    .sort((a, b) => a.atMs - b.atMs)
    // Asked twice on one day it rose once.
    .filter((check, i, all) => check.atMs - (all[i - 1]?.atMs ?? 0) > DAY_CHECK_HOLDS_MS)
    .map((check) => ({ atMs: check.atMs, why: msg('swelling that was not going down') }));
  return [...bad, ...swollen].sort((a, b) => a.atMs - b.atMs);
}

/** The rungs a limb was on, the oldest first: as it was checked, and one lower after each fall by itself (rule PRO-5). */
export function rungHistory(facts: Ladder, limb: Limb): { atMs: number; rung: LadderRung }[] {
  const checks = facts.rungChecks.filter((one) => one.limb === limb).sort((a, b) => a.atMs - b.atMs);
  return checks.flatMap((check, place) => {
    const nextMs = checks[place + 1]?.atMs ?? Number.POSITIVE_INFINITY;
    const falls = check.rung === 'done' ? [] : fallsOf(facts, check).filter(({ atMs }) => atMs < nextMs);
    let { rung } = check;
    return [
      { atMs: check.atMs, rung },
      ...falls.map(({ atMs }) => {
        rung = rungBelow(rung);
        return { atMs, rung };
      }),
    ];
  });
}

/** Days since the last procedure on a limb; null where there is none (rules SCR-1, SCR-3). */
export function daysSinceProcedure(
  facts: Pick<ClientFacts, 'conditions'>,
  limb: Limb,
  nowMs: number,
): number | null {
  const last = newest(proceduresOnRecord(facts, nowMs).filter((procedure) => procedure.limb === limb));
  return last ? Math.floor((nowMs - last.atMs) / MS_PER_DAY) : null;
}

/** Where a limb is to go on the ladder, and why; going up is asked for first, never done by itself. */
export type RungAdvice = { move: 'begin' | 'up' | 'stay' | 'down' | 'done'; to: LadderRung; why: Message };

const PAIN = RULES['REV-2'].figures;

/** What was done with a limb since it entered its rung. */
function onTheRung(
  { sessions }: Pick<ClientFacts, 'sessions'>,
  { limb, sinceMs }: RungStood,
): { last: SessionFact | undefined; tolerated: number } {
  const own = sessions.filter(
    ({ startedAtMs, worked }) => startedAtMs > sinceMs && worked.some(({ limbs }) => limbs.includes(limb)),
  );
  const [last] = [...own].sort((a, b) => b.startedAtMs - a.startedAtMs);
  return { last, tolerated: own.filter(({ tolerated }) => tolerated).length };
}

/**
 * What the last sessions, today's pain and the days since the procedure say of a limb's rung (rules PRO-5, REV-2).
 * Down with pain above 5; up after the tolerated sessions that the practice asks for, the last among them; else stay. What went down by itself is
 * said.
 */
export function adviseRung(facts: ClientFacts, limb: Limb, nowMs: number): RungAdvice {
  const check = rungInForce(facts, limb);
  const days = daysSinceProcedure(facts, limb, nowMs);
  if (!check)
    return { move: 'begin', to: 'passive', why: msg('No rung is on record: answer what is asked.') };
  const { rung, fell } = check;
  if (rung === 'done') return { move: 'done', to: 'done', why: msg('Done with the cuff.') };
  const { last, tolerated } = onTheRung(facts, check);
  const painNow = dayCheckInForce(facts, nowMs)?.painNow ?? 0;
  if (painNow > PAIN.most) {
    return { move: 'down', to: rungBelow(rung), why: msg('Pain is {painNow} of 10 today.', { painNow }) };
  }
  if (last && !last.tolerated)
    return { move: 'stay', to: rung, why: msg('The last session was not tolerated: wait.') };
  const { painInLast } = criteriaOnRecord(facts, limb, nowMs);
  if (painInLast && painInLast.pain > MOST_PAIN)
    return {
      move: 'stay',
      to: rung,
      why: msg('Pain was {pain} of 10 in the last session: wait.', { pain: painInLast.pain }),
    };
  const asked = sessionsAsked(facts.rungSessions, rung);
  if (tolerated < asked) {
    const why = msg('{tolerated} of {asked} sessions tolerated on this rung.', { tolerated, asked });
    return {
      move: 'stay',
      to: rung,
      why: fell ? sentences(msg('Down by itself after {fell}.', { fell }), why) : why,
    };
  }
  const next = rungAbove(rung);
  const missing = missingFor(next, { ...check.answers, daysSinceSurgery: days });
  const ask = missing.length === 0 ? null : msg('Ask first: {missing}.', { missing: list(missing, ', ') });
  const why =
    next === 'done'
      ? msg('Tolerated: heavy work without the cuff, with a retest of the 1RM and the sides compared.')
      : msg('{tolerated} sessions tolerated on this rung.', { tolerated });
  return { move: 'up', to: next, why: sentences(why, ask) };
}

/**
 * What keeps a limb from a rung, from the record and from what is answered now: a guard that names all that is missing. A rung is
 * entered from the one below it, with the tolerated sessions there that the practice asks for, the last among them; the last also by a retest with the sides
 * compared. Going down or staying needs nothing (rule PRO-5).
 */
export function checkRungEntry(
  facts: Ladder & Pick<ClientFacts, 'conditions' | 'strengthTests' | 'ownExercises' | 'rungSessions'>,
  { limb, rung, answers }: { limb: Limb; rung: LadderRung; answers: Omit<LadderAnswers, 'daysSinceSurgery'> },
  nowMs: number,
): Finding[] {
  const check = rungInForce(facts, limb);
  if (check && rungHeight(rung) <= rungHeight(check.rung)) return [];
  const missing = [
    ...(isReadyFor(facts, check, rung)
      ? []
      : [
          msg('{asked} tolerated sessions on the rung below', {
            asked: sessionsAsked(facts.rungSessions, rungBelow(rung)),
          }),
        ]),
    ...(rung === 'done' && !areSidesCompared(facts, limb, check?.sinceMs ?? 0, nowMs)
      ? [msg('a retest of the 1RM, with the other side tested by the same exercise')]
      : []),
    ...((criteriaOnRecord(facts, limb, nowMs).painInLast?.pain ?? 0) > MOST_PAIN
      ? [msg('pain {most} or less in the last session', { most: MOST_PAIN })]
      : []),
    ...missingFor(rung, { ...answers, daysSinceSurgery: daysSinceProcedure(facts, limb, nowMs) }),
  ];
  if (missing.length === 0) return [];
  return [
    {
      rule: 'PRO-5',
      level: 'guard',
      subject: 'rung',
      message: msg('For {rung}, missing: {missing}.', {
        rung: RUNG_NAMES[rung],
        missing: list(missing, ', '),
      }),
      remedy: msg('Take a lower rung, or give the reason.'),
    },
  ];
}

/** What the record says of what a rung is entered by; null where it says nothing. */
export type CriteriaOnRecord = {
  /** Said today. */
  pain: number | null;
  swellingDown: boolean | null;
  /** The most in the last session of the limb. */
  painInLast: { pain: number; atMs: number } | null;
};

/** What today's check and the last session of a limb say of its criteria, so that it is not asked again (rule PRO-5). */
export function criteriaOnRecord(
  facts: Pick<ClientFacts, 'dayChecks' | 'sessions'>,
  limb: Limb,
  nowMs: number,
): CriteriaOnRecord {
  const today = dayCheckInForce(facts, nowMs);
  const last = newestBy(
    facts.sessions.filter((one) => one.finishedAtMs !== null && painOf(one, limb) !== null),
    ({ startedAtMs }) => startedAtMs,
  );
  return {
    pain: today?.painNow ?? null,
    swellingDown: today ? !today.notWell.includes('swelling') : null,
    painInLast: last ? { pain: painOf(last, limb) ?? 0, atMs: last.startedAtMs } : null,
  };
}

/** The most pain in the work of a limb; null where none of it was begun. */
function painOf({ exercises }: Pick<SessionFact, 'exercises'>, limb: Limb): number | null {
  const own = exercises.flatMap(({ reading, limbs }) =>
    reading && limbs.some((one) => one.limb === limb) ? [reading.mostPain] : [],
  );
  return own.length === 0 ? null : Math.max(...own);
}

/** Whether the sessions on record speak for a rung; the first asks for none. */
function isReadyFor(
  facts: Pick<ClientFacts, 'sessions' | 'rungSessions'>,
  check: RungStood | undefined,
  rung: LadderRung,
): boolean {
  if (rung === rungBelow(rung)) return true;
  if (check?.rung !== rungBelow(rung)) return false;
  const { last, tolerated } = onTheRung(facts, check);
  return last?.tolerated === true && tolerated >= sessionsAsked(facts.rungSessions, check.rung);
}

/** Whether the limb was tested since it entered its rung, and the other side by the same exercise, not too long ago (LOAD-2). */
function areSidesCompared(
  { strengthTests, ownExercises }: Pick<ClientFacts, 'strengthTests' | 'ownExercises'>,
  limb: Limb,
  sinceMs: number,
  nowMs: number,
): boolean {
  const library = libraryOf(ownExercises);
  const of = (one: Limb) =>
    strengthTests.filter(
      ({ exerciseId, side }) => side === limbSide(one) && library[exerciseId]?.limbKind === limbKind(one),
    );
  const others = of(otherSide(limb)).filter((test) => !strengthTestIsDue(test, nowMs));
  return of(limb).some(
    ({ exerciseId, atMs }) => atMs > sinceMs && others.some((other) => other.exerciseId === exerciseId),
  );
}

import { type LadderAnswers, missingFor, type RungCheck, rungAbove, rungBelow } from '../course/ladder';
import type { Finding } from '../findings/finding';
import { RUNG_LABELS } from '../plan/goals';
import { type LadderRung, rungHeight } from '../protocol/exercise';
import type { Limb } from '../quantity/limb';
import { newest } from '../quantity/newest';
import { MS_PER_DAY } from '../quantity/units';
import { RULES } from '../rules/catalogue';
import type { ClientFacts, SessionFact } from './facts';
import { dayCheckInForce, proceduresOnRecord } from './in-force';

/** The rung a limb stands on, as it was last checked; undefined where it never was (rule START-2). */
export const rungInForce = (
  { rungChecks }: Pick<ClientFacts, 'rungChecks'>,
  limb: Limb,
): RungCheck | undefined => newest(rungChecks.filter((check) => check.limb === limb));

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
export type RungAdvice = { move: 'begin' | 'up' | 'stay' | 'down' | 'done'; to: LadderRung; why: string };

const SESSIONS_TO_GO_UP = 2;
const PAIN = RULES['REV-2'].figures;

/** What was done with a limb since it was checked for the rung it stands on. */
function onTheRung(
  { sessions }: Pick<ClientFacts, 'sessions'>,
  { limb, atMs }: RungCheck,
): { last: SessionFact | undefined; tolerated: number } {
  const own = sessions.filter(
    ({ startedAtMs, worked }) => startedAtMs >= atMs && worked.some(({ limbs }) => limbs.includes(limb)),
  );
  const [last] = [...own].sort((a, b) => b.startedAtMs - a.startedAtMs);
  return { last, tolerated: own.filter(({ tolerated }) => tolerated).length };
}

/**
 * What the last sessions, today's pain and the days since the procedure say of a limb's rung (rules PRO-5, REV-2).
 * Down after a session that was not tolerated or with pain above 5; up after two tolerated sessions on the rung; else stay.
 */
export function adviseRung(facts: ClientFacts, limb: Limb, nowMs: number): RungAdvice {
  const check = rungInForce(facts, limb);
  const days = daysSinceProcedure(facts, limb, nowMs);
  if (!check) return { move: 'begin', to: 'passive', why: 'No rung is on record: answer what is asked.' };
  const { rung } = check;
  if (rung === 'done') return { move: 'done', to: 'done', why: 'Done with the cuff.' };
  const { last, tolerated } = onTheRung(facts, check);
  const painNow = dayCheckInForce(facts, nowMs)?.painNow ?? 0;
  if (last && !last.tolerated) {
    return { move: 'down', to: rungBelow(rung), why: 'The last session was not tolerated.' };
  }
  if (painNow > PAIN.most) {
    return { move: 'down', to: rungBelow(rung), why: `Pain is ${painNow} of 10 today.` };
  }
  if (tolerated < SESSIONS_TO_GO_UP) {
    return {
      move: 'stay',
      to: rung,
      why: `${tolerated} of ${SESSIONS_TO_GO_UP} sessions tolerated on this rung.`,
    };
  }
  const next = rungAbove(rung);
  const missing = missingFor(next, { ...check.answers, daysSinceSurgery: days });
  const ask = missing.length === 0 ? '' : ` Ask first: ${missing.join(', ')}.`;
  return next === 'done'
    ? { move: 'up', to: next, why: `Tolerated: heavy work without the cuff, with a retest of the 1RM.${ask}` }
    : { move: 'up', to: next, why: `${tolerated} sessions tolerated on this rung.${ask}` };
}

/**
 * What keeps a limb from a rung, from the record and from what is answered now: a guard that names all that is missing. A rung is
 * entered from the one below it, with two tolerated sessions there, the last among them; going down or staying needs nothing
 * (rule PRO-5).
 */
export function checkRungEntry(
  facts: Pick<ClientFacts, 'rungChecks' | 'conditions' | 'sessions'>,
  { limb, rung, answers }: { limb: Limb; rung: LadderRung; answers: Omit<LadderAnswers, 'daysSinceSurgery'> },
  nowMs: number,
): Finding[] {
  const check = rungInForce(facts, limb);
  if (check && rungHeight(rung) <= rungHeight(check.rung)) return [];
  const missing = [
    ...(isReadyFor(facts, check, rung) ? [] : ['two tolerated sessions on the rung below']),
    ...missingFor(rung, { ...answers, daysSinceSurgery: daysSinceProcedure(facts, limb, nowMs) }),
  ];
  if (missing.length === 0) return [];
  return [
    {
      rule: 'PRO-5',
      level: 'guard',
      subject: 'rung',
      message: `For ${RUNG_LABELS[rung].toLowerCase()}, missing: ${missing.join(', ')}.`,
      remedy: 'Take a lower rung, or give the reason.',
    },
  ];
}

/** Whether the sessions on record speak for a rung; the first asks for none. */
function isReadyFor(
  facts: Pick<ClientFacts, 'sessions'>,
  check: RungCheck | undefined,
  rung: LadderRung,
): boolean {
  if (rung === rungBelow(rung)) return true;
  if (check?.rung !== rungBelow(rung)) return false;
  const { last, tolerated } = onTheRung(facts, check);
  return last?.tolerated === true && tolerated >= SESSIONS_TO_GO_UP;
}

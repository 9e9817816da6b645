import type { ClientRecord } from '#contract/client';
import type { Kit } from '#contract/practice';
import { hardFindings } from '#core/findings';
import { msg, sentences } from '#core/message';
import { pastBounds } from '#core/plan';
import {
  agoWords,
  basisOf,
  boundsOfPlan,
  type ClientFacts,
  dayCheckInForce,
  hasPressure,
  linksThatHold,
  type PrescriptionFact,
  recheck,
  sessionToAskAbout,
  type TodaysWish,
  whyNotInForce,
} from '#core/record';
import { Problem, refusedByRules, refusedField } from './problem';

/**
 * What a session would freeze and what guards it would pass (rules START-1, SCR-3, RUN-6).
 * @param asks whether the check on the day and the day after are to be on record before, or the operator asks them first
 * @throws Problem while anything keeps it from opening
 */
export function opening(
  { facts }: ClientRecord,
  kit: Kit,
  prescriptionId: string,
  wish: TodaysWish,
  nowMs: number,
  asks: 'before' | 'by-itself' = 'before',
) {
  const prescription = toRun(facts, prescriptionId, nowMs);
  if (facts.sessions.some(({ finishedAtMs }) => finishedAtMs === null)) {
    throw new Problem(409, msg('Already open'), msg('A session of this person is open: finish it first.'));
  }
  const held = linksThatHold(facts, kit, nowMs, prescription).map(({ id, reason, rules }) => ({
    path: id,
    message: reason,
    rule: rules[0] ?? 'SCR-1',
    level: 'hard' as const,
  }));
  if (held.length > 0) {
    throw new Problem(
      422,
      msg('Not ready to run'),
      sentences(msg('A link of the chain does not hold.'), ...held.map(({ message }) => message)),
      held,
    );
  }
  if (asks === 'before' && !dayCheckInForce(facts, nowMs)) {
    throw refusedField(
      msg('Not ready to run'),
      'dayCheck',
      'SCR-3',
      msg('There is no on-the-day check of today.'),
      msg('Make it first; it takes ten seconds.'),
    );
  }
  const ask = sessionToAskAbout(facts, nowMs);
  if (asks === 'before' && ask) {
    throw refusedField(
      msg('Ask first'),
      'followUp',
      'RUN-6',
      msg('Not asked yet: how the session {ago} was.', { ago: agoWords(ask.startedAtMs, nowMs) }),
      msg('Ask about soreness, bruising and numbness; it takes ten seconds.'),
    );
  }
  const { plan, findings } = recheck(prescription, facts, kit, nowMs, wish);
  if (!plan || hardFindings(findings).length > 0) throw refusedByRules(hardFindings(findings));
  if (wish.lighter?.how === 'pressure' && !hasPressure(plan)) {
    throw refusedField(
      msg('No pressure to lower'),
      'lighter',
      'SCR-3',
      msg('The pressure of a strap is not known.'),
      msg('Leave out a set instead.'),
    );
  }
  const bounds = boundsOfPlan(prescription.plan, basisOf(facts, kit, prescription.role, nowMs));
  const past = pastBounds(bounds, plan);
  if (past.length > 0) throw refusedByRules(past);
  return { plan, signed: prescription.plan, findings };
}

/** The version to run. @throws Problem 409 where it is not the newest of its plan, or the plan does not count now */
function toRun(facts: ClientFacts, prescriptionId: string, nowMs: number): PrescriptionFact {
  const prescription = facts.prescriptions.find(({ id }) => id === prescriptionId);
  const coursePlan = facts.coursePlans.find(({ id }) => id === prescription?.coursePlanId);
  if (!prescription || !coursePlan) {
    throw new Problem(
      409,
      msg('Superseded'),
      msg('A newer version has been signed, or the plan has ended: run what is in force.'),
    );
  }
  const why = whyNotInForce(coursePlan, nowMs);
  if (why)
    throw new Problem(409, msg('Not in force'), msg('{why} Take it up again, or run another plan.', { why }));
  return prescription;
}

import { guardFindings, hardFindings } from '../findings/finding';
import { type Message, msg } from '../message/message';
import type { Plan } from '../plan/plan';
import type { DayCheckAnswers, DaySign } from '../screening/day-check';
import { sessionToAskAbout } from './day-after';
import type { ClientFacts, KitInUse } from './facts';
import { dayCheckInForce, daySignsAsked, needsBloodPressure } from './in-force';
import type { Link, LinkId } from './link';
import { type PlanInForce, plansInForce } from './plans-in-force';
import { recheck } from './recheck';

/**
 * How a person is opened in a group: by the one answer that they are well and without pain, at once where today's check is on record, or by
 * themselves first, which `why` says and `link` leads to.
 */
export type GroupOpening =
  | { can: 'open'; inHand: PlanInForce; plan: Plan; asks: readonly DaySign[] | 'nothing' }
  | { can: 'not'; why: Message; link: LinkId };

/** What the one answer says, as a check of the day. */
export const WELL_TODAY: DayCheckAnswers = { notWell: [], painNow: 0, bloodPressure: null };

/**
 * What a person's next session needs before it opens with others (rules START-1, SCR-3, RUN-6). Nothing that asks for a decision, a reason or
 * another measurement is answered in a group.
 */
export function groupOpening(
  { facts, chain }: { facts: ClientFacts; chain: readonly Link[] },
  kit: KitInUse,
  nowMs: number,
): GroupOpening {
  const not = (why: Message, link: LinkId = 'run'): GroupOpening => ({ can: 'not', why, link });
  const [inHand] = plansInForce(facts, nowMs);
  if (!inHand) return not(msg('No plan is in force.'), 'prescribe');
  if (facts.sessions.some(({ finishedAtMs }) => finishedAtMs === null))
    return not(msg('A session is open already.'));
  const held = chain.find(({ id, state }) => id !== 'run' && state !== 'good');
  if (held) return not(held.reason, held.id);
  if (sessionToAskAbout(facts, nowMs)) return not(msg('How was the last session? Ask first.'));
  const isChecked = dayCheckInForce(facts, nowMs) !== undefined;
  if (!isChecked && needsBloodPressure(facts, nowMs)) return not(msg('The blood pressure of today first.'));
  const asIfWell = isChecked
    ? facts
    : { ...facts, dayChecks: [{ ...WELL_TODAY, atMs: nowMs }, ...facts.dayChecks] };
  const { plan, findings } = recheck(inHand.prescription, asIfWell, kit, nowMs);
  const [inTheWay] = [...hardFindings(findings), ...guardFindings(findings)];
  if (inTheWay) return not(inTheWay.message);
  if (!plan) return not(msg('It cannot be worked out again: look at it in Run.'));
  return { can: 'open', inHand, plan, asks: isChecked ? 'nothing' : daySignsAsked(facts, nowMs) };
}

import type { CoursePlan } from '../course/course-plan';
import { nextInBlock } from '../course/follow-block';
import { compareTurns, type Turn, turnInBlock, turnOf } from '../course/turn';
import { type Message, msg } from '../message/message';
import { dayAt, dayOf } from '../quantity/days';
import { type BlockStanding, blockAsItStands } from './block-in-force';
import type { ClientFacts, PrescriptionFact } from './facts';
import { versionInForce } from './version-in-force';

export { versionInForce } from './version-in-force';

/** A plan that may be run: its newest version, and when it is its turn. */
export type PlanInForce = { coursePlan: CoursePlan; prescription: PrescriptionFact; turn: Turn };

export type PlanFacts = Pick<
  ClientFacts,
  'coursePlans' | 'prescriptions' | 'sessions' | 'heavyWork' | 'blocks' | 'ownExercises' | 'zoneOffsetMs'
>;

/**
 * The plans of a person that count now, the one whose turn it is first, by the block where one schedules it; of several, the
 * one that was not done for longest.
 * A plan that is paused, ended or past its day does not count (rule START-2).
 */
export function plansInForce(facts: PlanFacts, nowMs: number): PlanInForce[] {
  const day = (atMs: number) => dayAt(atMs, facts.zoneOffsetMs);
  const standing = blockAsItStands(facts, nowMs);
  const heavyDays = facts.heavyWork.map(({ atMs }) => day(atMs));
  return facts.coursePlans
    .filter((coursePlan) => whyNotInForce(coursePlan, nowMs) === null)
    .flatMap((coursePlan) => {
      const prescription = versionInForce(facts, coursePlan.id);
      if (!prescription) return [];
      const done = facts.sessions.filter(({ coursePlanId }) => coursePlanId === coursePlan.id);
      const doneDays = done.map(({ startedAtMs }) => day(startedAtMs));
      const next = standing && nextInBlock(standing.entries, coursePlan.id);
      const turn =
        next || (standing && isScheduled(standing, coursePlan.id))
          ? turnInBlock(next, day(nowMs))
          : turnOf(coursePlan.occasion, doneDays, heavyDays, day(nowMs));
      return [{ coursePlan, prescription, turn, lastMs: Math.max(...done.map((fact) => fact.startedAtMs)) }];
    })
    .sort(
      (a, b) =>
        compareTurns(a.turn, b.turn) ||
        compare(a.lastMs, b.lastMs) ||
        compare(b.prescription.atMs, a.prescription.atMs) ||
        a.coursePlan.id.localeCompare(b.coursePlan.id),
    )
    .map(({ lastMs: _, ...plan }) => plan);
}

/** Whether the block that runs today says when a plan is run. */
const isScheduled = ({ block: { wish }, today }: BlockStanding, coursePlanId: string): boolean =>
  today >= dayOf(wish.startsOn) &&
  today < dayOf(wish.startsOn) + 7 * wish.weeks &&
  wish.lines.some((line) => line.coursePlanId === coursePlanId);

const compare = (a: number, b: number): number => (a === b ? 0 : a - b);

/** The plan that is next. */
export const nextPlan = (facts: PlanFacts, nowMs: number): PlanInForce | undefined =>
  plansInForce(facts, nowMs)[0];

/** Why a plan does not count now, in words; null where it does. */
export function whyNotInForce({ name, state, untilMs }: CoursePlan, nowMs: number): Message | null {
  if (state === 'paused') return msg('{name} is paused.', { name });
  if (state === 'ended') return msg('{name} has ended.', { name });
  return untilMs !== null && nowMs > untilMs
    ? msg('{name} was to be run until a day that is over.', { name })
    : null;
}

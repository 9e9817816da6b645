import type { Role } from '../access/permissions';
import type { Finding } from '../findings/finding';
import { type Message, msg, sentences } from '../message/message';
import type { Basis } from '../plan/basis';
import type { SessionChoice } from '../plan/choices';
import { choicesOf } from '../plan/choices-of';
import { type Composed, composeSession, UnknownChoice } from '../plan/compose';
import { figureValue } from '../plan/figures';
import type { Plan } from '../plan/plan';
import { planChanges } from '../plan/plan-changes';
import type { Change } from '../review/change';
import { nextSession } from '../review/next-session';
import { basisOf } from './basis';
import { courseToday } from './course-in-force';
import { isOnRungOf, lastOf, reviewOfCourse } from './course-review';
import type { ClientFacts, KitInUse, PrescriptionFact, SessionFact } from './facts';
import { guardsThatStand } from './on-their-rungs';
import { guardKey, onPressuresInForce } from './recheck';

/**
 * What the review of a plan's last session still asks before it is run again (rule REV-10): an answer, or a version that the
 * answer makes; null where it asks nothing. A version comes with what keeps it from being kept at once: hard findings, and
 * guards that were not passed.
 */
export type ReviewAsks =
  | { kind: 'answer'; session: SessionFact }
  | { kind: 'version'; session: SessionFact; plan: Plan | null; changes: Message[]; against: Finding[] };

/** @param role of the person who would sign the version */
export function whatReviewAsks(
  prescribed: PrescriptionFact,
  facts: ClientFacts,
  kit: KitInUse,
  role: Role,
  nowMs: number,
): ReviewAsks | null {
  const session = lastOf(prescribed, facts);
  if (!session) return null;
  const asked = { prescribed, session, facts, kit, role, nowMs };
  const review = reviewOfCourse(prescribed, facts, kit.weightKits, nowMs);
  // Sessions of earlier releases do not say what was done: they are answered, and what was answered makes a version.
  if (
    session.exercises.length === 0 &&
    prescribed.versions.includes(session.prescriptionId) &&
    session.reviewed
  )
    return session.answered.some((change) => Object.keys(change).length > 0)
      ? versionBeyond(session.answered, choicesOf(prescribed.plan), asked)
      : null;
  if (review?.session.id !== session.id) return asksBefore(session);
  if (review.exercises.some((one) => one?.asks)) return { kind: 'answer', session };
  // What was advised on another rung is not this one's next version.
  if (!isOnRungOf(prescribed, session)) return null;
  const beyond = review.exercises.map((one) => (one?.leavesBounds ? one.change : undefined));
  return beyond.some((change) => change !== undefined)
    ? versionBeyond(beyond, courseToday(prescribed, facts, kit, nowMs, { keepsBack: true }).day.whole, asked)
    : null;
}

/**
 * What a session of another version still asks: a version signed meanwhile is no answer, since it lacks a reason for not doing what
 * the review asks.
 */
const asksBefore = (session: SessionFact): ReviewAsks | null =>
  session.reviewed ? null : { kind: 'answer', session };

type Beyond = {
  prescribed: PrescriptionFact;
  session: SessionFact;
  facts: ClientFacts;
  kit: KitInUse;
  role: Role;
  nowMs: number;
};

/** The version that an answered change past the bounds makes: what is done now, with that change (rule REV-10). */
function versionBeyond(
  changes: readonly (Change | undefined)[],
  now: SessionChoice,
  { prescribed, session, facts, kit, role, nowMs }: Beyond,
): ReviewAsks | null {
  const made = composeNext(now, changes, basisOf(facts, kit, role, nowMs));
  if ('against' in made) return { kind: 'version', session, plan: null, changes: [], against: made.against };
  const said = planChanges(prescribed.plan, made.plan);
  if (said.length === 0) return null;
  const passed = new Set(guardsThatStand(prescribed).map(guardKey));
  const against = made.findings.filter(
    (finding) => finding.level === 'hard' || (finding.level === 'guard' && !passed.has(guardKey(finding))),
  );
  return { kind: 'version', session, plan: made.plan, changes: said, against };
}

function composeNext(
  now: SessionChoice,
  changes: readonly (Change | undefined)[],
  basis: Basis,
): Composed | { against: Finding[] } {
  const common = { rule: 'REV-10', level: 'hard', subject: 'review' } as const;
  const remedy = msg('Draft it in Prescribe.');
  try {
    const { plan } = composeSession(onPressuresInForce(now, basis), basis);
    const { session, notes } = nextSession(plan, changes, basis);
    if (!session) return { against: [{ ...common, message: sentences(...notes), remedy }] };
    return composeSession(withWiderBounds(session), basis);
  } catch (error) {
    if (!(error instanceof UnknownChoice)) throw error;
    return { against: [{ ...common, message: error.says, remedy: error.remedy }] };
  }
}

/** What was accepted past a bound is the bound from then on. */
const withWiderBounds = (session: SessionChoice): SessionChoice => ({
  ...session,
  exercises: session.exercises.map((choice) =>
    choice.movements
      ? {
          ...choice,
          movements: choice.movements.map((movement) => ({
            ...movement,
            to: Math.max(movement.to, figureValue(choice, movement.figure) ?? 0),
          })),
        }
      : choice,
  ),
});

/** Whether the answer to the review of a session may still be taken back: until its plan opens again (rule REV-10). */
export function mayTakeBack({ sessions }: Pick<ClientFacts, 'sessions'>, sessionId: string): boolean {
  const own = sessions.find(({ id }) => id === sessionId);
  return (
    own !== undefined &&
    !sessions.some(
      ({ coursePlanId, startedAtMs }) => coursePlanId === own.coursePlanId && startedAtMs > own.startedAtMs,
    )
  );
}

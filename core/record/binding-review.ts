import type { Role } from '../access/permissions';
import type { Finding } from '../findings/finding';
import { type Message, msg, sentences } from '../message/message';
import { type Composed, composeSession, UnknownChoice } from '../plan/compose';
import type { Plan } from '../plan/plan';
import { planChanges } from '../plan/plan-changes';
import { newestBy } from '../quantity/newest';
import { nextSession } from '../review/next-session';
import { basisOf } from './basis';
import type { ClientFacts, KitInUse, PrescriptionFact, SessionFact } from './facts';
import { guardKey } from './recheck';

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
  // A version signed meanwhile is no answer: it lacks a reason for not doing what the review asks.
  if (!session.reviewed) return { kind: 'answer', session };
  const isChanged = !prescribed.versions.includes(session.prescriptionId);
  if (isChanged || session.answered.every((change) => Object.keys(change).length === 0)) return null;
  const basis = basisOf(facts, kit, role, nowMs);
  const made = composeNext(prescribed.plan, session.answered, basis);
  if ('against' in made) return { kind: 'version', session, plan: null, changes: [], against: made.against };
  const changes = planChanges(prescribed.plan, made.plan);
  if (changes.length === 0) return null;
  const passed = new Set(prescribed.guards.map(guardKey));
  const against = made.findings.filter(
    (finding) => finding.level === 'hard' || (finding.level === 'guard' && !passed.has(guardKey(finding))),
  );
  return { kind: 'version', session, plan: made.plan, changes, against };
}

/**
 * The last finished session of a plan, whichever version it ran; also one of a plan that has ended since and did the same
 * exercise on the same limb, so that no review is passed by under another name.
 */
function lastOf(
  prescribed: PrescriptionFact,
  { sessions, coursePlans }: ClientFacts,
): SessionFact | undefined {
  const done = new Set(
    prescribed.plan.exercises.flatMap(({ exerciseId, limbs }) =>
      limbs.map(({ limb }) => `${exerciseId} ${limb}`),
    ),
  );
  const isOwn = ({ coursePlanId, worked }: SessionFact) =>
    coursePlanId === prescribed.coursePlanId ||
    (!coursePlans.some(({ id }) => id === coursePlanId) &&
      worked.some(({ exerciseId, limbs }) => limbs.some((limb) => done.has(`${exerciseId} ${limb}`))));
  return newestBy(
    sessions.filter((session) => session.finishedAtMs !== null && isOwn(session)),
    ({ startedAtMs }) => startedAtMs,
  );
}

function composeNext(
  plan: Plan,
  changes: SessionFact['answered'],
  basis: ReturnType<typeof basisOf>,
): Composed | { against: Finding[] } {
  const { session, notes } = nextSession(plan, changes, basis);
  const common = { rule: 'REV-10', level: 'hard', subject: 'review' } as const;
  const remedy = msg('Draft it in Prescribe.');
  if (!session) return { against: [{ ...common, message: sentences(...notes), remedy }] };
  try {
    return composeSession(session, basis);
  } catch (error) {
    if (!(error instanceof UnknownChoice)) throw error;
    return { against: [{ ...common, message: error.says, remedy: error.remedy }] };
  }
}

import type { Context } from 'hono';
import { planChanges } from '#core/plan';
import {
  type ClientFacts,
  mayTakeBack,
  type PrescriptionFact,
  versionInForce,
  whatReviewAsks,
} from '#core/record';
import type { Env } from '../../context';
import type { NoteOnRecord } from '../../db/audit';
import { readClient } from '../../db/client-facts';
import { readKit } from '../kit';
import type { SessionHead } from '../session';
import { findingsOf, keepVersion } from './keep-version';

/**
 * Keeps the version of a plan that the answers to its review make, signed by the person who answered. One that would break a rule,
 * or pass a guard that was not passed, is left to be signed in Prescribe (rule REV-10). What an earlier answer to the same review made
 * goes first.
 */
export async function keepReviewedVersion(c: Context<Env>, session: SessionHead): Promise<void> {
  const { em, nowMs, practitioner } = c.var;
  await takeBackVersion(c, session);
  const { facts } = await readClient(em, session.clientId, nowMs);
  const prescribed = versionOf(session, facts);
  if (!prescribed) return;
  const asks = whatReviewAsks(prescribed, facts, await readKit(em), practitioner.role, nowMs);
  if (asks?.kind !== 'version' || asks.session.id !== session.id || !asks.plan || asks.against.length > 0)
    return;
  const { plan, changes } = asks;
  const note: NoteOnRecord = {
    action: 'prescribed-by-review',
    detail: { from: prescribed.id, sessionId: session.id, changes },
  };
  await keepVersion(c, note, {
    ...under(prescribed, session),
    plan,
    retargets: null,
    isByReview: true,
    changes,
  });
}

/** Puts the version that a review was answered under back in force, where an answer has made another and nothing has opened since. */
async function takeBackVersion(c: Context<Env>, session: SessionHead): Promise<void> {
  const { facts } = await readClient(c.var.em, session.clientId, c.var.nowMs);
  const made = versionOf(session, facts);
  if (!made) return;
  // One that was re-targeted since rests on the one that the answer made.
  const isByReview = [made, ...facts.formerVersions].some(
    (one) => one.isByReview && made.versions.includes(one.id),
  );
  const before = facts.formerVersions
    .filter(({ coursePlanId }) => coursePlanId === made.coursePlanId)
    .sort((a, b) => b.atMs - a.atMs)
    .find(({ versions }) => versions.includes(session.prescriptionId));
  if (!isByReview || !before || !mayTakeBack(facts, session.id)) return;
  const changes = planChanges(made.plan, before.plan);
  const note: NoteOnRecord = {
    action: 'review-taken-back',
    detail: { from: made.id, sessionId: session.id, changes },
  };
  await keepVersion(c, note, {
    ...under(before, session),
    plan: before.plan,
    // It rests on the signature it had, and so on the sessions under that (rule PRS-8).
    retargets: before.id,
    changes,
  });
}

/** The version in force of the plan that a session was of. */
function versionOf({ id }: SessionHead, facts: ClientFacts): PrescriptionFact | undefined {
  const fact = facts.sessions.find((one) => one.id === id);
  return fact && versionInForce(facts, fact.coursePlanId);
}

/** What a version keeps of the one it goes on from: its plan, and the guards that were passed with why. */
const under = (before: PrescriptionFact, { clientId }: SessionHead) => ({
  clientId,
  coursePlan: { id: before.coursePlanId },
  findings: findingsOf(before),
  overrideReason: before.overrideReason,
});

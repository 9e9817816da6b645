import type { Context } from 'hono';
import { versionInForce, whatReviewAsks } from '#core/record';
import type { Env } from '../../context';
import type { NoteOnRecord } from '../../db/audit';
import { readClient } from '../../db/client-facts';
import { readKit } from '../kit';
import type { SessionHead } from '../session';
import { findingsOf, keepVersion } from './keep-version';

/**
 * Keeps the version of a plan that the answers to its review make, signed by the person who answered. One that would break a rule,
 * or pass a guard that was not passed, is left to be signed in Prescribe (rule REV-10).
 */
export async function keepReviewedVersion(c: Context<Env>, session: SessionHead): Promise<void> {
  const { em, nowMs, practitioner } = c.var;
  const { facts } = await readClient(em, session.clientId, nowMs);
  const fact = facts.sessions.find(({ id }) => id === session.id);
  const prescribed = fact && versionInForce(facts, fact.coursePlanId);
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
    clientId: session.clientId,
    coursePlan: { id: prescribed.coursePlanId },
    plan,
    findings: findingsOf(prescribed),
    overrideReason: prescribed.overrideReason,
    retargets: null,
    changes,
  });
}

import { msg } from '#core/message';
import { mayTakeBack } from '#core/record';
import { readRecord } from '../../db/client-facts';
import type { Prepare } from '../../db/dialect/connection';
import { Problem } from '../../problem';
import { readLog } from '../session-event';
import type { Taken } from './take-events';

/**
 * Whether a batch takes answers to a review back. To be called in the transaction that took it in.
 * @throws Problem 409 where the plan has opened again since: that session went by the answer (rule REV-10)
 */
export function checkReviewTakenBack(prepare: Prepare, { session, fresh }: Taken, nowMs: number): boolean {
  const undone = fresh.flatMap((event) => (event.type === 'undone' ? [event.eventId] : []));
  if (undone.length === 0) return false;
  const log = readLog(prepare, session.id);
  if (!log.some(({ id, type }) => type === 'review-answered' && undone.includes(id))) return false;
  const { facts } = readRecord(prepare, session.clientId, nowMs);
  if (!mayTakeBack(facts, session.id))
    throw new Problem(
      409,
      msg('Opened since'),
      msg('A session of this plan has opened since: it went by this answer. Sign another version instead.'),
    );
  return true;
}

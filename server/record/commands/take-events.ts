import { msg } from '#core/message';
import type { Limb } from '#core/quantity';
import { mergeLogs, type SessionEvent } from '#core/session';
import { type AuditNote, writeAudit } from '../../db/audit';
import type { Prepare } from '../../db/dialect/connection';
import { isUniqueClash } from '../../db/dialect/errors';
import { checkEvents } from '../../live/check-events';
import { timeByReceipt } from '../../live/time-by-receipt';
import { notFound, Problem } from '../../problem';
import { limitOfPractice } from '../practice';
import { readFrozenPlan, readHead, type SessionHead, sessionRecord } from '../session';
import { appendEvent, knownOf } from '../session-event';
import { changeRows } from '../write';
import { holdsOfEvents, raiseHolds } from './raise-holds';
import { changesSummary, summariseAgain } from './summarise-session';

/** What came of a batch: the session, the events that were new, and whether the person's record says something else now. */
export type Taken = { session: SessionHead; fresh: SessionEvent[]; changed: boolean };

/**
 * Takes a batch of events into a session's log, with what they mean for later sessions and their audit entry: the path that
 * every pump reading goes, so it is all prepared statements. To be called in a transaction.
 * @param aheadMs how far ahead of the server's clock an event may be (rule RUN-9)
 * @throws Problem 404 for an unknown session, 409 for a clash of sequence numbers, and what `checkEvents` refuses
 */
export function takeEvents(
  prepare: Prepare,
  sessionId: string,
  events: readonly SessionEvent[],
  { nowMs, aheadMs, practitionerId }: { nowMs: number; aheadMs: number; practitionerId: string },
): Taken {
  const session = readHead(prepare, sessionId);
  if (!session) throw notFound(msg('This session'));
  if (session.isRetracted === 1)
    throw new Problem(409, msg('Retracted'), msg('This session was retracted: nothing is added to it.'));
  const known = knownOf(prepare, events);
  const timed = timeByReceipt(events, new Set(known.map(({ id }) => id)), session.openedAtMs, nowMs);
  const fresh = checkEvents(session, timed, known, { nowMs, aheadMs, practitionerId });
  insert(prepare, fresh, nowMs, practitionerId);
  const finished = fresh.find(({ type }) => type === 'session-finished');
  if (finished && session.finishedAtMs === null) {
    changeRows(prepare, sessionRecord, { id: sessionId }, { finishedAtMs: finished.atMs });
  }
  raiseHolds(
    prepare,
    session.clientId,
    holdsOfEvents(fresh, wornIn(prepare, sessionId), () => limitOfPractice(prepare), nowMs),
  );
  const changed = changesSummary(session, fresh);
  if (changed) summariseAgain(prepare, session, nowMs);
  const note: AuditNote = { action: 'events-appended', subject: sessionId, detail: { count: fresh.length } };
  writeAudit(prepare, note, { practitionerId, atMs: nowMs });
  return { session, fresh, changed };
}

/** The limbs a session's plan puts under a cuff or strap. */
export const wornIn = (prepare: Prepare, sessionId: string) => (): Limb[] => {
  const { exercises } = readFrozenPlan(prepare, sessionId);
  return [...new Set(exercises.flatMap(({ limbs }) => limbs.map(({ limb }) => limb)))];
};

const SEQUENCE_CLASH = new Problem(
  409,
  msg('Sequence clash'),
  msg(
    'Two different events carry the same sequence number of one device; none of this batch was stored. Reload the page: it goes on as a new device.',
  ),
);

function insert(prepare: Prepare, events: readonly SessionEvent[], nowMs: number, practitionerId: string) {
  try {
    for (const event of mergeLogs(events))
      appendEvent(prepare, event, { receivedAtMs: nowMs, practitionerId });
  } catch (error) {
    if (isUniqueClash(error)) throw SEQUENCE_CLASH;
    throw error;
  }
}

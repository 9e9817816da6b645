import type { WeightKit } from '#core/load';
import { msg, sentences } from '#core/message';
import { limitsInForce, reviewSession } from '#core/record';
import { whyNotAnswer } from '#core/review';
import type { SessionEvent } from '#core/session';
import { readRecord } from '../../db/client-facts';
import type { Prepare } from '../../db/dialect/connection';
import { Problem } from '../../problem';
import { findRow } from '../read';
import { readIdBefore, type SessionHead, sessionRecord } from '../session';
import { readDone } from './summarise-session';
import type { Taken } from './take-events';

/**
 * Refuses answers to a review that the server does not come to itself: the review is worked out here, from the log as it is
 * with them, and only of a session that is finished (rules REV-10, START-3). To be called in the transaction that took them in.
 * @param events the whole batch, so that what is wrong is said at its place
 */
export function checkReviewAnswers(
  prepare: Prepare,
  { session, fresh }: Taken,
  events: readonly SessionEvent[],
  { weightKits, nowMs }: { weightKits: readonly WeightKit[]; nowMs: number },
): void {
  const answers = fresh.flatMap((event) => (event.type === 'review-answered' ? [event] : []));
  if (answers.length === 0) return;
  const { facts } = readRecord(prepare, session.clientId, nowMs);
  const done = readDone(prepare, session);
  const idBefore = readIdBefore(prepare, session);
  const before = idBefore === null ? null : readBefore(prepare, idBefore, session);
  const advices = reviewSession({ ...done, before }, facts, weightKits, nowMs);
  const limits = limitsInForce(facts, nowMs);
  const wrong = answers.flatMap((answer) => {
    const words =
      done.state.finishedAtMs === null
        ? msg('The session is not finished: its review is answered after it.')
        : whyNotAnswer(advices[answer.exerciseIndex], answer, done, limits);
    return words === null ? [] : [{ place: events.findIndex(({ id }) => id === answer.id), words }];
  });
  if (wrong.length === 0) return;
  throw new Problem(
    422,
    msg('Not what the review says'),
    sentences(...wrong.map(({ words }) => words)),
    wrong.map(({ place, words }) => ({ path: `events.${place}.answer`, message: words, rule: 'REV-10' })),
  );
}

const readBefore = (prepare: Prepare, id: string, { clientId }: SessionHead) => {
  const before = findRow(prepare, sessionRecord, { id }, ['openedAtMs']);
  return before ? readDone(prepare, { id, clientId, ...before }) : null;
};

import type { InferEntity } from '@mikro-orm/core';
import type { Role } from '#core/access';
import { msg } from '#core/message';
import { type ClientFacts, holdsOfScreening, whyNotLift } from '#core/record';
import { conditionsOfScreening } from '#core/screening';
import type { Prepare } from '../../db/dialect/connection';
import { screeningRecord } from '../screening';
import { keepRow } from '../write';
import { beginConditions } from './begin-conditions';
import { liftHolds, raiseHolds } from './raise-holds';

type Kept = Omit<InferEntity<typeof screeningRecord.entity>, 'clientId' | 'atMs' | 'by' | 'superseded'>;

/**
 * Keeps a screening, with the conditions it begins and the holds it raises; one by a clinician answers the holds that may be
 * lifted (rules SCR-1, SCR-5). To be called in a transaction.
 */
export function keepScreening(
  prepare: Prepare,
  { id: clientId, facts }: { id: string; facts: ClientFacts },
  screening: Kept,
  { practitionerId, role, nowMs }: { practitionerId: string; role: Role; nowMs: number },
): void {
  keepRow(prepare, screeningRecord, { ...screening, clientId, atMs: nowMs, by: role });
  if (role === 'clinician') {
    const answered = facts.holds.filter(
      ({ ends, ...hold }) =>
        (ends.by === 'clinician' || ends.by === 'screening') && whyNotLift({ ...hold, ends }, nowMs) === null,
    );
    liftHolds(
      prepare,
      answered.map((hold) => hold.id),
      { practitionerId, atMs: nowMs, reason: msg('Screened again') },
    );
  }
  // What it finds itself is held again.
  beginConditions(prepare, clientId, conditionsOfScreening(screening.id, screening, nowMs));
  raiseHolds(prepare, clientId, holdsOfScreening(screening.id, screening, facts.stricter, nowMs));
}

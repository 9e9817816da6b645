import { msg } from '#core/message';
import { type ClientFacts, holdsInForce, holdsOfDayCheck, needsBloodPressure } from '#core/record';
import type { DayCheck } from '#core/screening';
import type { Prepare } from '../../db/dialect/connection';
import { refusedField } from '../../problem';
import { dayCheckRecord } from '../day-check';
import { keepRow } from '../write';
import { raiseHolds } from './raise-holds';

/**
 * Keeps a check on the day, with the holds it raises from now on. To be called in a transaction.
 * @throws Problem 422 without the blood pressure that is needed (rule SCR-3)
 */
export function keepDayCheck(
  prepare: Prepare,
  { id: clientId, facts }: { id: string; facts: ClientFacts },
  { id, atMs, by, ...answers }: DayCheck & { id: string },
  nowMs: number,
): void {
  if (!answers.bloodPressure && needsBloodPressure(facts, nowMs)) {
    throw refusedField(
      msg('Blood pressure first'),
      'bloodPressure',
      'SCR-3',
      msg(
        'The resting blood pressure of today is needed: high blood pressure is on record, or a clearance asks for it.',
      ),
      msg('Measure it, and enter it here.'),
    );
  }
  keepRow(prepare, dayCheckRecord, { id, clientId, atMs, answers, by: by ?? null });
  raiseHolds(prepare, clientId, holdsOfDayCheck(id, answers, holdsInForce(facts, nowMs), nowMs));
}

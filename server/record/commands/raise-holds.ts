import { randomUUID } from 'node:crypto';
import type { Text } from '#core/message';
import type { Limb } from '#core/quantity';
import { holdsOfBloodPressure, holdsOfDayAfter, holdsOfSign, type NewHold } from '#core/record';
import type { BloodPressure } from '#core/screening';
import type { SessionEvent } from '#core/session';
import type { Prepare } from '../../db/dialect/connection';
import { holdRecord } from '../hold';
import { changeRows, keepRow } from '../write';

/** Raises holds; one that its cause has raised already stays as it is (rule SCR-5). */
export function raiseHolds(prepare: Prepare, clientId: string, holds: readonly NewHold[]): void {
  for (const { cause, words, rule, atMs, limb, subject, ends, isEmergency = false } of holds) {
    keepRow(
      prepare,
      holdRecord,
      { id: randomUUID(), clientId, cause, words, rule, atMs, limb, subject, ends, isEmergency },
      { sameAs: ['clientId', 'cause'], update: 'nothing' },
    );
  }
}

/** Lifts what is not lifted yet of some holds. */
export const liftHolds = (
  prepare: Prepare,
  ids: readonly string[],
  by: { practitionerId: string; atMs: number; reason: Text },
): number =>
  changeRows(
    prepare,
    holdRecord,
    { id: [...ids], liftedAtMs: null },
    { liftedAtMs: by.atMs, liftedBy: by.practitionerId, liftReason: by.reason },
  );

/**
 * What events raise holds for: stop signs, blood pressures that end work, and answers of the day after (rules RUN-3, RUN-6, RUN-8).
 * @param worn the limbs that were under a cuff, asked only where an event does not say
 * @param limit of the practice for the blood pressure in work, asked only where one was taken (rule RUN-8)
 */
export function holdsOfEvents(
  events: readonly SessionEvent[],
  worn: () => readonly Limb[],
  limit: () => BloodPressure,
  nowMs: number,
): NewHold[] {
  return events.flatMap((event) => {
    if (event.type === 'sign-noted') return holdsOfSign(event, event.limbs ?? worn(), nowMs);
    if (event.type === 'blood-pressure-noted') return holdsOfBloodPressure(event, limit(), nowMs);
    if (event.type === 'followed-up') return holdsOfDayAfter(event.id, event, nowMs);
    return [];
  });
}

import { randomUUID } from 'node:crypto';
import type { NewCondition } from '#core/screening';
import type { Prepare } from '../../db/dialect/connection';
import { conditionRecord, idsCausedBy } from '../condition';
import { changeRows, keepRow } from '../write';

/** Begins conditions; one that its cause has begun already stays as it is (rule SCR-1). */
export function beginConditions(
  prepare: Prepare,
  clientId: string,
  conditions: readonly NewCondition[],
): void {
  for (const { cause, atMs, detail, endsAtMs } of conditions) {
    keepRow(
      prepare,
      conditionRecord,
      { id: randomUUID(), clientId, cause, atMs, detail, endsAtMs },
      { sameAs: ['clientId', 'cause'], update: 'nothing' },
    );
  }
}

/** Ends those of some conditions that have not ended. @param by null where no one of the practice ended them: an older release did not keep who */
export function endConditions(
  prepare: Prepare,
  clientId: string,
  ids: readonly string[],
  by: { practitionerId: string | null; atMs: number; reason: string },
): void {
  changeRows(
    prepare,
    conditionRecord,
    { id: [...ids], clientId, endedAtMs: null },
    { endedAtMs: by.atMs, endedBy: by.practitionerId, endReason: by.reason },
  );
}

/** Ends what a screening began, where that screening is retracted. */
export function endConditionsOfScreening(
  prepare: Prepare,
  clientId: string,
  screeningId: string,
  by: { practitionerId: string; atMs: number; reason: string },
): void {
  const ids = idsCausedBy(prepare, clientId, `screening ${screeningId} `);
  endConditions(prepare, clientId, ids, by);
}

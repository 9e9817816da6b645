import { randomUUID } from 'node:crypto';
import type { EntityManager } from '@mikro-orm/libsql';
import { readPlan } from '#core/plan/versions/read-plan';
import { type Hold, holdsOfDayAfter, holdsOfSign, type NewHold } from '#core/record/holds';
import type { SessionEvent } from '#core/session/events';
import { HoldEntity, type SessionRow } from './entities';

/** Raises holds; one that its cause has raised already stays as it is (rule SCR-5). */
export async function raiseHolds(
  em: EntityManager,
  clientId: string,
  holds: readonly NewHold[],
): Promise<void> {
  if (holds.length === 0) return;
  const rows = holds.map((hold) => ({
    id: randomUUID(),
    clientId,
    ...hold,
    liftedAtMs: null,
    liftedBy: null,
    liftReason: null,
  }));
  await em.createQueryBuilder(HoldEntity).insert(rows).onConflict(['client_id', 'cause']).ignore().execute();
}

/** Lifts what is not lifted yet of some holds. */
export const liftHolds = (
  em: EntityManager,
  ids: readonly string[],
  by: { practitionerId: string; atMs: number; reason: string },
): Promise<number> =>
  em.nativeUpdate(
    HoldEntity,
    { id: { $in: [...ids] }, liftedAtMs: null },
    { liftedAtMs: by.atMs, liftedBy: by.practitionerId, liftReason: by.reason },
  );

/** What events raise holds for: stop signs, and answers of the day after (rules RUN-3, RUN-6). */
export function holdsOfEvents(session: SessionRow, events: readonly SessionEvent[], nowMs: number) {
  const worn = () => readPlan(session.plan).exercises.flatMap(({ limbs }) => limbs.map(({ limb }) => limb));
  return events.flatMap((event) => {
    if (event.type === 'sign-noted') return holdsOfSign(event, event.limbs ?? [...new Set(worn())], nowMs);
    if (event.type === 'followed-up') return holdsOfDayAfter(event.id, event, nowMs);
    return [];
  });
}

/** A row as the core knows it. */
export const holdOf = (row: {
  id: string;
  cause: string;
  words: string;
  rule: Hold['rule'];
  atMs: number;
  limb?: Hold['limb'] | undefined;
  subject?: Hold['subject'] | undefined;
  ends: Hold['ends'];
  liftedAtMs?: number | null | undefined;
  liftedBy?: string | null | undefined;
  liftReason?: string | null | undefined;
}): Hold => ({
  id: row.id,
  cause: row.cause,
  words: row.words,
  rule: row.rule,
  atMs: row.atMs,
  limb: row.limb ?? null,
  subject: row.subject ?? null,
  ends: row.ends,
  lifted:
    row.liftedAtMs == null
      ? null
      : { atMs: row.liftedAtMs, by: row.liftedBy ?? '', reason: row.liftReason ?? '' },
});

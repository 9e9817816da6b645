import type { EntityManager } from '@mikro-orm/libsql';
import { holdsOfScreening } from '#core/record/holds';
import { PracticeEntity, ScreeningEntity, SessionEntity, SessionEventEntity } from './entities';
import { holdsOfEvents, raiseHolds } from './holds';

const FILLED = 1;

/**
 * Holds of a file that was kept before there were any: what the newest screening of each person stops, and what was noted
 * in and after their last session. Once a file; a clinician lifts what has long been settled (rule SCR-5).
 */
export async function fillHolds(em: EntityManager): Promise<void> {
  const connection = em.getConnection();
  const [mark] = (await connection.execute('pragma user_version')) as { user_version: number }[];
  if ((mark?.user_version ?? 0) >= FILLED) return;
  const practice = await em.findOne(PracticeEntity, { id: 'practice' });
  const screenings = await em.find(ScreeningEntity, {
    id: { $in: await newestIds(em, 'screening', 'at_ms') },
  });
  for (const { id, clientId, atMs, ...screening } of screenings) {
    await raiseHolds(em, clientId, holdsOfScreening(id, screening, practice?.stricter ?? [], atMs));
  }
  const sessions = await em.find(SessionEntity, {
    id: { $in: await newestIds(em, 'session', 'opened_at_ms') },
  });
  for (const session of sessions) {
    const rows = await em.find(SessionEventEntity, {
      sessionId: session.id,
      type: { $in: ['sign-noted', 'followed-up'] },
    });
    for (const { event, receivedAtMs } of rows) {
      await raiseHolds(em, session.clientId, holdsOfEvents(session, [event], receivedAtMs));
    }
  }
  await connection.execute(`pragma user_version = ${FILLED}`);
}

/** The id of each person's newest row of a table. */
async function newestIds(em: EntityManager, table: string, column: string): Promise<string[]> {
  const rows = await em
    .getConnection()
    .execute(
      `select id from ${table} t where ${column} = (select max(${column}) from ${table} where client_id = t.client_id)`,
    );
  return (rows as { id: string }[]).map(({ id }) => id);
}

import type { MikroORM } from '@mikro-orm/libsql';
import { MS_PER_DAY } from '#core/quantity/units';
import { inTransaction, withStatements } from './db/sqlite';

/**
 * The practice's clock: the machine's, and as far ahead of it as a demonstration was moved on. What was kept then stays in
 * the past, so a start goes on where the last one stood.
 */
export async function practiceClock(orm: MikroORM) {
  const kept = await withStatements(orm.em.fork(), (prepare) =>
    prepare('select clock_ahead_ms as "aheadMs" from practice').get(),
  );
  let aheadMs = (kept as { aheadMs: number } | undefined)?.aheadMs ?? 0;
  return {
    now: () => Date.now() + aheadMs,
    moveOn: async (days: number): Promise<void> => {
      const nextMs = aheadMs + days * MS_PER_DAY;
      await inTransaction(orm.em.fork(), (prepare) => {
        prepare('update practice set clock_ahead_ms = ?').run(nextMs);
      });
      aheadMs = nextMs;
    },
  };
}

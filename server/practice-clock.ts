import type { MikroORM } from '@mikro-orm/libsql';
import { MS_PER_HOUR, MS_PER_SECOND } from '#core/quantity';
import { inTransaction, type Prepare, withStatements } from './db/dialect/connection';
import { practiceRecord } from './record/practice';
import { findRow } from './record/read';
import { isAnyRunning } from './record/session';
import { putTimesRight } from './record/times';
import { changeRows } from './record/write';

/** A clock that is put right by less just waits: machines are put right by parts of a second all the time. */
const WAITS_MS = 2 * MS_PER_SECOND;
/** One that was opened longer ago was left open. */
const SESSION_LASTS_MS = 12 * MS_PER_HOUR;

function sameTimeLater(fromMs: number, days: number): number {
  const day = new Date(fromMs);
  return day.setDate(day.getDate() + days);
}

/**
 * The practice's clock: the machine's, and as far ahead of it as a demonstration was moved on. What was kept then stays in
 * the past, so a start goes on where the last one stood.
 *
 * Where the machine's clock is set back, a session that is running goes on by the clock it began with, so that nothing of it is
 * lost (rule RUN-9). Once none runs the clock goes back, and what was recorded while it was ahead counts from then on as
 * recorded at that moment (rule START-4).
 * @param machineNow the machine's clock @param putBack called when the clock went back, since what counts may be something else
 */
export async function practiceClock(
  orm: MikroORM,
  machineNow: () => number = Date.now,
  putBack: () => void = () => {},
) {
  const write = <T>(work: (prepare: Prepare) => T) => inTransaction(orm.em.fork(), work);
  const kept = await withStatements(orm.em.fork(), (prepare) =>
    findRow(prepare, practiceRecord, 'all', ['clockAheadMs']),
  );
  let movedOnMs = kept?.clockAheadMs ?? 0;
  const reading = () => machineNow() + movedOnMs;
  let lastMs = reading();
  /** How far the clock is kept ahead of the machine's for a session that is running. */
  let heldMs = 0;
  let settling: Promise<number> | null = null;
  await write((prepare) => putTimesRight(prepare, lastMs));

  async function settle(): Promise<number> {
    const nowMs = reading();
    const isRunning = await withStatements(orm.em.fork(), (prepare) =>
      isAnyRunning(prepare, lastMs - SESSION_LASTS_MS),
    );
    if (isRunning) {
      heldMs = Math.max(heldMs, lastMs - nowMs);
      lastMs = nowMs + heldMs;
      return lastMs;
    }
    heldMs = 0;
    lastMs = nowMs;
    const rows = await write((prepare) => putTimesRight(prepare, nowMs));
    if (rows > 0) putBack();
    return nowMs;
  }

  return {
    now: async (): Promise<number> => {
      const nowMs = reading();
      if (heldMs === 0 && nowMs >= lastMs - WAITS_MS) {
        lastMs = Math.max(lastMs, nowMs);
        return lastMs;
      }
      settling ??= settle().finally(() => {
        settling = null;
      });
      return settling;
    },
    /** To the same time of a later day: by whole days of 24 hours, a change of clocks would end on another day. */
    moveOn: async (days: number): Promise<void> => {
      const fromMs = reading();
      const nextMs = movedOnMs + sameTimeLater(fromMs, days) - fromMs;
      await write((prepare) => {
        changeRows(prepare, practiceRecord, { id: 'practice' }, { clockAheadMs: nextMs });
      });
      movedOnMs = nextMs;
    },
  };
}

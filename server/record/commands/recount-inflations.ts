import { type SessionLine, talliesOf } from '#core/outcomes';
import type { Prepare } from '../../db/dialect/connection';
import { addToCount, INFLATION } from '../inflation-count';
import { findRow } from '../read';
import { sessionRecord } from '../session';

/** Takes a session's old line out of the counts and puts its new one in: a correction moves them, and nothing counts twice. */
export function recount(
  prepare: Prepare,
  { id, openedAtMs }: { id: string; openedAtMs: number },
  line: SessionLine,
): void {
  const old = findRow(prepare, sessionRecord, { id }, ['logLine'])?.logLine;
  if (JSON.stringify(old) === JSON.stringify(line)) return;
  const month = monthOf(openedAtMs);
  if (old) count(prepare, month, old, -1);
  count(prepare, month, line, 1);
}

/** Takes a session's line out of the counts, before the session is deleted. */
export function uncount(prepare: Prepare, sessionId: string): void {
  const session = findRow(prepare, sessionRecord, { id: sessionId }, ['openedAtMs', 'logLine']);
  if (session?.logLine) count(prepare, monthOf(session.openedAtMs), session.logLine, -1);
}

const monthOf = (atMs: number): string => new Date(atMs).toISOString().slice(0, 7);

function count(prepare: Prepare, month: string, line: SessionLine, by: 1 | -1): void {
  for (const { limb, percentBand, minutesBand, schoolId, cuff, seen } of talliesOf(line)) {
    for (const what of [INFLATION, ...Object.keys(seen)])
      addToCount(prepare, { month, limb, percentBand, minutesBand, schoolId, cuff, what, count: by });
  }
}

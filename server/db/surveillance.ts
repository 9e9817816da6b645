import { type SeenId, type SessionLine, type Tally, talliesOf } from '#core/outcomes';
import { addToCount } from '../record/inflation-count';
import type { Prepare } from './dialect/connection';

/** What an inflation is counted as, beside what was seen with it. */
const INFLATION = 'inflation';

/** Takes a session's old line out of the counts and puts its new one in: a correction moves them, and nothing counts twice. */
export function recount(
  prepare: Prepare,
  { id, openedAtMs }: { id: string; openedAtMs: number },
  line: SessionLine,
): void {
  const { old } = prepare('select log_line as old from session where id = ?').get(id) as {
    old: string | null;
  };
  if (old === JSON.stringify(line)) return;
  const month = monthOf(openedAtMs);
  if (old) count(prepare, month, JSON.parse(old), -1);
  count(prepare, month, line, 1);
}

/** Takes a session's line out of the counts, before the session is deleted. */
export function uncount(prepare: Prepare, sessionId: string): void {
  const { line, openedAtMs } = prepare(
    'select log_line as line, opened_at_ms as "openedAtMs" from session where id = ?',
  ).get(sessionId) as { line: string | null; openedAtMs: number };
  if (line) count(prepare, monthOf(openedAtMs), JSON.parse(line), -1);
}

const monthOf = (atMs: number): string => new Date(atMs).toISOString().slice(0, 7);

function count(prepare: Prepare, month: string, line: SessionLine, by: 1 | -1): void {
  for (const { limb, percentBand, minutesBand, schoolId, cuff, seen } of talliesOf(line)) {
    for (const what of [INFLATION, ...Object.keys(seen)])
      addToCount(prepare, { month, limb, percentBand, minutesBand, schoolId, cuff, what, count: by });
  }
}

/** All that was counted, over all months. */
export function readTallies(prepare: Prepare): Tally[] {
  const rows = prepare(
    `select limb, percent_band as "percentBand", minutes_band as "minutesBand", school_id as "schoolId", cuff, what,
       sum(count) as count
     from inflation_count group by limb, percent_band, minutes_band, school_id, cuff, what having sum(count) > 0`,
  ).all() as (Omit<Tally, 'inflations' | 'seen'> & { what: typeof INFLATION | SeenId; count: number })[];
  const tallies = new Map<string, Tally>();
  for (const { what, count: n, ...cell } of rows) {
    const key = JSON.stringify(cell);
    const tally = tallies.get(key) ?? { ...cell, inflations: 0, seen: {} };
    tallies.set(
      key,
      what === INFLATION ? { ...tally, inflations: n } : { ...tally, seen: { ...tally.seen, [what]: n } },
    );
  }
  return [...tallies.values()];
}

/** How many adverse events are on record, and were of people who are forgotten. */
export const countAdverseEvents = (prepare: Prepare): number =>
  (
    prepare(
      'select (select count(*) from adverse_event) + (select total(adverse_events) from erased) as n',
    ).get() as { n: number }
  ).n;

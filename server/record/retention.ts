import type { RetentionList } from '#contract/client';
import { dayAt, isoOf } from '#core/quantity';
import { keptUntil } from '#core/record';
import type { Prepare } from '../db/dialect/connection';
import { TIMES_OF_A_CLIENT } from './of-client';

/** The last time that anything of a client was recorded. */
const LAST_HERE = `select client_id, max(at) as last_ms from (
  ${TIMES_OF_A_CLIENT.map(({ table, at }) => `select client_id, max(${at}) as at from "${table}" group by client_id`).join(' union all ')}
) as recorded group by client_id`;

/**
 * Clients whose record has been kept for as long as the practice said, the longest first. Nothing is erased by it: an owner does
 * that, one by one.
 * @param zoneOffsetMs how far the practice's clock is ahead of UTC
 */
export function readRetention(prepare: Prepare, nowMs: number, zoneOffsetMs: number): RetentionList {
  const { keepYears } = prepare('select keep_years as "keepYears" from practice').get() as {
    keepYears: number | null;
  };
  if (keepYears === null) return { keepYears, due: [] };
  const rows = prepare(
    `select client.id as "clientId", name, coalesce(last_ms, added_at_ms) as "lastMs"
     from client left join (${LAST_HERE}) as here on here.client_id = client.id
     where merged_into is null order by "lastMs"`,
  ).all() as { clientId: string; name: string; lastMs: number }[];
  const today = dayAt(nowMs, zoneOffsetMs);
  return {
    keepYears,
    due: rows.flatMap((row) => {
      const until = keptUntil(dayAt(row.lastMs, zoneOffsetMs), keepYears);
      return until < today ? [{ ...row, keptUntil: isoOf(until) }] : [];
    }),
  };
}

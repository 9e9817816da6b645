import { p } from '@mikro-orm/core';
import type { Prepare } from '../db/dialect/connection';
import { blockRecord } from './block';
import { atMs, defineRecord } from './define';
import { findRows } from './read';

/** The address of a practitioner's calendar; of its secret only the hash is kept. */
export const calendarFeedRecord = defineRecord({
  name: 'CalendarFeed',
  table: 'calendar_feed',
  of: 'site',
  properties: {
    practitionerId: p.string().primary(),
    secretSha256: p.string().fieldName('secret_sha256'),
    namesPeople: p.boolean(),
    madeAtMs: atMs(),
  },
  refers: { practitionerId: 'person' },
  unique: ['secret_sha256'],
});

/** Blocks of more people than this make no readable calendar. */
const MOST_BLOCKS = 500;

type Feed = { practitionerId: string; namesPeople: number };

/** Whose calendar it is, and the people whose blocks are in it; none of an account that was ended. */
export function readFeed(prepare: Prepare, hash: string): { feed: Feed; clientIds: string[] } | null {
  const feed = prepare(
    `select practitioner_id as "practitionerId", names_people as "namesPeople" from calendar_feed
     join account using (practitioner_id) where secret_sha256 = ? and ended_at_ms is null`,
  ).get(hash) as Feed | undefined;
  if (!feed) return null;
  const rows = findRows(prepare, blockRecord, { keptBy: feed.practitionerId, superseded: 0 }, ['clientId'], {
    order: 'at_ms desc',
    limit: MOST_BLOCKS,
  });
  return { feed, clientIds: rows.map(({ clientId }) => clientId) };
}

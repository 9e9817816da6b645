import { p } from '@mikro-orm/core';
import { atMs, defineRecord } from './define';

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

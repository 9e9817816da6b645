import { p } from '@mikro-orm/core';
import { atMs, clientId, defineRecord, id } from './define';

/** A link with which a client trains at home; of its secret only the hash is kept. */
export const homeLinkRecord = defineRecord({
  name: 'HomeLink',
  table: 'home_link',
  of: 'client',
  properties: {
    id: id(),
    clientId: clientId(),
    coursePlanId: p.string(),
    secretSha256: p.string().fieldName('secret_sha256'),
    madeBy: p.string(),
    madeAtMs: atMs(),
    untilMs: atMs(),
    endedAtMs: p.bigint('number').nullable(),
    sessions: p.integer().default(0),
  },
  refers: { coursePlanId: 'course_plan', madeBy: 'person' },
  unique: ['secret_sha256'],
  indexes: ['home_link (client_id, made_at_ms)'],
});

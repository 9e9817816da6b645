import { p } from '@mikro-orm/core';
import { type BlockWish, readBlock, type Scheduled } from '#core/course';
import type { KeptBlock } from '#core/outcomes';
import type { BlockFact } from '#core/record';
import type { Prepare } from '../db/dialect/connection';
import { jsonAt, jsonLength } from '../db/dialect/sql';
import { atMs, clientId, defineRecord, id, superseded } from './define';
import { factsOf, NEWEST } from './read';

export const blockRecord = defineRecord({
  name: 'Block',
  table: 'block',
  of: 'client',
  properties: {
    id: id(),
    clientId: clientId(),
    atMs: atMs(),
    keptBy: p.string(),
    /** In the shape of the release that kept it: read it by `readBlock`. */
    wish: p.json().$type<BlockWish>(),
    sessions: p.json().$type<Scheduled[]>(),
    overrideReason: p.text().nullable(),
    superseded: superseded(),
  },
  refers: { keptBy: 'person' },
  at: ['atMs'],
  newestOf: ['clientId'],
  uses: { practitioner: ['keptBy'] },
  archive: { kind: 'block' },
  indexes: ['block (client_id, at_ms)', 'block (client_id) where superseded = 0'],
});

/** Whose plan the block of an earlier release goes by: it named none. */
const ITS_PLAN =
  '(select min(course_plan.id) from course_plan where course_plan.client_id = block.client_id)';

/** Null where nothing of it can be read any more. */
export const blockFacts = factsOf(blockRecord, {
  take: ['id', 'atMs', 'wish', 'sessions'],
  also: { coursePlanId: ITS_PLAN },
  parts: [NEWEST],
  of: ({ id, atMs, wish, sessions, coursePlanId }): BlockFact | null => {
    const block = readBlock({ wish, sessions }, coursePlanId);
    return block && { id, atMs, ...block };
  },
});

/** Those of before blocks had plans have no first day of their own, and are left out. */
export const readKeptBlocks = (prepare: Prepare, clientId: string): KeptBlock[] =>
  prepare(
    `select at_ms as "atMs", ${jsonAt('wish', 'startsOn')} as "startsOn", ${jsonAt('wish', 'weeks')} as weeks,
       ${jsonLength('sessions')} as "plannedSessions" from block
     where client_id = ? and ${jsonAt('wish', 'startsOn')} is not null order by at_ms`,
  ).all(clientId) as KeptBlock[];

import { p } from '@mikro-orm/core';
import type { EntityManager } from '@mikro-orm/libsql';
import type { Kit, KitItem, KitList } from '#contract/practice';
import { type Message, msg } from '#core/message';
import { type Prepare, withStatements } from '../db/dialect/connection';
import { AS_WRITTEN } from '../db/dialect/sql';
import { notFound } from '../problem';
import { defineRecord, id } from './define';
import { findRows } from './read';

export const kitRecord = defineRecord({
  name: 'Kit',
  table: 'kit',
  of: 'practice',
  properties: {
    id: id(),
    list: p.string().$type<KitItem['list']>(),
    item: p.json().$type<KitItem['item']>(),
    retiredAtMs: p.bigint('number').nullable(),
  },
  archive: { kind: 'kit', order: AS_WRITTEN, ofClient: { usedAs: 'kit', inPlans: true } },
  checks: ["list in ('cuffs', 'pumps', 'weightKits', 'straps')"],
});

const NAMES: Record<KitList, Message> = {
  cuffs: msg('This cuff'),
  pumps: msg('This gauge'),
  weightKits: msg('This weight kit'),
  straps: msg('This strap'),
};

/** The kit in use, by list; retired pieces are left out. */
export const readKit = (em: EntityManager): Promise<Kit> => withStatements(em, kitInUse);

export function kitInUse(prepare: Prepare): Kit {
  const rows = findRows(prepare, kitRecord, { retiredAtMs: null }, ['list', 'item']);
  const of = <L extends KitList>(list: L) =>
    rows.filter((row) => row.list === list).map(({ item }) => item) as Kit[L];
  return { cuffs: of('cuffs'), pumps: of('pumps'), weightKits: of('weightKits'), straps: of('straps') };
}

/** One piece of kit, in use or retired. @throws Problem 404 when there is none of this id in the list */
export async function findKit<L extends KitList>(
  em: EntityManager,
  list: L,
  id: string,
): Promise<Kit[L][number]> {
  const row = await em.findOne(kitRecord.entity, { id, list });
  if (!row) throw notFound(NAMES[list]);
  return row.item as Kit[L][number];
}

import { p } from '@mikro-orm/core';
import type { Practitioner } from '#contract/practice';
import type { Role } from '#core/access';
import type { Prepare } from '../db/dialect/connection';
import { defineRecord, id } from './define';

export const practitionerRecord = defineRecord({
  name: 'Practitioner',
  table: 'person',
  of: 'practice',
  properties: {
    id: id(),
    name: p.string(),
    role: p.string().$type<Role>(),
    listOrder: p.integer(),
    /** Of another practice: named in records that came from there, and does not work here. */
    elsewhere: p.boolean().default(false),
  },
  archive: { kind: 'practitioner', order: 'list_order, id', ofClient: { usedAs: 'practitioner' } },
  checks: ["role in ('clinician', 'coach', 'assistant')"],
});

/** The place after the last in the list of practitioners. */
export const nextPlace = (prepare: Prepare): number =>
  (prepare('select coalesce(max(list_order) + 1, 0) as place from person').get() as { place: number }).place;

export function readPractitioners(prepare: Prepare): Practitioner[] {
  const rows = prepare(
    `select id, person.name, role, elsewhere, coalesce(is_owner, 0) as "isOwner"
     from person left join (select practitioner_id, is_owner from account where ended_at_ms is null) as account
       on practitioner_id = id
     order by list_order, id`,
  ).all() as { id: string; name: string; role: Role; elsewhere: number; isOwner: number }[];
  return rows.map(({ elsewhere, isOwner, ...rest }) => ({
    ...rest,
    isOwner: isOwner === 1,
    ...(elsewhere === 1 ? { elsewhere: true } : {}),
  }));
}

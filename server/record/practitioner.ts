import { p } from '@mikro-orm/core';
import type { Role } from '#core/access';
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

import { p } from '@mikro-orm/core';
import type { LadderAnswers } from '#core/course';
import type { LadderRung } from '#core/protocol';
import type { Limb } from '#core/quantity';
import { atMs, clientId, defineRecord, id } from './define';

export const rungCheckRecord = defineRecord({
  name: 'RungCheck',
  table: 'rung_check',
  of: 'client',
  properties: {
    id: id(),
    clientId: clientId(),
    limb: p.string().$type<Limb>(),
    atMs: atMs(),
    practitionerId: p.string(),
    answers: p.json().$type<LadderAnswers>(),
    rung: p.string().$type<LadderRung>(),
    reason: p.text().nullable(),
  },
  at: ['atMs'],
  uses: { practitioner: ['practitionerId'] },
  archive: { kind: 'rung-check' },
  indexes: ['rung_check (client_id, at_ms)'],
});

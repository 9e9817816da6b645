import { p } from '@mikro-orm/core';
import type { LadderAnswers, RungCheck } from '#core/course';
import type { LadderRung } from '#core/protocol';
import type { Limb } from '#core/quantity';
import { SESSIONS_COUNT_MS } from '#core/record';
import { atMs, clientId, defineRecord, id } from './define';
import { AS_RECEIVED, factsOf } from './read';

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

export const rungCheckFacts = factsOf(rungCheckRecord, {
  take: ['id', 'limb', 'atMs', 'practitionerId', 'answers', 'rung', 'reason'],
  parts: [
    {
      // The last of a limb counts however old it is: a ladder does not end by its age.
      when: `(at_ms >= ? or not exists (select 1 from rung_check as later
        where later.client_id = rung_check.client_id and later.limb = rung_check.limb and later.at_ms > rung_check.at_ms))
        ${AS_RECEIVED}`,
      times: (nowMs) => [nowMs - SESSIONS_COUNT_MS],
    },
  ],
  of: ({ practitionerId, ...row }): RungCheck => ({ ...row, by: practitionerId }),
});

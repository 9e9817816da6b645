import { p } from '@mikro-orm/core';
import type { RecordEntry, RetractableKind } from '#contract/corrections';
import { atMs, clientId, defineRecord, id } from './define';

/** That an entry of a record was retracted, and why. */
export const retractionRecord = defineRecord({
  name: 'Retraction',
  table: 'retraction',
  of: 'client',
  properties: {
    id: id(),
    clientId: clientId(),
    kind: p.string().$type<RetractableKind>(),
    rowId: p.string(),
    atMs: atMs(),
    practitionerId: p.string(),
    reason: p.string(),
  },
  refers: { practitionerId: 'person' },
  at: ['atMs'],
  uses: { practitioner: ['practitionerId'] },
  archive: { kind: 'retraction' },
  unique: ['kind, row_id'],
  indexes: ['retraction (client_id, at_ms)'],
});

/** What a left join with retractions and their practitioners gives of an entry; all null where it stands. */
export type RetractionRead = {
  retractedAtMs: number | null;
  retractedBy: string | null;
  reason: string | null;
};

/** That an entry was retracted, as it is answered; null where it stands. */
export const retractedAs = ({
  retractedAtMs,
  retractedBy,
  reason,
}: RetractionRead): RecordEntry['retracted'] =>
  retractedAtMs === null ? null : { atMs: retractedAtMs, by: retractedBy ?? '', reason: reason ?? '' };

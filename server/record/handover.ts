import { p } from '@mikro-orm/core';
import type { Handover, NewHandover } from '#contract/handover';
import { msg } from '#core/message';
import type { Prepare } from '../db/dialect/connection';
import { notFound } from '../problem';
import { atMs, clientId, defineRecord, id } from './define';
import { changeRows, keepRow } from './write';

const note = () => ({
  id: id(),
  practitionerId: p.string(),
  atMs: atMs(),
  words: p.string(),
  /** When it was marked as read, and by which practitioner; null until then. */
  readAtMs: p.bigint('number').nullable(),
  readBy: p.string().nullable(),
});

/** What is handed over of a client to the next shift. It is not a record of care, and goes into no archive. */
export const handoverRecord = defineRecord({
  name: 'Handover',
  table: 'handover',
  of: 'client',
  properties: { ...note(), clientId: clientId() },
  at: ['atMs'],
  indexes: ['handover (client_id) where read_at_ms is null'],
});

/** The same of the day, which names no client. */
export const dayNoteRecord = defineRecord({
  name: 'DayNote',
  table: 'day_note',
  of: 'practice',
  properties: note(),
  at: ['atMs'],
});

/** Notes that were not marked as read, the newest first. */
export function readHandovers(prepare: Prepare): Handover[] {
  const rows = prepare(
    `select handover.id, client.id as "clientId", client.name as "clientName", at_ms as "atMs",
       practitioner_id as "practitionerId", words
     from handover join client on client.id = handover.client_id
     where read_at_ms is null and archived_at_ms is null and merged_into is null
     union all
     select id, null, null, at_ms, practitioner_id, words from day_note where read_at_ms is null
     order by "atMs" desc`,
  ).all() as (Omit<Handover, 'client'> & { clientId: string | null; clientName: string | null })[];
  return rows.map(({ clientId: ofClient, clientName, ...row }) => ({
    ...row,
    client: ofClient === null ? null : { id: ofClient, name: clientName ?? '' },
  }));
}

export function keepHandover(
  prepare: Prepare,
  { clientId: ofClient, ...note }: NewHandover,
  by: { practitionerId: string; nowMs: number },
): void {
  const row = { ...note, practitionerId: by.practitionerId, atMs: by.nowMs, readAtMs: null, readBy: null };
  if (ofClient === null) keepRow(prepare, dayNoteRecord, row);
  else keepRow(prepare, handoverRecord, { ...row, clientId: ofClient });
}

/** @throws Problem 404 for a note that is not there, or was marked already */
export function markHandover(
  prepare: Prepare,
  noteId: string,
  by: { practitionerId: string; nowMs: number },
): void {
  const read = { readAtMs: by.nowMs, readBy: by.practitionerId };
  const marked = [handoverRecord, dayNoteRecord].some(
    (record) => changeRows(prepare, record, { id: noteId, readAtMs: null }, read) > 0,
  );
  if (!marked) throw notFound(msg('This note'));
}

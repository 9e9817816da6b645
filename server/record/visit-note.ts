import { p } from '@mikro-orm/core';
import type { FoundNote, VisitNote, VisitNotes } from '#contract/visit-notes';
import { plainWords } from '#core/table';
import type { Prepare } from '../db/dialect/connection';
import { hasWithin, jsonObject } from '../db/dialect/sql';
import { atMs, clientId, defineRecord, id, retracted } from './define';
import { type RetractionRead, retractedAs } from './retraction';
import { keepRow } from './write';

/** A note of a visit, in free text, signed by the practitioner who wrote it. */
export const visitNoteRecord = defineRecord({
  name: 'VisitNote',
  table: 'visit_note',
  of: 'client',
  properties: {
    id: id(),
    clientId: clientId(),
    /** When the visit was. */
    atMs: atMs(),
    writtenAtMs: atMs(),
    words: p.string(),
    /** The words as they are searched: small letters, without marks. */
    plainWords: p.string(),
    practitionerId: p.string(),
    retracted: retracted(),
  },
  at: ['atMs', 'writtenAtMs'],
  retract: { kind: 'visit-note', content: jsonObject({ words: 'words' }) },
  uses: { practitioner: ['practitionerId'] },
  archive: { kind: 'visit-note', follows: ({ words }) => ({ plainWords: plainWords(String(words)) }) },
  indexes: ['visit_note (client_id, at_ms)'],
});

const PAGE = 20;
const FOUND = 8;
/** Letters that are shown around what was found. */
const AROUND = 60;

/** A condition for every word that is searched, with the values it asks for. */
function having(search: string): { sql: string; values: string[] } {
  const words = plainWords(search)
    .split(' ')
    .filter((word) => word !== '');
  return {
    sql: words.map(() => `and ${hasWithin('plain_words', '?')}`).join(' '),
    values: words,
  };
}

/** Notes of a client, the newest first, with those that were retracted. */
export function readVisitNotes(
  prepare: Prepare,
  ofClient: string,
  { beforeMs, search }: { beforeMs: number; search: string },
): VisitNotes {
  const { sql, values } = having(search);
  const rows = prepare(
    `select visit_note.id, visit_note.at_ms as "atMs", written_at_ms as "writtenAtMs", words, person.name as "by",
       retraction.at_ms as "retractedAtMs", retractor.name as "retractedBy", reason
     from visit_note left join person on person.id = visit_note.practitioner_id
       left join retraction on retraction.kind = 'visit-note' and row_id = visit_note.id
       left join person as retractor on retractor.id = retraction.practitioner_id
     where visit_note.client_id = ? and visit_note.at_ms < ? ${sql}
     order by visit_note.at_ms desc, written_at_ms desc limit ${PAGE + 1}`,
  ).all(ofClient, beforeMs, ...values) as (Omit<VisitNote, 'retracted'> & RetractionRead)[];
  return {
    notes: rows.slice(0, PAGE).map(({ retractedAtMs, retractedBy, reason, ...note }) => ({
      ...note,
      by: note.by ?? '',
      retracted: retractedAs({ retractedAtMs, retractedBy, reason }),
    })),
    hasMore: rows.length > PAGE,
  };
}

/** The newest notes of all people that have some words in them. */
export function searchVisitNotes(prepare: Prepare, search: string): FoundNote[] {
  const { sql, values } = having(search);
  if (values.length === 0) return [];
  const rows = prepare(
    `select visit_note.id, client.id as "clientId", client.name, at_ms as "atMs", words
     from visit_note join client on client.id = visit_note.client_id
     where retracted = 0 and archived_at_ms is null and merged_into is null ${sql}
     order by at_ms desc limit ${FOUND}`,
  ).all(...values) as { id: string; clientId: string; name: string; atMs: number; words: string }[];
  return rows.map(({ id, clientId, name, atMs, words }) => ({
    id,
    client: { id: clientId, name },
    atMs,
    words: around(words, search),
  }));
}

/** The words around the first that was searched, on one line. */
function around(words: string, search: string): string {
  const line = words.replace(/\s+/g, ' ');
  const at = Math.max(0, line.toLowerCase().indexOf(search.toLowerCase()));
  const from = Math.max(0, at - AROUND);
  const to = Math.min(line.length, at + search.length + AROUND);
  return `${from > 0 ? '…' : ''}${line.slice(from, to)}${to < line.length ? '…' : ''}`;
}

export const keepVisitNote = (
  prepare: Prepare,
  note: {
    id: string;
    clientId: string;
    atMs: number;
    writtenAtMs: number;
    words: string;
    practitionerId: string;
  },
): void => void keepRow(prepare, visitNoteRecord, { ...note, plainWords: plainWords(note.words) });

import type { EntryContent, RecordEntries, RecordEntry, RetractableKind } from '#contract/corrections';
import type { Prepare } from '../db/dialect/connection';
import { RETRACTABLE } from './retractable';
import { type RetractionRead, retractedAs } from './retraction';

const PAGE = 40;

/** What is on a person's record, the newest first, with what was retracted and why. */
export function readEntries(prepare: Prepare, clientId: string, beforeMs: number): RecordEntries {
  const selects = RETRACTABLE.map(
    ({ kind, table, at, content }) =>
      `select * from (select '${kind}' as kind, id, ${at} as at_ms, ${content} as content from ${table}
      where client_id = ?1 and ${at} < ?2 order by ${at} desc limit ${PAGE + 1})`,
  );
  const rows = prepare(
    `select entry.kind, entry.id, entry.at_ms as "atMs", content, retraction.at_ms as "retractedAtMs", person.name as "retractedBy", reason
     from (${selects.join(' union all ')}) as entry
       left join retraction on retraction.kind = entry.kind and row_id = entry.id
       left join person on person.id = retraction.practitioner_id
     order by entry.at_ms desc, entry.id limit ${PAGE + 1}`,
  ).all(clientId, beforeMs) as ({
    kind: RetractableKind;
    id: string;
    atMs: number;
    content: string;
  } & RetractionRead)[];
  return {
    entries: rows.slice(0, PAGE).map(
      ({ kind, id, atMs, content, ...retraction }): RecordEntry => ({
        id,
        atMs,
        content: { kind, ...JSON.parse(content) } as EntryContent,
        retracted: retractedAs(retraction),
      }),
    ),
    hasMore: rows.length > PAGE,
  };
}

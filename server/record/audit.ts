import { type InferEntity, p } from '@mikro-orm/core';
import type { AuditEntry, AuditPage, AuditQuery } from '#contract/audit';
import type { Prepare } from '../db/dialect/connection';
import { valuesOf } from '../db/dialect/sql';
import { atMs, defineRecord } from './define';

export const auditRecord = defineRecord({
  name: 'Audit',
  table: 'audit',
  of: 'practice',
  properties: {
    id: p.integer().primary().autoincrement(),
    atMs: atMs(),
    practitionerId: p.string(),
    action: p.string(),
    subject: p.string(),
    detail: p.json().$type<Record<string, unknown>>(),
    /** The chain: a salted digest of the detail, and the hash of the entry with the one before it. */
    salt: p.string().default(''),
    detailSha256: p.string().fieldName('detail_sha256').default(''),
    hash: p.string().default(''),
  },
  archive: {
    kind: 'audit',
    order: 'at_ms, id',
    ofClient: 'subject = ?1 or subject in (select id from session where client_id = ?1)',
    // Entries about who was forgotten say nothing any more.
    only: "detail <> ''",
  },
  indexes: ['audit (subject)'],
});

/** Inserts an entry as it is chained; its detail is JSON already, since the chain is of that very text. */
export function insertAudit(
  prepare: Prepare,
  row: Omit<InferEntity<typeof auditRecord.entity>, 'id' | 'detail'> & { detail: string },
): void {
  prepare(
    `insert into audit (at_ms, practitioner_id, action, subject, detail, salt, detail_sha256, hash)
     values (?, ?, ?, ?, ?, ?, ?, ?)`,
  ).run(
    row.atMs,
    row.practitionerId,
    row.action,
    row.subject,
    row.detail,
    row.salt,
    row.detailSha256,
    row.hash,
  );
}

const PAGE = 100;

type Row = Omit<AuditEntry, 'detail'> & { detail: string };

/** A page of the audit, newest first. @param clientId only what concerns this person and their sessions */
export function readAudit(
  prepare: Prepare,
  { before, practitionerId, search, called = [] }: AuditQuery,
  clientId: string | null,
): AuditPage {
  const conditions = [
    ...(before === undefined ? [] : ['audit.id < $before']),
    ...(practitionerId === undefined ? [] : ['practitioner_id = $practitionerId']),
    ...(clientId === null
      ? []
      : [
          `(subject = $clientId or subject in (select id from session where client_id = $clientId)
             or subject in (select id from client where merged_into = $clientId))`,
        ]),
    ...(search
      ? [
          `(action in ${valuesOf('$called')} or detail like $like escape '\\' or client.name like $like escape '\\')`,
        ]
      : []),
  ];
  const like = `%${(search ?? '').replace(/[\\%_]/g, '\\$&')}%`;
  const values = { before, practitionerId, clientId, like, called: JSON.stringify(called) };
  const named = Object.fromEntries(
    Object.entries(values).filter(([key]) => conditions.some((condition) => condition.includes(`$${key}`))),
  );
  const rows = prepare(
    `select audit.id, audit.at_ms as "atMs", practitioner_id as "practitionerId",
       coalesce(person.name, practitioner_id) as "practitionerName", action, subject, client.id as "clientId", client.name as "clientName", detail
     from audit left join person on person.id = practitioner_id
       left join client on client.id = coalesce((select client_id from session where session.id = subject), subject)
     ${conditions.length > 0 ? `where ${conditions.join(' and ')}` : ''}
     order by audit.id desc limit ${PAGE + 1}`,
  ).all(...(Object.keys(named).length > 0 ? [named] : [])) as Row[];
  return {
    entries: rows
      .slice(0, PAGE)
      .map(({ detail, ...rest }) => ({ ...rest, detail: JSON.parse(detail || '{}') })),
    hasMore: rows.length > PAGE,
  };
}

/** The id of the last entry; 0 before the first. */
export const lastAuditId = (prepare: Prepare): number =>
  (prepare('select coalesce(max(id), 0) as id from audit').get() as { id: number }).id;

/** The hash that the next entry is chained to; empty before the first. */
export const lastHash = (prepare: Prepare): string =>
  (
    prepare('select hash from audit where id = (select max(id) from audit)').get() as
      | { hash: string }
      | undefined
  )?.hash ?? '';

/** So many entries are read at once, where all of them are. */
const READ_AT_ONCE = 2_000;

/** An entry as it is in the chain; its detail is the text that was digested. */
export type ChainedRow = Omit<InferEntity<typeof auditRecord.entity>, 'detail'> & { detail: string };

/** All entries after one, in the order they were written. */
export function* auditAfter(prepare: Prepare, start: number): Generator<ChainedRow> {
  const page = prepare(
    `select id, at_ms as "atMs", practitioner_id as "practitionerId", action, subject, detail, salt,
       detail_sha256 as "detailSha256", hash from audit where id > ? order by id limit ${READ_AT_ONCE}`,
  );
  for (let id = start; ; ) {
    const rows = page.all(id) as ChainedRow[];
    yield* rows;
    id = rows.at(-1)?.id ?? id;
    if (rows.length < READ_AT_ONCE) return;
  }
}

/** How many entries about a client there are after one, but for some actions. @param but as SQL */
export const countAuditAfter = (prepare: Prepare, clientId: string, id: number, but: string): number =>
  (
    prepare(
      `select count(*) as n from audit
       where (subject = ?1 or subject in (select id from session where client_id = ?1)) and id > ?2
         and action not in (${but})`,
    ).get(clientId, id) as { n: number }
  ).n;

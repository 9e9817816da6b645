import type { AuditEntry, AuditPage, AuditQuery } from '#contract/audit';
import type { Prepare } from './dialect/connection';
import { valuesOf } from './dialect/sql';

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

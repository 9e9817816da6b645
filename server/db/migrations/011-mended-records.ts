import { Migration } from '@mikro-orm/migrations';

/**
 * Entries that are retracted with a reason, and stay on the record struck through; people taken off the list, people who were
 * on record twice, and people who are forgotten on request: then alone what is for ever may go.
 */
export class MendedRecords extends Migration {
  override async up(): Promise<void> {
    for (const statement of STATEMENTS) this.addSql(statement);
  }
}

/** What a row is about, as of this release: a newer one of the same takes its place. */
const SAME: Record<string, readonly string[]> = {
  screening: ['client_id'],
  day_check: ['client_id'],
  girth: ['client_id', 'limb'],
  tightness: ['client_id', 'limb', 'strap_id'],
  lop: ['client_id', 'limb', 'position', 'cuff_id', 'width_cm'],
  strength_test: ['client_id', 'exercise_id', 'side'],
  session: ['client_id'],
};
const KINDS: Record<string, string> = {
  screening: 'screening',
  'day-check': 'day_check',
  fit: 'girth',
  tightness: 'tightness',
  'occlusion-pressure': 'lop',
  'strength-test': 'strength_test',
  session: 'session',
};
const FLAGGED: Record<string, string> = {
  clearance: 'clearance',
  'quick-check': 'lop_quick_check',
  'heavy-work': 'heavy_work',
};

/** A retracted row never counts again (2); the newest of the same that was not retracted counts in its place. */
function retracts(kind: string, table: string): string {
  const at = table === 'session' ? 'opened_at_ms' : 'at_ms';
  const same = (SAME[table] ?? []).map((key) => `older.${key} = wrong.${key}`).join(' and ');
  return `create trigger retraction_of_${table} after insert on retraction when new.kind = '${kind}' begin
    update ${table} set superseded = 2 where id = new.row_id;
    update ${table} set superseded = 0 where superseded = 1 and id = (
      select older.id from ${table} as older join ${table} as wrong on wrong.id = new.row_id
      where older.superseded <> 2 and ${same} order by older.${at} desc, older.rowid desc limit 1);
  end`;
}

const STATEMENTS = [
  `create table retraction (
     id text not null primary key, client_id text not null references client (id), kind text not null, row_id text not null,
     at_ms integer not null, practitioner_id text not null references person (id), reason text not null,
     unique (kind, row_id))`,
  'create index retraction_client on retraction (client_id, at_ms)',
  ...Object.values(FLAGGED).map(
    (table) => `alter table ${table} add column retracted integer not null default 0`,
  ),
  ...Object.entries(FLAGGED).map(
    ([kind, table]) =>
      `create trigger retraction_of_${table} after insert on retraction when new.kind = '${kind}' begin
         update ${table} set retracted = 1 where id = new.row_id;
       end`,
  ),
  ...Object.entries(KINDS).map(([kind, table]) => retracts(kind, table)),
  'alter table client add column archived_at_ms integer null',
  'alter table client add column merged_into text null references client (id)',
  'drop index client_name',
  // The list of people, and how many there are.
  'create index client_name on client (name, id) where archived_at_ms is null and merged_into is null',
  'create index client_archived on client (name, id) where archived_at_ms is not null',
  'create index client_merged on client (merged_into) where merged_into is not null',
  // Who was forgotten, by id alone; only then do events go, and entries of the audit lose what they say.
  'create table erased (client_id text not null primary key, at_ms integer not null)',
  `create table erased_session (session_id text not null primary key)`,
  'drop trigger session_event_no_delete',
  `create trigger session_event_no_delete before delete on session_event
     when not exists (select 1 from erased_session where session_id = old.session_id)
       and not exists (
         select 1 from taken_in_row join taken_in on taken_in.id = taken_in_row.taken_in_id
         where taken_in_row.kind = 'event' and taken_in_row.row_id = old.id and taken_in.taken_back_at_ms is not null)
     begin select raise(abort, 'session_event is append-only'); end`,
];

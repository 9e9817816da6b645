import { Migration } from '@mikro-orm/migrations';

/**
 * What was taken in at once, row by row, so that it can be taken back at once; practitioners of other practices, who are named
 * in records that came from there and do not work here; and rows that a newer one replaces found by their index.
 */
export class TakenIn extends Migration {
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
  prescription: ['course_plan_id'],
  programme: ['client_id'],
  session: ['client_id'],
};

/**
 * The same triggers as before, but for the plus before the time: it keeps the planner from going through all rows of a person by
 * their time, where the partial index of rows that count now knows the one.
 */
function supersedeByIndex(table: string, keys: readonly string[]): string[] {
  const at = table === 'session' ? 'opened_at_ms' : 'at_ms';
  const same = (a: string, b: string) => keys.map((key) => `${a}.${key} = ${b}.${key}`).join(' and ');
  return [
    `drop trigger ${table}_supersedes`,
    ...(table === 'prescription'
      ? ['create index prescription_plan_now on prescription (course_plan_id) where superseded = 0']
      : []),
    `create trigger ${table}_supersedes after insert on ${table} begin
       update ${table} set superseded = 1
         where superseded = 0 and id <> new.id and +${at} <= new.${at} and ${same(table, 'new')};
       update ${table} set superseded = 1
         where id = new.id and exists (
           select 1 from ${table} as other where other.superseded = 0 and other.id <> new.id and ${same('other', 'new')});
     end`,
  ];
}

const STATEMENTS = [
  ...Object.entries(SAME).flatMap(([table, keys]) => supersedeByIndex(table, keys)),
  'alter table person add column elsewhere integer not null default 0',
  `create table taken_in (
     id text not null primary key, at_ms integer not null, practitioner_id text not null, words text not null,
     rows integer not null, client_ids text not null, audit_id integer not null, taken_back_at_ms integer null)`,
  `create table taken_in_row (
     taken_in_id text not null references taken_in (id), place integer not null, kind text not null, row_id text not null,
     primary key (taken_in_id, place)) without rowid`,
  // Where a practitioner's calendar is fetched from by a program that cannot sign in: only the hash of its secret is kept.
  `create table calendar_feed (
     practitioner_id text not null primary key references person (id), secret_sha256 text not null unique,
     names_people integer not null, made_at_ms integer not null)`,
  'create index audit_subject on audit (subject)',
  "create index taken_in_event on taken_in_row (row_id) where kind = 'event'",
  // Events are for ever, but for those of a file that is taken back.
  'drop trigger session_event_no_delete',
  `create trigger session_event_no_delete before delete on session_event
     when not exists (
       select 1 from taken_in_row join taken_in on taken_in.id = taken_in_row.taken_in_id
       where taken_in_row.kind = 'event' and taken_in_row.row_id = old.id and taken_in.taken_back_at_ms is not null)
     begin select raise(abort, 'session_event is append-only'); end`,
  `create trigger client_search_gone after delete on client begin
     delete from client_search where id = old.id;
   end`,
];

import { Migration } from '@mikro-orm/migrations';

/**
 * What was taken in at once, row by row, so that it can be taken back at once; practitioners of other practices, who are named
 * in records that came from there and do not work here.
 */
export class TakenIn extends Migration {
  override async up(): Promise<void> {
    for (const statement of STATEMENTS) this.addSql(statement);
  }
}

const STATEMENTS = [
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

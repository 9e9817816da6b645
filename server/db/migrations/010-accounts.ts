import { Migration } from '@mikro-orm/migrations';

/**
 * Who may sign in, where they are signed in, and how long who tried in vain waits; and an audit in which every row names the one
 * before it by a hash, so that a row that was changed, taken out or put in is found.
 */
export class Accounts extends Migration {
  override async up(): Promise<void> {
    for (const statement of STATEMENTS) this.addSql(statement);
  }
}

const STATEMENTS = [
  // Assistants came with accounts; a column's check goes only with the column.
  "alter table person add column duty text not null default 'assistant' check (duty in ('clinician', 'coach', 'assistant'))",
  'update person set duty = role',
  'alter table person drop column role',
  'alter table person rename column duty to role',
  `create table account (
     practitioner_id text not null primary key references person (id), name text not null collate nocase unique,
     is_owner integer not null, passphrase_hash text not null, must_change integer not null default 0,
     device_key text not null, pin_hash text null, code_secret text null, code_counter integer not null default 0,
     made_at_ms integer not null, ended_at_ms integer null)`,
  // Only the hash of what a device holds is kept: who reads this file cannot sign in with it.
  `create table sign_in (
     id text not null primary key, token_sha256 text not null unique, practitioner_id text not null references account (practitioner_id),
     device_sha256 text not null, made_at_ms integer not null, used_at_ms integer not null,
     is_locked integer not null default 0, pin_failures integer not null default 0, ended_at_ms integer null)`,
  'create index sign_in_device on sign_in (device_sha256) where ended_at_ms is null',
  'create index sign_in_practitioner on sign_in (practitioner_id) where ended_at_ms is null',
  `create table sign_in_wait (
     key text not null primary key, failures integer not null, until_ms integer not null, last_at_ms integer not null)`,
  // The chain is filled by the first start of this release, which makes the audit append-only again.
  'drop trigger audit_no_update',
  "alter table audit add column salt text not null default ''",
  "alter table audit add column detail_sha256 text not null default ''",
  "alter table audit add column hash text not null default ''",
  ...['session_event', 'audit'].map(
    (table) =>
      `create trigger ${table}_no_replace before insert on ${table}
         when exists (select 1 from ${table} where id = new.id)
         begin select raise(abort, '${table} is append-only'); end`,
  ),
];

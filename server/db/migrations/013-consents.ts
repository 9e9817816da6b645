import { Migration } from '@mikro-orm/migrations';

/** What people said after the training was explained to them (rule SCR-6): the newest counts. */
export class Consents extends Migration {
  override async up(): Promise<void> {
    for (const statement of STATEMENTS) this.addSql(statement);
  }
}

const STATEMENTS = [
  `create table consent (
     id text not null primary key, client_id text not null references client (id), at_ms integer not null,
     version integer not null, decision text not null, "read" text not null, guardian text null,
     superseded integer not null default 0) strict`,
  'create index consent_client on consent (client_id, at_ms)',
  'create index consent_now on consent (client_id) where superseded = 0',
  `create trigger consent_supersedes after insert on consent begin
     update consent set superseded = 1
       where superseded = 0 and id <> new.id and +at_ms <= new.at_ms and consent.client_id = new.client_id;
     update consent set superseded = 1
       where id = new.id and exists (
         select 1 from consent as other
         where other.superseded = 0 and other.id <> new.id and other.client_id = new.client_id);
   end`,
  `create trigger retraction_of_consent after insert on retraction when new.kind = 'consent' begin
     update consent set superseded = 2 where id = new.row_id;
     update consent set superseded = 0 where superseded = 1 and id = (
       select older.id from consent as older join consent as wrong on wrong.id = new.row_id
       where older.superseded <> 2 and older.client_id = wrong.client_id order by older.at_ms desc, older.rowid desc limit 1);
   end`,
];

import { Migration } from '@mikro-orm/migrations';

/** Notes of visits, attachments of a record, the places of a practice, and what an import brought by its id. */
export class NotesAndAttachments extends Migration {
  override async up(): Promise<void> {
    for (const statement of STATEMENTS) this.addSql(statement);
  }
}

const retracted = (table: string, kind: string) =>
  `create trigger retraction_of_${table} after insert on retraction when new.kind = '${kind}' begin
     update ${table} set retracted = 1 where id = new.row_id; end`;

const STATEMENTS = [
  `create table visit_note (
     id text not null primary key, client_id text not null references client (id), at_ms integer not null,
     written_at_ms integer not null, words text not null, plain_words text not null, practitioner_id text not null,
     retracted integer not null default 0) strict`,
  'create index visit_note_client on visit_note (client_id, at_ms)',
  retracted('visit_note', 'visit-note'),
  `create table attachment (
     id text not null primary key, client_id text not null references client (id), at_ms integer not null,
     about text not null, about_id text, name text not null, media_type text not null, bytes integer not null,
     sha256 text not null, practitioner_id text not null, retracted integer not null default 0,
     check (media_type in ('application/pdf', 'image/jpeg', 'image/png'))) strict`,
  'create index attachment_client on attachment (client_id, at_ms)',
  retracted('attachment', 'attachment'),
  `create table attachment_part (
     id text not null primary key, attachment_id text not null references attachment (id), place integer not null,
     content text not null) strict`,
  'create index attachment_part_of on attachment_part (attachment_id, place)',
  'create index import_row_of on import_row (row_id)',
  "alter table practice add column places text not null default '[]'",
];

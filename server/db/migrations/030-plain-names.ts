import { Migration } from '@mikro-orm/migrations';

/**
 * Tables, columns and what is stored in them under the names of docs/glossary.md. Plans and blocks keep the shape of the release
 * that wrote them, and the audit its actions: its hashes are of them.
 */
export class PlainNames extends Migration {
  override async up(): Promise<void> {
    for (const statement of STATEMENTS) this.addSql(statement);
    // Migration 019 brought this column only after it had been used once without.
    const counts = await this.execute("select 1 from pragma_table_info('tightness') where name = 'counts'");
    if (counts.length === 0)
      this.addSql("alter table tightness add column counts text not null default 'marks'");
  }
}

const STATEMENTS = [
  'alter table taken_in rename to import_batch',
  'alter table import_batch rename column taken_back_at_ms to undone_at_ms',
  'alter table taken_in_row rename to import_row',
  'alter table import_row rename column taken_in_id to import_id',
  "update hold set cause = 'import' || substr(cause, 9) where cause like 'taken-in %'",
  'alter table programme rename to block',
  'alter table adverse_event rename column told to notified',
  `update session_attempt set answer = replace(answer, '"deeds":', '"actions":')`,
  'drop trigger session_event_no_update',
  `update session_event set type = 'adjunct-noted', event = json_set(event, '$.type', 'adjunct-noted')
     where type = 'beside-noted'`,
  `create trigger session_event_no_update before update on session_event
     begin select raise(abort, 'session_event is append-only'); end`,
];

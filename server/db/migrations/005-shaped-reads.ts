import { Migration } from '@mikro-orm/migrations';

/**
 * Reads shaped for their screens. A row knows whether a newer one of the same thing has taken its place, so that what counts
 * now is found without looking through the years; open sessions, recent ones and names have indexes of their own.
 */
export class ShapedReads extends Migration {
  override async up(): Promise<void> {
    for (const statement of STATEMENTS) this.addSql(statement);
  }
}

/** What a row is about: a newer one of the same takes its place. */
const SAME: Record<string, readonly string[]> = {
  screening: ['client_id'],
  day_check: ['client_id'],
  girth: ['client_id', 'limb'],
  tightness: ['client_id', 'limb', 'strap_id'],
  lop: ['client_id', 'limb', 'position', 'cuff_id', 'width_cm'],
  strength_test: ['client_id', 'exercise_id', 'side'],
  prescription: ['client_id'],
  programme: ['client_id'],
  session: ['client_id'],
};

function supersede(table: string, keys: readonly string[]): string[] {
  const at = table === 'session' ? 'opened_at_ms' : 'at_ms';
  const same = (a: string, b: string) => keys.map((key) => `${a}.${key} = ${b}.${key}`).join(' and ');
  return [
    `alter table ${table} add column superseded integer not null default 0`,
    `update ${table} set superseded = 1 where id not in (
       select id from (
         select id, row_number() over (partition by ${keys.join(', ')} order by ${at} desc, rowid desc) as place from ${table}
       ) where place = 1)`,
    `drop index if exists ${table}_client`,
    `create index ${table}_client on ${table} (client_id, ${at})`,
    `create index ${table}_now on ${table} (${keys.join(', ')}) where superseded = 0`,
    `create trigger ${table}_supersedes after insert on ${table} begin
       update ${table} set superseded = 1
         where superseded = 0 and id <> new.id and ${at} <= new.${at} and ${same(table, 'new')};
       update ${table} set superseded = 1
         where id = new.id and exists (
           select 1 from ${table} as other where other.superseded = 0 and other.id <> new.id and ${same('other', 'new')});
     end`,
  ];
}

const STATEMENTS = [
  ...Object.entries(SAME).flatMap(([table, keys]) => supersede(table, keys)),
  // Clearances and holds end at a time of their own, which is in what they say.
  `alter table clearance add column until_ms integer generated always as (json_extract(clearance, '$.untilMs')) virtual`,
  'create index clearance_until on clearance (client_id, until_ms)',
  `alter table hold add column ends_at_ms integer generated always as (json_extract(ends, '$.atMs')) virtual`,
  `alter table hold add column ends_session_id text generated always as (json_extract(ends, '$.sessionId')) virtual`,
  `alter table session add column reviewed integer generated always as (json_extract(summary, '$.reviewed')) virtual`,
  'drop index hold_client',
  'create index hold_standing on hold (client_id, ends_at_ms) where lifted_at_ms is null',
  'create index session_open on session (client_id, opened_at_ms) where finished_at_ms is null',
  'create index session_finished on session (client_id) where finished_at_ms is not null',
  'create index lop_quick_check_lop on lop_quick_check (lop_id, at_ms)',
  'create index client_name on client (name, id)',
  `create virtual table client_search using fts5 (
     id unindexed, name, story, prefix = '1 2 3', tokenize = "unicode61 remove_diacritics 2")`,
  'insert into client_search (id, name, story) select id, name, story from client',
  `create trigger client_search_added after insert on client begin
     insert into client_search (id, name, story) values (new.id, new.name, new.story);
   end`,
  `create trigger client_search_changed after update of name, story on client begin
     delete from client_search where id = old.id;
     insert into client_search (id, name, story) values (new.id, new.name, new.story);
   end`,
];

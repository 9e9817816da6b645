import { Migration } from '@mikro-orm/migrations';

/**
 * What a person has, or had done, as a fact with its own life; the role of who made a check on the day; holds that are an
 * emergency, and the number to call then; whether a whole practice was moved here.
 */
export class Conditions extends Migration {
  override async up(): Promise<void> {
    for (const statement of STATEMENTS) this.addSql(statement);
  }
}

const STATEMENTS = [
  `create table condition (
     id text not null primary key, client_id text not null references client (id), cause text not null, at_ms integer not null,
     detail text not null, ends_at_ms integer null, ended_at_ms integer null, ended_by text null references person (id),
     end_reason text null, unique (client_id, cause))`,
  'create index condition_standing on condition (client_id) where ended_at_ms is null',
  'alter table screening add column adult_from_ms integer null',
  'alter table day_check add column "by" text null',
  'alter table taken_in add column is_move integer not null default 0',
  "create index taken_in_prescription on taken_in_row (row_id) where kind = 'prescription'",
  'alter table hold add column is_emergency integer not null default 0',
  "alter table practice add column emergency_phone text not null default '112'",
];

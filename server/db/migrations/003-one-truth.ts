import { Migration } from '@mikro-orm/migrations';

/**
 * Figures of a prescription stand in its plan alone, and plans are left as they were signed. Stops become holds with a
 * record of their own; a session keeps what later ones ask of it; operations have a limb and a date.
 */
export class OneTruth extends Migration {
  override async up(): Promise<void> {
    for (const statement of STATEMENTS) this.addSql(statement);
  }
}

const STATEMENTS = [
  'alter table prescription drop column pressure_mm_hg',
  'alter table prescription drop column load_kg',
  'alter table prescription add column retargets text references prescription (id)',
  "alter table screening add column procedures text not null default '[]'",
  'alter table screening add column "by" text',
  // Filled in when the database is opened: what it says is made by the core, from the log.
  `alter table session add column summary text not null default '{}'`,
  'alter table lop_quick_check add column step_mm_hg real',
  `create table hold (
    id text primary key, client_id text not null references client (id), cause text not null,
    words text not null, rule text not null, at_ms integer not null, limb text, subject text, ends text not null,
    lifted_at_ms integer, lifted_by text references person (id), lift_reason text,
    unique (client_id, cause)
  ) strict`,
  'create index hold_client on hold (client_id)',
];

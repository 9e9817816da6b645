import { Migration } from '@mikro-orm/migrations';

/** Simulated sessions that were run to learn, and until when a practitioner's certificate is valid. */
export class Learning extends Migration {
  override async up(): Promise<void> {
    for (const statement of STATEMENTS) this.addSql(statement);
  }
}

const STATEMENTS = [
  `create table session_attempt (
     id text not null primary key, practitioner_id text not null references person (id), at_ms integer not null,
     seed integer not null, points integer not null, answer text not null) strict`,
  'create index session_attempt_practitioner on session_attempt (practitioner_id, at_ms)',
  'create index practice_attempt_seed on practice_attempt (seed)',
  'alter table account add column certified_until_day text null',
];

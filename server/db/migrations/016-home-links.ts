import { Migration } from '@mikro-orm/migrations';

/** Links with which people train at home without an account; of each secret only what it hashes to is kept. */
export class HomeLinks extends Migration {
  override async up(): Promise<void> {
    for (const statement of STATEMENTS) this.addSql(statement);
  }
}

const STATEMENTS = [
  `create table home_link (
     id text not null primary key, client_id text not null references client (id),
     course_plan_id text not null references course_plan (id), secret_sha256 text not null unique,
     made_by text not null references person (id), made_at_ms integer not null, until_ms integer not null,
     ended_at_ms integer null, sessions integer not null default 0) strict`,
  'create index home_link_client on home_link (client_id, made_at_ms)',
];

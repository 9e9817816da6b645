import { Migration } from '@mikro-orm/migrations';

/**
 * Measures a practice adds itself or says otherwise of, what stands at the head of its reports, and comparisons in one person:
 * with the cuff against without.
 */
export class OwnMeasures extends Migration {
  override async up(): Promise<void> {
    this.addSql("alter table practice add column letterhead text not null default ''");
    this.addSql('create table measure (id text not null primary key, measure text not null)');
    this.addSql(
      `create table comparison (
         id text not null primary key, client_id text not null references client (id), at_ms integer not null,
         design text not null, practitioner_id text not null, ended_at_ms integer null, ended_why text null)`,
    );
    this.addSql('create index comparison_client on comparison (client_id, at_ms)');
  }
}

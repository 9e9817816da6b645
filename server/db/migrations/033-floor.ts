import { Migration } from '@mikro-orm/migrations';

const NOTE = `id text not null primary key, practitioner_id text not null, at_ms integer not null, words text not null,
  read_at_ms integer, read_by text`;

/** The lane of the floor that a session keeps for as long as it runs; and whose plans are in force is found without those that ended;
 * the address by which phones reach the server; notes for the next shift; and what machine and heart showed at the end of a test.
 */
export class Floor extends Migration {
  override async up(): Promise<void> {
    this.addSql('alter table session add column lane integer');
    this.addSql("alter table practice add column public_address text not null default ''");
    this.addSql(`create table handover (${NOTE}, client_id text not null references client (id))`);
    this.addSql('create index handover_to_read on handover (client_id) where read_at_ms is null');
    this.addSql(`create table day_note (${NOTE})`);
    this.addSql('alter table outcome add column reached text');
    this.addSql('create index course_plan_by_state on course_plan (state, client_id)');
  }
}

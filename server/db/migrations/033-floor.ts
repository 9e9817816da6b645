import { Migration } from '@mikro-orm/migrations';

/** The lane of the floor that a session keeps for as long as it runs; and whose plans are in force is found without those that ended;
 * the address by which phones reach the server. */
export class Floor extends Migration {
  override async up(): Promise<void> {
    this.addSql('alter table session add column lane integer');
    this.addSql("alter table practice add column public_address text not null default ''");
    this.addSql('create index course_plan_by_state on course_plan (state, client_id)');
  }
}

import { Migration } from '@mikro-orm/migrations';

/** Whether a plan has a name of its own, as all of earlier releases have, or is called after what it trains now. */
export class PlanNames extends Migration {
  override async up(): Promise<void> {
    this.addSql('alter table course_plan add column is_named integer not null default 1');
  }
}

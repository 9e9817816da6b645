import { Migration } from '@mikro-orm/migrations';

/** In which order a practice writes day, month and year. */
export class PracticeDateOrder extends Migration {
  override async up(): Promise<void> {
    this.addSql("alter table practice add column date_order text not null default 'day-month-year'");
  }
}

import { Migration } from '@mikro-orm/migrations';

/** How a practice writes effort down, and above which blood pressure its work ends (rules RUN-2, RUN-8). */
export class PracticeHabits extends Migration {
  override async up(): Promise<void> {
    this.addSql("alter table practice add column effort_in text not null default 'of-ten'");
    this.addSql('alter table practice add column stop_above_systolic_mm_hg integer not null default 220');
    this.addSql('alter table practice add column stop_above_diastolic_mm_hg integer not null default 105');
  }
}

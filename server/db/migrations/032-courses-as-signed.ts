import { Migration } from '@mikro-orm/migrations';

/**
 * Whether a plan has a name of its own, as all of earlier releases have, or is called after what it trains now; whether a version was
 * made by the answer to a review, so that it goes with that; and how many sessions a practice asks for on a rung.
 */
export class CoursesAsSigned extends Migration {
  override async up(): Promise<void> {
    this.addSql('alter table course_plan add column is_named integer not null default 1');
    this.addSql("alter table practice add column rung_sessions text not null default '{}'");
    this.addSql('alter table prescription add column is_by_review integer not null default 0');
  }
}

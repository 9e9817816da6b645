import { Migration } from '@mikro-orm/migrations';

/** What the gauge of a measurement was wrong by, in mmHg; null where no check of it was on record. */
export class GaugeErrors extends Migration {
  override async up(): Promise<void> {
    this.addSql('alter table lop add column gauge_error_mm_hg real null');
  }
}

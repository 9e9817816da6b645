import { Migration } from '@mikro-orm/migrations';

/** The most joint pain in heavy work, of 10; null where nobody said. */
export class PainInHeavyWork extends Migration {
  override async up(): Promise<void> {
    this.addSql('alter table heavy_work add column pain integer null');
  }
}

import { Migration } from '@mikro-orm/migrations';

/** How many years a practice keeps a record after the client was last here; null where it has not said. */
export class Retention extends Migration {
  override async up(): Promise<void> {
    this.addSql('alter table practice add column keep_years integer null');
  }
}

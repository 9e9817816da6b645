import { Migration } from '@mikro-orm/migrations';

/** Who was added lately is found without a look at everybody. */
export class WhoIsNew extends Migration {
  override async up(): Promise<void> {
    this.addSql('create index client_added on client (added_at_ms)');
  }
}

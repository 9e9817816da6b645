import { Migration } from '@mikro-orm/migrations';

/** The lane of the floor that a session keeps for as long as it runs. */
export class Floor extends Migration {
  override async up(): Promise<void> {
    this.addSql('alter table session add column lane integer');
  }
}

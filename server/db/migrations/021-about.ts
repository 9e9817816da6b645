import { Migration } from '@mikro-orm/migrations';

/** How somebody is reached, what they want, and what is good to know. */
export class About extends Migration {
  override async up(): Promise<void> {
    this.addSql(
      `alter table client add column about text not null default '{"contact":"","goals":"","notes":""}'`,
    );
  }
}

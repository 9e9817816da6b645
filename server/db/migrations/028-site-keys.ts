import { Migration } from '@mikro-orm/migrations';

/** What the site signs whole practices with that are taken out of it. */
export class SiteKeys extends Migration {
  override async up(): Promise<void> {
    this.addSql('create table site_key (id integer primary key check (id = 1), private_key text not null)');
  }
}

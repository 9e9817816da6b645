import { Migration } from '@mikro-orm/migrations';

/** Wraps without marks and hand pumps without a gauge: what is counted, how far one is stretched; the straps there were all have marks. */
export class Wraps extends Migration {
  override async up(): Promise<void> {
    this.addSql('alter table tightness add column tension text null');
    this.addSql("alter table tightness add column counts text not null default 'marks'");
    this.addSql(
      "update kit set item = json_set(item, '$.counts', 'marks') where list = 'straps' and json_extract(item, '$.counts') is null",
    );
  }
}

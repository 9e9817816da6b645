import { Migration } from '@mikro-orm/migrations';

/** Sessions that were too much say for which limbs: those on record are made anew from their events at the next start. */
export class StepsDown extends Migration {
  override async up(): Promise<void> {
    this.addSql(`update session set summary = '{}' where json_extract(summary, '$.tolerated') = 0`);
  }
}

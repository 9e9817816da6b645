import { Migration } from '@mikro-orm/migrations';

/** Letters say the highest rung and the ranges they limit; those on record said none. */
export class RangesOfLetters extends Migration {
  override async up(): Promise<void> {
    this.addSql(
      `update clearance set clearance = json_set(clearance, '$.highestRung', null, '$.ranges', json('[]'))`,
    );
  }
}

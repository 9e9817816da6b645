import { Migration } from '@mikro-orm/migrations';

/** The most a practice puts on a limb nobody measured a LOP of; none until a clinician says so (rule PRS-7). */
export class WithoutLop extends Migration {
  override async up(): Promise<void> {
    this.addSql('alter table practice add column arbitrary_up_to_mm_hg integer null');
  }
}

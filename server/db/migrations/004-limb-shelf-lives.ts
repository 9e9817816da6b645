import { Migration } from '@mikro-orm/migrations';

/** How long a pressure is kept may differ from limb to limb (rule LOP-6); a limb without its own goes by the person's. */
export class LimbShelfLives extends Migration {
  override async up(): Promise<void> {
    this.addSql("alter table client add column limb_shelf_lives text not null default '[]'");
  }
}

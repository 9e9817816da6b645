import { Migration } from '@mikro-orm/migrations';

/** In which limbs an answer of a screening is, and the medicines that are taken. */
export class LimbsOfItems extends Migration {
  override async up(): Promise<void> {
    this.addSql("alter table screening add column places text not null default '[]'");
    this.addSql("alter table screening add column medicines text not null default '[]'");
  }
}

import { Migration } from '@mikro-orm/migrations';

/** How many adverse events were of somebody who was forgotten: the practice still counts them. */
export class ErasedAdverseEvents extends Migration {
  override async up(): Promise<void> {
    this.addSql('alter table erased add column adverse_events integer not null default 0');
  }
}

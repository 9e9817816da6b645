import { Migration } from '@mikro-orm/migrations';

/** Figures of a prescription stand in its plan alone; the plans themselves are left as they were signed. */
export class OneTruth extends Migration {
  override async up(): Promise<void> {
    for (const statement of STATEMENTS) this.addSql(statement);
  }
}

const STATEMENTS = [
  'alter table prescription drop column pressure_mm_hg',
  'alter table prescription drop column load_kg',
];

import { MS_PER_DAY } from '../quantity/units';
import { RULES } from '../rules/catalogue';

/** Whether a strength test is older than it holds for (rule LOAD-2). */
export const strengthTestIsDue = ({ atMs }: { atMs: number }, nowMs: number): boolean =>
  nowMs - atMs > RULES['LOAD-2'].figures.shelfLifeDays * MS_PER_DAY;

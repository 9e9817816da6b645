import { MS_PER_DAY } from '../quantity/units';
import { LIMITS } from '../rules/limits';

/** Whether a strength test is older than it holds for (rule LOAD-2). */
export const strengthTestIsDue = ({ atMs }: { atMs: number }, nowMs: number): boolean =>
  nowMs - atMs > LIMITS.strengthShelfLifeDays * MS_PER_DAY;

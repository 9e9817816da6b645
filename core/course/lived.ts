import type { SessionDone } from '../plan/basis';
import type { Day } from '../quantity/days';
import { MS_PER_DAY } from '../quantity/units';
import type { OpenedFigures } from '../review/opened';
import { kindsMoved, type Worked } from '../review/summary';
import type { OpenedSession } from './course-record';
import type { DaySession } from './session-on';

/** A session that is taken for done with all its exercises, as the next one goes by it (rule CRS-2). */
export const openedOn = (
  day: Day,
  opened: readonly OpenedFigures[],
  tolerated: boolean,
  { deloadPercent }: Pick<DaySession, 'deloadPercent'>,
): OpenedSession => ({
  day,
  tolerated,
  exercises: opened.map((figures) => ({ ...figures, isBegun: true })),
  ...(deloadPercent === null ? {} : { wasDeload: true as const }),
});

/** The same for the ramp and for how often (rules PRS-4, PRO-3). */
export const doneOn = (day: Day, worked: readonly Worked[], tolerated: boolean): SessionDone => ({
  atMs: day * MS_PER_DAY,
  day,
  tolerated,
  worked,
  kinds: kindsMoved(worked),
});

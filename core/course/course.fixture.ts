import { msg } from '../message/message';
import type { Basis } from '../plan/basis';
import { composeSession } from '../plan/compose';
import type { Plan } from '../plan/plan';
import { testBasis } from '../plan/plan.fixture';
import type { Day } from '../quantity/days';
import { MS_PER_DAY } from '../quantity/units';
import type { Change } from '../review/change';
import { openedAt } from '../review/opened';
import { workedIn } from '../review/summary';
import type { CourseRecord, OpenedSession } from './course-record';
import { doneOn, openedOn } from './lived';
import { type DayChoices, type DaySession, sessionOn } from './session-on';

/** How a session of a simulated course went. */
export type Lived = {
  tolerated?: boolean;
  /** What its review changes for the next, by the place of the exercise. */
  changes?: readonly Change[];
  wasLighter?: true;
};

/** A course as it is lived day by day, for tests: what each day opens is what the next goes by. */
export class LivedCourse {
  readonly opened: OpenedSession[] = [];
  private readonly done: Basis['done'][number][];
  private changes: readonly Change[] = [];

  constructor(
    readonly plan: Plan,
    private readonly record: Partial<CourseRecord> & { basis?: Basis } = {},
  ) {
    this.done = [...(record.basis?.done ?? [])];
  }

  recordOn(day: Day): CourseRecord {
    const basis = this.record.basis ?? testBasis({ done: [] });
    return {
      deload: null,
      passed: [],
      advices: this.changes.map((change) => ({ change, reason: msg('As it went.'), rule: 'REV-7' as const })),
      ...this.record,
      basis: { ...basis, done: this.done, nowMs: day * MS_PER_DAY, today: day },
      opened: this.opened,
      trainedDays: this.opened.map((session) => session.day),
    };
  }

  /** What the day asks for, in the morning. */
  on(day: Day, choices?: DayChoices): DaySession {
    return sessionOn(this.plan, this.recordOn(day), day, choices);
  }

  /** Opens what the day asks for, and does it. */
  live(day: Day, { tolerated = true, changes = [], ...lived }: Lived = {}, choices?: DayChoices): Plan {
    const { session, deloadPercent } = this.on(day, choices);
    const { plan } = composeSession(session, this.recordOn(day).basis);
    this.opened.push({ ...openedOn(day, openedAt(plan), tolerated, { deloadPercent }), ...lived });
    this.done.push(doneOn(day, plan.exercises.map(workedIn), tolerated));
    this.changes = changes;
    return plan;
  }
}

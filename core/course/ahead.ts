import type { Basis } from '../plan/basis';
import { type Composed, composeSession } from '../plan/compose';
import type { Plan } from '../plan/plan';
import type { Day } from '../quantity/days';
import { openedAt } from '../review/opened';
import { workedIn } from '../review/summary';
import type { CourseRecord } from './course-record';
import { doneOn, openedOn } from './lived';
import { type DaySession, sessionOn } from './session-on';

/** A day to come: what it asks for if every session before it is tolerated, and what that comes to. */
export type DayAhead = { day: Day; of: DaySession; plan: Plan };

/**
 * A plan on days to come (rule CRS-2): the same function day by day, each session taken for done and tolerated, nothing said by
 * any review. What moves by the review therefore stays where it is now.
 * @param days in order; today among them where it is to be done today
 * @throws UnknownChoice where the plan points to what is not on record any more
 */
export function daysAhead(plan: Plan, record: CourseRecord, days: readonly Day[]): DayAhead[] {
  const opened = [...record.opened];
  const trainedDays = [...record.trainedDays];
  const done = [...record.basis.done];
  let { advices } = record;
  const composed = new Map<string, Composed>();
  return days.map((day) => {
    const basis: Basis = { ...record.basis, done, today: day };
    const of = sessionOn(plan, { ...record, basis, opened, trainedDays, advices }, day);
    const key = JSON.stringify(of.session.exercises);
    const made = composed.get(key) ?? composeSession(of.session, record.basis);
    composed.set(key, made);
    opened.push(openedOn(day, openedAt(made.plan), true, of));
    trainedDays.push(day);
    done.push(doneOn(day, made.plan.exercises.map(workedIn), true));
    advices = [];
    return { day, of, plan: made.plan };
  });
}

import { type Message, msg, type Text } from '../message/message';
import { pressureInForce } from '../occlusion-pressure/in-force';
import type { ExerciseChoice } from '../plan/choices';
import { MOST_A_WEEK } from '../plan/figure-ids';
import type { Plan } from '../plan/plan';
import { rampLevel, weekOf } from '../pressure/ramp';
import { percentOf, shareMmHg } from '../pressure/target-pressure';
import type { Day } from '../quantity/days';
import { limbKind } from '../quantity/limb';
import { tidy } from '../quantity/rounding';
import { RULES } from '../rules/catalogue';
import type { CourseRecord } from './course-record';
import { changedOn, type Figure } from './figure';
import { type Lifted, liftedWith, madeKg, stepped } from './lifted';

/** What a figure would be next, and why; since when it waits for it. A setback is a step back or a lay-off. */
export type NextFigure = {
  to: number;
  why: Text;
  sinceDay: Day;
  isSetback: boolean;
  /** Whether the person would feel it: a share of 1RM may rise a little each week until it makes a step of the kit. */
  isFelt: boolean;
};

export type FigureContext = {
  plan: Plan;
  choice: ExerciseChoice;
  exerciseIndex: number;
  record: CourseRecord;
  day: Day;
  /** From when the weeks of the course are counted. */
  fromDay: Day;
};

const { pointsPerWeek, layOff, reEntryMmHg, withoutLopMmHg } = RULES['PRS-4'].figures;
const { stepsBack } = RULES['CRS-5'].figures;

/**
 * What a figure asks to be on a day (rules CRS-3, CRS-5): back after a lay-off, down by the last session's review, else as its
 * movement says. Null where it stays.
 */
export function nextFigure(figure: Figure, context: FigureContext): NextFigure | null {
  return afterLayOff(figure, context) ?? afterReview(figure, context) ?? byMovement(figure, context);
}

/** What a lay-off takes back: pressure by rule PRS-4, everything else two steps; after the long one all (rule CRS-5). */
function afterLayOff(figure: Figure, context: FigureContext): NextFigure | null {
  const lastDay = context.record.opened.at(-1)?.day;
  const daysOff = lastDay === undefined ? 0 : context.day - lastDay;
  if (daysOff < layOff.shortDays) return null;
  const { start, last } = figure;
  const least = Math.min(start, last);
  const to = daysOff >= layOff.longDays ? least : Math.max(least, takenBack(figure, context));
  return to < last
    ? {
        to,
        why: msg('{daysOff} days off', { daysOff }),
        sinceDay: context.day,
        isSetback: true,
        isFelt: true,
      }
    : null;
}

function takenBack(figure: Figure, context: FigureContext): number {
  switch (figure.figure) {
    case 'percent-lop':
      return figure.last - layOff.pointsDown;
    case 'mmHg':
      return figure.last - withoutLopMmHg.down;
    case 'percent-1rm':
      return figure.movement?.by === 'week'
        ? figure.last - stepsBack * figure.movement.step
        : loadSteps(figure.last, -stepsBack, context);
    default:
      return figure.last - stepsBack * stepOf(figure);
  }
}

const stepOf = ({ movement, figure }: Figure): number =>
  movement?.by === 'week' ? movement.step : MOST_A_WEEK[figure];

/** A share of 1RM so many steps of the kit away. */
function loadSteps(percent: number, steps: number, context: FigureContext): number {
  const lifted = liftedIn(context);
  return lifted ? stepped(percent, steps, lifted) : percent;
}

const liftedIn = ({ plan, exerciseIndex, record }: FigureContext): Lifted | null =>
  liftedWith(plan.exercises[exerciseIndex]?.load, record.basis.weightKits);

/** Whether a higher figure is more for the person: of a share of 1RM, whether the kit makes more of it. */
function isHeavier({ figure, last }: Figure, to: number, context: FigureContext): boolean {
  const lifted = figure === 'percent-1rm' ? liftedIn(context) : null;
  return !lifted || madeKg(to, lifted) > madeKg(last, lifted);
}

/** One bad session lowers by its review's step, whatever the movement (rule CRS-3). */
function afterReview(figure: Figure, context: FigureContext): NextFigure | null {
  const advice = context.record.advices[context.exerciseIndex];
  const lowered =
    figure.figure === 'percent-lop'
      ? figure.last + Math.min(0, advice?.change.pressurePoints ?? 0)
      : figure.figure === 'percent-1rm' && (advice?.change.loadSteps ?? 0) < 0
        ? loadSteps(figure.last, advice?.change.loadSteps ?? 0, context)
        : figure.last;
  if (!advice || lowered >= figure.last) return null;
  return {
    to: Math.max(1, lowered),
    why: reasonOf(advice),
    sinceDay: context.day,
    isSetback: true,
    isFelt: true,
  };
}

const reasonOf = ({ reason, rule }: { reason: Text; rule: string }): Message =>
  msg('{reason} ({rule})', { reason, rule });

function byMovement(figure: Figure, context: FigureContext): NextFigure | null {
  const last = context.record.opened.at(-1);
  // Before the first session it is as signed; after one that was not tolerated every rise waits.
  if (figure.past.length === 0 || !last?.tolerated) return null;
  // A pressure that was measured again is first held as it is now (rule PRS-8).
  if (isMeasuredAgain(figure, context)) return null;
  const next = RISES[figure.movement?.by ?? steadyBy(figure, context)](figure, context);
  return next && next.to > figure.last
    ? { ...next, isSetback: false, isFelt: isHeavier(figure, next.to, context) }
    : null;
}

function isMeasuredAgain({ limb, past }: Figure, { record, choice }: FigureContext): boolean {
  const before = past.at(-1)?.occlusionId;
  if (limb === undefined || before === undefined) return false;
  const now = pressureInForce(record.basis, limb, choice.position);
  return now !== undefined && now.id !== before;
}

type Rise = (figure: Figure, context: FigureContext) => Omit<NextFigure, 'isSetback' | 'isFelt'> | null;

const RISES: Record<NonNullable<Figure['movement']>['by'], Rise> = {
  ramp: byRamp,
  week: byWeek,
  're-entry': byDay,
  review: byReview,
};

/** The newcomer's ramp: at most a step a week, up to where it is (rule PRS-4). */
function byRamp(figure: Figure, context: FigureContext): ReturnType<Rise> {
  const { movement, last, start } = figure;
  const to = movement?.to ?? start;
  if (figure.figure === 'mmHg')
    return inWeek(figure, context.fromDay, context.day, Math.min(to, last + withoutLopMmHg.aWeek));
  const ramp = rampOf(figure, context);
  return ramp
    ? inWeek(figure, ramp.fromDay, context.day, Math.min(to, ramp.percentLop, last + pointsPerWeek))
    : null;
}

const rampOf = ({ limb }: Figure, { record, day, plan }: FigureContext) =>
  limb === undefined ? null : rampLevel(record.basis.done, limbKind(limb), plan.schoolId, day);

/** What is steady comes back to what was signed: with the ramp while that runs, else as the review says. */
const steadyBy = (figure: Figure, context: FigureContext): 'ramp' | 'review' =>
  figure.figure === 'percent-lop' && rampOf(figure, context)?.running ? 'ramp' : 'review';

function byWeek(figure: Figure, { day, fromDay }: FigureContext): ReturnType<Rise> {
  const { movement, last } = figure;
  return movement?.by === 'week'
    ? inWeek(figure, fromDay, day, Math.min(movement.to, tidy(last + movement.step)))
    : null;
}

/** One rise in each seven days, none for those that were missed. */
function inWeek(figure: Figure, fromDay: Day, day: Day, to: number): ReturnType<Rise> {
  const changed = changedOn(figure);
  if (changed === undefined) return null;
  const week = weekOf(day, fromDay);
  const changedIn = weekOf(changed, fromDay);
  return week > changedIn
    ? { to, why: msg('week {week}', { week: week + 1 }), sinceDay: fromDay + 7 * (changedIn + 1) }
    : null;
}

/** Re-entry after an operation: a step on each day that the day before was done and tolerated (rule PRS-4). */
function byDay(figure: Figure, { record, day, choice }: FigureContext): ReturnType<Rise> {
  const { movement, limb, past } = figure;
  const before = past.at(-1);
  const lop = limb && pressureInForce(record.basis, limb, choice.position);
  if (!movement || before?.pressureMmHg == null || !lop || before.day !== day - 1) return null;
  const yesterday = record.opened.filter((session) => session.day === before.day);
  if (!yesterday.every(({ tolerated }) => tolerated)) return null;
  const lopMmHg = lop.pressure.value;
  const mostMmHg = shareMmHg(lopMmHg, movement.to, lop.divisionMmHg);
  const toMmHg = Math.min(mostMmHg, before.pressureMmHg + reEntryMmHg.aDay);
  const days = new Set(past.map((one) => one.day)).size;
  return {
    to: toMmHg >= mostMmHg ? movement.to : percentOf(toMmHg, lopMmHg),
    why: msg('day {days} of re-entry, {before} mmHg before', { days: days + 1, before: before.pressureMmHg }),
    sinceDay: day,
  };
}

/** As the review of the last session says, up to the bound (rules REV-6, REV-7). */
function byReview(figure: Figure, context: FigureContext): ReturnType<Rise> {
  const { movement, last, start } = figure;
  const advice = context.record.advices[context.exerciseIndex];
  const lastDay = context.record.opened.at(-1)?.day ?? context.day;
  if (!advice) return null;
  const to =
    figure.figure === 'percent-lop'
      ? last + (advice.change.pressurePoints ?? 0)
      : figure.figure === 'percent-1rm'
        ? loadSteps(last, Math.max(0, advice.change.loadSteps ?? 0), context)
        : last;
  return { to: Math.min(to, movement?.to ?? start), why: reasonOf(advice), sinceDay: lastDay };
}

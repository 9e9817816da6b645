import { occasionWords } from '../course/course-plan';
import { list, type Message, mass, msg, type Text } from '../message/message';
import { composeSession, unlessUnknown } from '../plan/compose';
import type { Plan } from '../plan/plan';
import { plannedKg } from '../plan/planned-load';
import { targetWords } from '../plan/target';
import { isoOf } from '../quantity/days';
import { basisOf } from './basis';
import { blockAsItStands } from './block-in-force';
import { type CourseDay, courseDays } from './course-days';
import { courseToday } from './course-in-force';
import type { ClientFacts, KitInUse } from './facts';
import { plansInForce } from './plans-in-force';

/** What a report says of the course: how the block went so far, and what comes next of each plan, with its figures (rule CRS-2). */
export type CourseInReport = {
  /** Null where no block is kept. */
  block: { planned: number; done: number; missed: number; toCome: number } | null;
  next: { about: Text; says: Message; figures: Message }[];
};

/** The course of a person for a report, by the same days as the block's table (rule CRS-2). */
export function courseInReport(facts: ClientFacts, kit: KitInUse, nowMs: number): CourseInReport {
  const standing = blockAsItStands(facts, nowMs);
  const days = standing ? courseDays(standing, facts, kit, nowMs) : [];
  const count = (state: CourseDay['state']) => days.filter((one) => one.state === state).length;
  const next = plansInForce(facts, nowMs).map(({ coursePlan, prescription }) => {
    const ahead = days.find((one) => one.coursePlanId === coursePlan.id && one.state === 'to-come');
    const planned = ahead?.state === 'to-come' ? ahead.plan : null;
    const today = () =>
      composeSession(
        courseToday(prescription, facts, kit, nowMs).day.session,
        basisOf(facts, kit, prescription.role, nowMs),
      ).plan;
    return {
      about: coursePlan.name,
      says: ahead
        ? msg('on {day}', { day: { isoDay: isoOf(ahead.day) } })
        : occasionWords(coursePlan.occasion),
      figures: figuresText(planned ?? unlessUnknown(today, prescription.plan)),
    };
  });
  return {
    block: standing
      ? {
          planned: days.length,
          done: count('done'),
          missed: count('missed'),
          toCome: count('to-come'),
        }
      : null,
    next,
  };
}

const figuresText = ({ exercises }: Plan): Message =>
  list(
    exercises.map(({ label, limbs: [target], load }) => {
      const kg = plannedKg(load);
      return msg('{exercise} {target}, {load}', {
        exercise: label,
        target: target ? targetWords(target) : '',
        load: kg === null ? load.recipe : mass(kg),
      });
    }),
    '; ',
  );

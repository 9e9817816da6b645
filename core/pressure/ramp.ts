import type { Derived } from '../derivation/derived';
import { type Message, msg } from '../message/message';
import { SCHOOLS } from '../protocol/data/schools';
import type { SchoolId } from '../protocol/schools';
import type { Day } from '../quantity/days';
import { type Limb, type LimbKind, limbKind } from '../quantity/limb';
import { RULES } from '../rules/catalogue';

/**
 * A session that was really done, as the ramp counts it: when it was opened and on which day of the practice's calendar, what
 * kinds of limb moved in it, and how it went.
 */
export type RampSession = { atMs: number; day: Day; kinds: readonly LimbKind[]; tolerated: boolean };

const { pointsPerWeek: POINTS_PER_WEEK, layOff, reEntryMmHg: RE_ENTRY_MMHG } = RULES['PRS-4'].figures;

/** Where a person is on the ramp: the share of LOP of this week, and whether it still bounds what is prescribed. */
export type RampLevel = {
  percentLop: number;
  /** While it runs it is the ceiling; once the school's usual is reached it bounds nothing. */
  running: boolean;
  /** From when its weeks are counted: the first session since the last restart; today before there is one. */
  fromDay: Day;
};

/**
 * The share of LOP that the newcomer's ramp allows now, for a kind of limb (rule PRS-4): the school's start in the first
 * seven days, then 5 points more for each seven days in which a person trained and the last session was tolerated, until
 * the usual. After 21 days off it begins again 10 points lower, after 42 at the start.
 * @param done sessions really done, in any order
 * @example start 40, usual 60, sessions on days 0, 3, 8 and 15, looked at on day 16 //=> percentLop: 50
 */
export function rampLevel(
  done: readonly RampSession[],
  kind: LimbKind,
  schoolId: SchoolId,
  today: Day,
): RampLevel {
  const { start, usual } = SCHOOLS[schoolId].percentLop[kind];
  const ladder = { start, most: usual, aWeek: POINTS_PER_WEEK, down: layOff.pointsDown };
  const { level, fromDay } = climb(ofKind(done, kind, today), ladder, today);
  return { percentLop: level, running: level < usual, fromDay };
}

/** The sessions that moved a kind of limb up to a day, the oldest first. */
const ofKind = (done: readonly RampSession[], kind: LimbKind, today: Day): RampSession[] =>
  done.filter(({ kinds, day }) => kinds.includes(kind) && day <= today).sort((a, b) => a.atMs - b.atMs);

/** A ladder of pressure, in whichever unit: where it starts and ends, a rise a week, and what a lay-off takes back. */
type Ladder = { start: number; most: number; aWeek: number; down: number };

/**
 * How far a person has climbed, and from when its weeks are counted (rule PRS-4).
 * @param mine the sessions that count, the oldest first
 */
export function climb(
  mine: readonly Pick<RampSession, 'day' | 'tolerated'>[],
  { start, most, aWeek, down }: Ladder,
  today: Day,
): { level: number; fromDay: Day } {
  let level = start;
  let fromDay = mine[0]?.day ?? today;
  mine.forEach((session, place) => {
    const nextDay = mine[place + 1]?.day ?? today;
    const daysOff = nextDay - session.day;
    if (daysOff >= layOff.shortDays) {
      level = daysOff >= layOff.longDays ? start : Math.max(start, level - down);
      fromDay = nextDay;
    } else if (session.tolerated && weekOf(nextDay, fromDay) > weekOf(session.day, fromDay)) {
      // One rise however many weeks lie between: a week missed gives none.
      level = Math.min(most, level + aWeek);
    }
  });
  return { level, fromDay };
}

/** The week of a day, in sevens of days from another; 0 in the first. */
export const weekOf = (day: Day, fromDay: Day): number => Math.floor((day - fromDay) / 7);

/** How a level of the ramp came about, in words. */
export function rampWords(
  done: readonly RampSession[],
  kind: LimbKind,
  schoolId: SchoolId,
  today: Day,
): Message {
  const { start, usual } = SCHOOLS[schoolId].percentLop[kind];
  const { percentLop: level } = rampLevel(done, kind, schoolId, today);
  const last = ofKind(done, kind, today).at(-1);
  if (!last) return msg('no session yet: the first week is at {start} %', { start });
  const daysOff = today - last.day;
  if (daysOff >= layOff.shortDays)
    return msg('{daysOff} days off: begins again at {level} %', { daysOff, level });
  return msg('{start} %, {pointsPerWeek} points a week trained and tolerated, up to {usual} % → {level} %', {
    start,
    pointsPerWeek: POINTS_PER_WEEK,
    usual,
    level,
  });
}

/**
 * Share of LOP to propose, in %LOP (rules PRS-2, PRS-4).
 * @param capPercentLop what a clearance caps it at, or `null` (rule SCR-2)
 */
export function proposedPercent(
  limb: Limb,
  schoolId: SchoolId,
  done: readonly RampSession[],
  today: Day,
  capPercentLop: number | null = null,
): Derived {
  const school = SCHOOLS[schoolId];
  const kind = limbKind(limb);
  const { start, usual } = school.percentLop[kind];
  const { percentLop: ramped } = rampLevel(done, kind, schoolId, today);
  const words = rampWords(done, kind, schoolId, today);
  const value = Math.min(ramped, capPercentLop ?? ramped);
  return {
    value,
    unit: '%LOP',
    working: [
      { label: school.label, detail: msg('starts at {start} %, usually {usual} %', { start, usual }) },
      { label: msg('Ramp'), detail: words },
      ...(value < ramped ? [{ label: msg('Clearance'), detail: msg('capped at {value} %', { value }) }] : []),
    ],
    rules: value < ramped ? ['PRS-2', 'PRS-4', 'SCR-2'] : ['PRS-2', 'PRS-4'],
  };
}

/** The ramp's share in weeks to come, if every one of them is trained and tolerated (rule PRS-4). */
export const levelInWeeks = (level: number, weeks: number, kind: LimbKind, schoolId: SchoolId): number =>
  Math.min(SCHOOLS[schoolId].percentLop[kind].usual, level + POINTS_PER_WEEK * weeks);

/**
 * Pressure of passive cycles after an operation: 40 mmHg under the training pressure on the first day, 10 more each day,
 * until it is reached (rule PRS-4).
 * @param trainingMmHg the pressure to build up to @param days whole days since the first one; 0 on it
 */
export const passiveReEntryMmHg = (trainingMmHg: number, days: number): number =>
  Math.max(0, Math.min(trainingMmHg, trainingMmHg - RE_ENTRY_MMHG.below + RE_ENTRY_MMHG.aDay * days));

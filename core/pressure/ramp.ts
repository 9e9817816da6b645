import type { Derived } from '../derivation/derived';
import { type Message, msg } from '../message/message';
import { SCHOOLS } from '../protocol/data/schools';
import type { SchoolId } from '../protocol/schools';
import { type Limb, type LimbKind, limbKind } from '../quantity/limb';
import { MS_PER_DAY } from '../quantity/units';
import { RULES } from '../rules/catalogue';

/** A session that was really done, as the ramp counts it: when it was opened, what kinds of limb moved in it, and how it went. */
export type RampSession = { atMs: number; kinds: readonly LimbKind[]; tolerated: boolean };

const { pointsPerWeek: POINTS_PER_WEEK, layOff, reEntryMmHg: RE_ENTRY_MMHG } = RULES['PRS-4'].figures;
const WEEK_MS = 7 * MS_PER_DAY;
const LAY_OFF = {
  shortMs: layOff.shortDays * MS_PER_DAY,
  points: layOff.pointsDown,
  longMs: layOff.longDays * MS_PER_DAY,
};

/** Where a person is on the ramp: the share of LOP of this week, and whether it still bounds what is prescribed. */
export type RampLevel = {
  percentLop: number;
  /** While it runs it is the ceiling; once the school's usual is reached it bounds nothing. */
  running: boolean;
  /** How it came about, in words. */
  words: Message;
};

/**
 * The share of LOP that the newcomer's ramp allows now, for a kind of limb (rule PRS-4): the school's start in the first
 * seven days, then 5 points more for each seven days in which a person trained and the last session was tolerated, until
 * the usual. After 21 days off it begins again 10 points lower, after 42 at the start.
 * @param done sessions really done, in any order
 * @example start 40, usual 60, sessions on days 0, 3, 8 and 15, looked at on day 16 //=> 50
 */
export function rampLevel(
  done: readonly RampSession[],
  kind: LimbKind,
  schoolId: SchoolId,
  nowMs: number,
): RampLevel {
  const { start, usual } = SCHOOLS[schoolId].percentLop[kind];
  const mine = done
    .filter(({ kinds, atMs }) => kinds.includes(kind) && atMs <= nowMs)
    .sort((a, b) => a.atMs - b.atMs);
  const level = climb(mine, { start, most: usual, aWeek: POINTS_PER_WEEK, down: LAY_OFF.points }, nowMs);
  return { percentLop: level, running: level < usual, words: wordsOf(mine, level, start, usual, nowMs) };
}

/** A ladder of pressure, in whichever unit: where it starts and ends, a rise a week, and what a lay-off takes back. */
type Ladder = { start: number; most: number; aWeek: number; down: number };

/**
 * How far a person has climbed (rule PRS-4).
 * @param mine the sessions that count, the oldest first
 */
export function climb(
  mine: readonly Pick<RampSession, 'atMs' | 'tolerated'>[],
  { start, most, aWeek, down }: Ladder,
  nowMs: number,
): number {
  let level = start;
  let anchorMs = mine[0]?.atMs ?? nowMs;
  mine.forEach((session, place) => {
    const nextMs = mine[place + 1]?.atMs ?? nowMs;
    const offMs = nextMs - session.atMs;
    if (offMs >= LAY_OFF.shortMs) {
      level = offMs >= LAY_OFF.longMs ? start : Math.max(start, level - down);
      anchorMs = nextMs;
    } else if (session.tolerated && weekOf(nextMs, anchorMs) > weekOf(session.atMs, anchorMs)) {
      // One rise however many weeks lie between: a week missed gives none.
      level = Math.min(most, level + aWeek);
    }
  });
  return level;
}

const weekOf = (atMs: number, anchorMs: number): number => Math.floor((atMs - anchorMs) / WEEK_MS);

function wordsOf(
  mine: readonly RampSession[],
  level: number,
  start: number,
  usual: number,
  nowMs: number,
): Message {
  const last = mine.at(-1);
  if (!last) return msg('no session yet: the first week is at {start} %', { start });
  const daysOff = Math.floor((nowMs - last.atMs) / MS_PER_DAY);
  if (nowMs - last.atMs >= LAY_OFF.shortMs)
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
  nowMs: number,
  capPercentLop: number | null = null,
): Derived {
  const school = SCHOOLS[schoolId];
  const { start, usual } = school.percentLop[limbKind(limb)];
  const { percentLop: ramped, words } = rampLevel(done, limbKind(limb), schoolId, nowMs);
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

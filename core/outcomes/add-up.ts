import type { Library } from '../protocol/exercises';
import { musclesWorked } from '../protocol/muscles';
import { trains } from '../protocol/work-mode';
import { type Day, dayAt, weekdayOf } from '../quantity/days';
import { LIMBS, type Limb } from '../quantity/limb';
import { tidy } from '../quantity/rounding';
import type { LineExercise, SessionLine } from './session-line';

/** A session of the log with its day, and the plan it ran. */
export type LoggedSession = { id: string; startedAtMs: number; coursePlanId: string; line: SessionLine };

/** What one limb, or one muscle of it, was given over some sessions (rule RUN-5). */
export type Given = {
  sets: number;
  occludedMs: number;
  /** Null where no pressure is known. */
  pressureTimeMmHgMin: number | null;
  percentLopMin: number | null;
  /** A set of two limbs is half for each. */
  volumeKgReps: number;
};

/** Sessions added up: for the person, by limb, and by muscle and limb (rule RUN-5). */
export type LogTotals = {
  sessions: number;
  days: number;
  sets: number;
  reps: number;
  plannedReps: number;
  /** While at least one cuff was up. */
  occludedMs: number;
  volumeKgReps: number;
  limbs: ({ limb: Limb } & Given)[];
  muscles: ({ limb: Limb; muscle: string } & Given)[];
};

/**
 * Sessions added up without end (rules RUN-5, OUT-6). Passive work gives time and no sets.
 * @param zoneOffsetMs by which days are counted
 */
export function addUp(sessions: readonly LoggedSession[], library: Library, zoneOffsetMs: number): LogTotals {
  const limbs = new Map<string, { limb: Limb } & Given>();
  const muscles = new Map<string, { limb: Limb; muscle: string } & Given>();
  for (const exercise of sessions.flatMap(({ line }) => line.exercises)) {
    for (const given of exercise.limbs) {
      add(limbs, given.limb, { limb: given.limb }, exercise, given);
      for (const muscle of musclesWorked(exercise.exerciseId, library))
        add(muscles, `${muscle} ${given.limb}`, { limb: given.limb, muscle }, exercise, given);
    }
  }
  const sum = (of: (line: SessionLine) => number) =>
    tidy(sessions.reduce((total, { line }) => total + of(line), 0));
  return {
    sessions: sessions.length,
    days: new Set(sessions.map(({ startedAtMs }) => dayAt(startedAtMs, zoneOffsetMs))).size,
    sets: sum(({ exercises }) => exercises.reduce((total, exercise) => total + setsOf(exercise), 0)),
    reps: sum(({ reps }) => reps),
    plannedReps: sum(({ plannedReps }) => plannedReps),
    occludedMs: sum(({ occludedMs }) => occludedMs),
    volumeKgReps: sum(({ volumeKgReps }) => volumeKgReps),
    limbs: [...limbs.values()].map(tidied).sort((a, b) => LIMBS.indexOf(a.limb) - LIMBS.indexOf(b.limb)),
    muscles: [...muscles.values()].map(tidied).sort((a, b) => b.sets - a.sets || b.occludedMs - a.occludedMs),
  };
}

const setsOf = (exercise: LineExercise): number => (trains(exercise) ? exercise.sets.length : 0);

/** Adds what an exercise gave a limb to what is known under a key; in place, as there are years of them. */
function add<Key extends { limb: Limb }>(
  to: Map<string, Key & Given>,
  key: string,
  what: Key,
  exercise: LineExercise,
  given: LineExercise['limbs'][number],
): void {
  const known = to.get(key) ?? { ...what, ...NOTHING };
  to.set(key, known);
  known.sets += setsOf(exercise);
  known.occludedMs += given.occludedMs;
  known.pressureTimeMmHgMin = addKnown(known.pressureTimeMmHgMin, given.pressureTimeMmHgMin);
  known.percentLopMin = addKnown(known.percentLopMin, given.percentLopMin);
  known.volumeKgReps += exercise.volumeKgReps / exercise.limbs.length;
}

const NOTHING: Given = {
  sets: 0,
  occludedMs: 0,
  pressureTimeMmHgMin: null,
  percentLopMin: null,
  volumeKgReps: 0,
};

const addKnown = (a: number | null, b: number | null): number | null =>
  a === null ? b : b === null ? a : a + b;

/** The same without what adding up leaves in the last places. */
const tidied = <Of extends Given>(given: Of): Of => ({
  ...given,
  pressureTimeMmHgMin: given.pressureTimeMmHgMin === null ? null : tidy(given.pressureTimeMmHgMin),
  percentLopMin: given.percentLopMin === null ? null : tidy(given.percentLopMin),
  volumeKgReps: tidy(given.volumeKgReps),
});

/** What a log is read by: days, weeks from Monday, or the whole of it. */
export type Period = 'day' | 'week' | 'all';

/** Sessions of one day or week, the newest first. `fromDay` is its first day; the whole has that of its first session. */
export type LogPeriod = { fromDay: Day; sessions: LoggedSession[]; totals: LogTotals };

/** The log by days, by weeks, or whole, each with its totals. */
export function byPeriod(
  sessions: readonly LoggedSession[],
  period: Period,
  library: Library,
  zoneOffsetMs: number,
): LogPeriod[] {
  const newestFirst = [...sessions].sort((a, b) => b.startedAtMs - a.startedAtMs);
  const dayOf = ({ startedAtMs }: LoggedSession) => dayAt(startedAtMs, zoneOffsetMs);
  const first = newestFirst.at(-1);
  const periods = new Map<Day, LoggedSession[]>();
  for (const session of newestFirst) {
    const day = dayOf(session);
    const fromDay =
      period === 'day' ? day : period === 'week' ? day - weekdayOf(day) : first ? dayOf(first) : day;
    const own = periods.get(fromDay);
    if (own) own.push(session);
    else periods.set(fromDay, [session]);
  }
  return [...periods].map(([fromDay, own]) => ({
    fromDay,
    sessions: own,
    totals: addUp(own, library, zoneOffsetMs),
  }));
}

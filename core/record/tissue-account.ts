import { type Message, msg } from '../message/message';
import type { Library } from '../protocol/exercises';
import { musclesWorked } from '../protocol/muscles';
import { trains } from '../protocol/work-mode';
import { dayAt } from '../quantity/days';
import { LIMBS, type Limb, limbKind, limbSide } from '../quantity/limb';
import { tidy } from '../quantity/rounding';
import { RULES } from '../rules/catalogue';
import { liveTimeline } from '../session/live-timeline';
import { setStretches } from '../session/set-stretches';
import type { HeavyWork } from '../strength/heavy-work';
import type { Side } from '../strength/side';
import type { PastSession } from './past-session';

/** What one muscle of one limb was given in a week (rules PRO-3, PRO-4, RUN-5). */
export type TissueLine = {
  muscle: string;
  limb: Limb;
  /** Days on which it worked, under a cuff or heavily; passive work is none. */
  days: number;
  /** Sets of work under a cuff or strap. */
  sets: number;
  occludedMs: number;
  /** Null without a LOP. */
  percentLopMin: number | null;
  heavySets: number;
};

const { leastPerWeek: LEAST, mostPerWeek: MOST } = RULES['PRO-3'].figures;

/**
 * What each muscle of each limb was given in the sessions and heavy work of some days, the most-worked first. What lies
 * between a set and the next belongs to its exercise (rule RUN-5).
 */
export function tissueAccount(
  past: readonly PastSession[],
  heavyWork: readonly HeavyWork[],
  library: Library,
  zoneOffsetMs: number,
): TissueLine[] {
  const lines = new Map<string, TissueLine & { daysSeen: Set<number> }>();
  const lineOf = (muscle: string, limb: Limb) => {
    const key = `${muscle} ${limb}`;
    const known = lines.get(key);
    if (known) return known;
    const line = {
      muscle,
      limb,
      days: 0,
      sets: 0,
      occludedMs: 0,
      percentLopMin: null,
      heavySets: 0,
      daysSeen: new Set<number>(),
    };
    lines.set(key, line);
    return line;
  };
  for (const { plan, state, fact } of past) {
    const timeline = liveTimeline(plan, state, state.finishedAtMs ?? fact.startedAtMs);
    for (const stretch of setStretches(timeline)) {
      const exercise = plan.exercises[stretch.set.exerciseIndex];
      if (!exercise) continue;
      const muscles = musclesWorked(exercise.exerciseId, library);
      const worked = exercise.limbs.flatMap(({ limb }) => muscles.map((muscle) => lineOf(muscle, limb)));
      for (const line of worked) {
        const given = stretch.limbs.find(({ limb }) => limb === line.limb);
        line.occludedMs += given?.totalOcclusionMs ?? 0;
        const time = given?.relativePressureTimePercentLopMin ?? null;
        if (time !== null) line.percentLopMin = tidy((line.percentLopMin ?? 0) + time);
        if (!trains(exercise)) continue;
        line.sets += 1;
        line.daysSeen.add(dayAt(fact.startedAtMs, zoneOffsetMs));
      }
    }
  }
  for (const { exerciseId, side, sets, atMs } of heavyWork) {
    const exercise = library[exerciseId];
    if (!exercise) continue;
    const limbs = limbsOf(side).filter((limb) => limbKind(limb) === exercise.limbKind);
    const muscles = musclesWorked(exerciseId, library);
    for (const line of limbs.flatMap((limb) => muscles.map((muscle) => lineOf(muscle, limb)))) {
      line.heavySets += sets;
      line.daysSeen.add(dayAt(atMs, zoneOffsetMs));
    }
  }
  return [...lines.values()]
    .map(({ daysSeen, ...line }) => ({ ...line, days: daysSeen.size }))
    .sort((a, b) => b.sets + b.heavySets - (a.sets + a.heavySets) || a.muscle.localeCompare(b.muscle));
}

const limbsOf = (side: Side): Limb[] => LIMBS.filter((limb) => side === 'both' || limbSide(limb) === side);

/**
 * What a week's days say of a muscle: two or three are what works; null where they are that (rule PRO-3).
 * @example whyOff({ days: 1 }) //=> 'once in seven days; two or three work'
 */
export function whyOff({ days }: Pick<TissueLine, 'days'>): Message | null {
  if (days >= LEAST && days <= MOST) return null;
  return msg('{days, plural, =0 {not} =1 {once} other {# times}} in seven days; two or three work', { days });
}

import { type Message, msg } from '../message/message';
import { plannedMmHg } from '../plan/planned-set';
import { isInSuperset } from '../plan/set-order';
import { measuredLimbs } from '../plan/target';
import { pressuresHeld } from '../plan/timeline';
import { mean } from '../quantity/statistics';
import { RULES } from '../rules/catalogue';
import { restInHand } from '../session/in-hand';
import type { LimbState, SetRecord } from '../session/state';
import { type Reviewed, setsOf } from './reviewed';

const { restShare, heldShare } = RULES['REV-6'].figures.lighterThanPlanned;

/**
 * Why an exercise was lighter than its plan, in words: rests over 1½ times the planned, or a pressure held under 85 % of the
 * target. `null` where it was neither; nothing rises on work that was lighter (rule REV-6).
 * @example rests of 120 s where 30 are planned //=> 'Rests of 120 s for 30: lighter than planned, hold.'
 */
export const lighterThanPlanned = (session: Reviewed, exerciseIndex: number): Message | null =>
  longRests(session, exerciseIndex) ?? lowPressure(session, exerciseIndex);

/** By their mean: one that was long by a talk weighs as much as it gave. Between sets that alternate others are done. */
function longRests(session: Reviewed, exerciseIndex: number): Message | null {
  const { plan, state } = session;
  const exercise = plan.exercises[exerciseIndex];
  if (!exercise || isInSuperset(plan, exerciseIndex)) return null;
  const refits = state.refits.filter((refit) => refit.exerciseIndex === exerciseIndex);
  const rests = setsOf(session, exerciseIndex).flatMap((set, place, sets) => {
    const next = sets[place + 1];
    const planned = exercise.sets[set.setIndex];
    if (!next || !planned || set.endedAtMs === null || next.setIndex !== set.setIndex + 1) return [];
    // A cuff that pinched and was put on again does not count (rule FIT-4).
    if (refits.some(({ setIndex }) => setIndex === next.setIndex)) return [];
    const plannedMs = restInHand(plan, state, exerciseIndex, planned.restMs);
    return [{ tookMs: next.startedAtMs - set.endedAtMs, plannedMs }];
  });
  if (rests.length === 0) return null;
  const tookMs = mean(rests.map((rest) => rest.tookMs));
  const plannedMs = mean(rests.map((rest) => rest.plannedMs));
  if (plannedMs === 0 || tookMs <= restShare * plannedMs) return null;
  return msg('Rests of {took} s for {planned}: lighter than planned, hold.', {
    took: Math.round(tookMs / 1000),
    planned: Math.round(plannedMs / 1000),
  });
}

/** What was read over the sets of an exercise, against its target less what was loosened on purpose. */
function lowPressure(session: Reviewed, exerciseIndex: number): Message | null {
  const { plan, state } = session;
  const exercise = plan.exercises[exerciseIndex];
  const sets = setsOf(session, exerciseIndex);
  if (!exercise) return null;
  for (const target of measuredLimbs(exercise)) {
    const limb = state.limbs.find((one) => one.limb === target.limb);
    const heldMmHg = limb && meanHeldMmHg(limb, sets);
    if (heldMmHg === null || heldMmHg === undefined) continue;
    const signedMmHg = Math.min(...sets.map(({ setIndex }) => plannedMmHg(target, exercise.sets[setIndex])));
    const targetMmHg = signedMmHg - (state.loosenedMmHg[target.limb] ?? 0);
    if (heldMmHg < heldShare * targetMmHg)
      return msg('Held {heldMmHg} of {targetMmHg} mmHg: lighter than planned, hold.', {
        heldMmHg: Math.round(heldMmHg),
        targetMmHg,
      });
  }
  return null;
}

/** The mean over the time of the sets in which the cuff was up, in mmHg; null where nothing was read in them. */
function meanHeldMmHg({ inflations }: LimbState, sets: readonly SetRecord[]): number | null {
  const held = inflations.flatMap(({ steps, toMs }) =>
    pressuresHeld({ steps, toMs: toMs ?? Number.POSITIVE_INFINITY }).flatMap(
      ({ fromMs, toMs: untilMs, pressureMmHg }) =>
        pressureMmHg === null
          ? []
          : sets.map(({ startedAtMs, endedAtMs }) => ({
              pressureMmHg,
              ms: Math.max(0, Math.min(untilMs, endedAtMs ?? startedAtMs) - Math.max(fromMs, startedAtMs)),
            })),
    ),
  );
  const ms = held.reduce((sum, one) => sum + one.ms, 0);
  return ms === 0 ? null : held.reduce((sum, one) => sum + one.pressureMmHg * one.ms, 0) / ms;
}

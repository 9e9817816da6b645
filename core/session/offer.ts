import { stepName } from '../cuff/mark-words';
import { makeableLoads, type WeightKit } from '../load/weight-kit';
import { type Message, msg } from '../message/message';
import type { Plan } from '../plan/plan';
import { isByFeel } from '../plan/target';
import type { RuleId } from '../rules/catalogue';
import { RULES } from '../rules/catalogue';
import type { Offer } from './events';
import { loadInHand, restInHand } from './in-hand';
import { correctedReps, type SessionState } from './state';

/** A change for the rest of an exercise, with why; null when the set was as it should be. */
export type OfferedChange = {
  offer: Offer;
  reason: Message;
  rule: RuleId;
  exerciseIndex: number;
  setIndex: number;
};

const HARD_EFFORT = RULES['REV-3'].figures.hardEffort;
const LOOSEN_MMHG = RULES['RUN-4'].figures.stepMmHg;
const REST = RULES['REV-4'].figures.rest;

/**
 * What a practitioner would change after a first set that fell short or felt too hard: a lighter load; at 20 % of 1RM or
 * less, or without kilograms, a looser cuff or strap; after a later set, a longer rest (rules RUN-4, REV-3, REV-4).
 * Asked once a set, while others of the exercise are still to come.
 */
export function offerAfterSet(
  plan: Plan,
  state: SessionState,
  kits: readonly WeightKit[],
): OfferedChange | null {
  const set = state.sets.at(-1);
  const exercise = set && plan.exercises[set.exerciseIndex];
  const planned = exercise?.sets[set?.setIndex ?? 0];
  if (!set || !exercise || !planned || set.endedAtMs === null || state.stopped) return null;
  const { exerciseIndex, setIndex } = set;
  const answered = state.offers.some(
    (one) => one.exerciseIndex === exerciseIndex && one.setIndex === setIndex,
  );
  if (answered || setIndex >= exercise.sets.length - 1 || planned.work.kind !== 'reps') return null;
  const reps = correctedReps(set);
  const short = reps < planned.work.reps;
  const place = { exerciseIndex, setIndex };
  if (setIndex > 0) {
    const restMs = restInHand(plan, state, exerciseIndex, planned.restMs);
    if (!short || restMs >= REST.mostMs) return null;
    const longer = Math.min(REST.mostMs, restMs + REST.stepMs);
    return {
      ...place,
      offer: { kind: 'rest', restMs: longer },
      reason: msg('{reps} of {planned}: rest {longer} s instead of {rest}.', {
        reps,
        planned: planned.work.reps,
        longer: longer / 1000,
        rest: restMs / 1000,
      }),
      rule: 'REV-4',
    };
  }
  if (!short && (set.effort ?? 0) <= HARD_EFFORT) return null;
  const values = { reps, planned: planned.work.reps, effort: set.effort ?? 0 };
  const lighter = lighterLoad(plan, state, exerciseIndex, kits);
  if (lighter)
    return {
      ...place,
      offer: { kind: 'lighten', ...lighter },
      reason: short
        ? msg('Set one ended at {reps} of {planned}: one step lighter.', values)
        : msg('Set one felt {effort} of 10: one step lighter.', values),
      rule: 'REV-3',
    };
  if (isByFeel(exercise)) {
    const step = stepName(exercise.limbs.find((target) => target.kind === 'by-feel') ?? {});
    return {
      ...place,
      offer: { kind: 'loosen-mark', byMarks: 1 },
      reason: short
        ? msg('Set one ended at {reps} of {planned}, and the load is already low: loosen by one {step}.', {
            ...values,
            step,
          })
        : msg('Set one felt {effort} of 10, and the load is already low: loosen by one {step}.', {
            ...values,
            step,
          }),
      rule: 'TIGHT',
    };
  }
  return {
    ...place,
    offer: { kind: 'loosen', byMmHg: LOOSEN_MMHG },
    reason: short
      ? msg('Set one ended at {reps} of {planned}, and the load is already low: loosen by {byMmHg} mmHg.', {
          ...values,
          byMmHg: LOOSEN_MMHG,
        })
      : msg('Set one felt {effort} of 10, and the load is already low: loosen by {byMmHg} mmHg.', {
          ...values,
          byMmHg: LOOSEN_MMHG,
        }),
    rule: 'RUN-4',
  };
}

function lighterLoad(plan: Plan, state: SessionState, exerciseIndex: number, kits: readonly WeightKit[]) {
  const load = plan.exercises[exerciseIndex]?.load;
  if (load?.kind !== 'weighed' || load.truePercent <= RULES['LOAD-3'].figures.percentOneRepMax.startLow)
    return null;
  const kit = kits.find(({ id }) => id === load.weightKitId);
  const nowKg = loadInHand(state, exerciseIndex, load) ?? 0;
  return kit
    ? (makeableLoads(kit)
        .filter(({ loadKg }) => loadKg < nowKg)
        .at(-1) ?? null)
    : null;
}

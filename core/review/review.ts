import { measuredLimbs, type Plan, type PlannedSet } from '../plan/plan';
import { limbKind } from '../quantity/limb';
import type { RuleId } from '../rules/catalogue';
import { LIMITS, mostPercentLop } from '../rules/limits';
import { SCHOOLS } from '../rules/schools';
import { SIGNS } from '../session/signs';
import { correctedReps, type SessionState, type SetRecord } from '../session/state';

/** What to change next time. Points of %LOP, kit steps of load, ms of rest; an empty change holds. */
export type Change = {
  pressurePoints?: number;
  loadSteps?: -1 | 1;
  restMs?: number;
  heavyBridge?: true;
};

/** What a session suggests for the next one, why, and by which rule. It informs; whoever signs decides. */
export type Recommendation = { rule: RuleId; change: Change; reason: string };

/** A session as the review looks at it. */
export type Reviewed = { plan: Plan; state: SessionState };

const POINTS = { down: -10, up: 5 };
const REST_STEP_MS = 15_000;
const REST_MOST_MS = 60_000;
const ENOUGH_SHARE = 0.8;
const PAIN = { riseMost: 2, most: 5 };
const EASY_EFFORT = 6;
const HARD_EFFORT = 8;

type Facts = ReturnType<typeof factsOf>;

/** What the rules look at, read off one exercise of a session. */
function factsOf({ plan, state }: Reviewed, exerciseIndex: number) {
  const exercise = plan.exercises[exerciseIndex];
  const [target] = exercise?.limbs ?? [];
  if (!exercise || !target) throw new RangeError(`The plan has no exercise ${exerciseIndex}.`);
  const sets = state.sets.filter((set) => set.exerciseIndex === exerciseIndex);
  const doneIn = (set: SetRecord): number => {
    const planned = exercise.sets[set.setIndex];
    if (planned?.work.kind === 'reps') return correctedReps(set);
    return set.endedAtMs !== null && (set.reason === 'done' || set.reason === 'failure') ? 1 : 0;
  };
  const asked = (set: PlannedSet | undefined): number => (set?.work.kind === 'reps' ? set.work.reps : 1);
  const done = sets.reduce((sum, set) => sum + doneIn(set), 0);
  const planned = exercise.sets.reduce((sum, set) => sum + asked(set), 0);
  const [first] = sets;
  const kind = limbKind(target.limb);
  const truePercent = exercise.load.kind === 'weighed' ? exercise.load.truePercent : null;
  // A strap is neither loosened nor tightened by points.
  const percentLop = target.kind === 'measured' ? target.percentLop : null;
  const graded = kind === 'arm' && plan.schoolId === 'graded-start';
  return {
    exercise,
    target,
    done,
    planned,
    share: done / planned,
    allDone: done >= planned,
    restMs: Math.max(0, ...exercise.sets.slice(0, -1).map(({ restMs }) => restMs)),
    loadPercent: truePercent ?? 0,
    firstShort: first === undefined || doneIn(first) < asked(exercise.sets[first.setIndex]),
    mostPain: Math.max(0, ...sets.map(({ jointPain }) => jointPain ?? 0)),
    lastEffort: sets.at(-1)?.effort ?? null,
    stopSign: state.signs.find(({ sign }) => SIGNS[sign].level !== 'expected'),
    percentLop,
    usual: percentLop === null ? 0 : SCHOOLS[plan.schoolId].percentLop[kind].usual,
    floor:
      percentLop === null
        ? 0
        : graded
          ? LIMITS.exercisePercentLop.gradedStartArmLow
          : LIMITS.exercisePercentLop.guardLow,
    mayGoUp: truePercent !== null && truePercent < LIMITS.percentOneRepMax.usualHigh,
  };
}

const isEasy = ({ allDone, lastEffort }: Facts): boolean =>
  allDone && lastEffort !== null && lastEffort <= EASY_EFFORT;
const isFirm = ({ allDone, lastEffort }: Facts): boolean =>
  allDone && lastEffort !== null && lastEffort > EASY_EFFORT && lastEffort <= HARD_EFFORT;

/**
 * The change of one exercise for the next session (rules REV-1 to REV-8, the first that matches).
 * @param painBefore pain before the session, 0–10, or `null` when nobody asked
 * @param before the session before this one, or `null`
 * @param capPercentLop what a clearance caps the pressure at, or `null` (rule SCR-2)
 * @param exerciseIndex which exercise of the plan; in the session before, the same exercise is looked for
 */
export function recommend(
  session: Reviewed,
  painBefore: number | null,
  before: Reviewed | null,
  capPercentLop: number | null,
  exerciseIndex = 0,
): Recommendation {
  const now = factsOf(session, exerciseIndex);
  const sameBefore =
    before?.plan.exercises.findIndex(({ exerciseId }) => exerciseId === now.exercise.exerciseId) ?? -1;
  const last = before && sameBefore >= 0 ? factsOf(before, sameBefore) : null;
  const { percentLop } = now;
  // Never under the floor; who already trains there by a clinician's word stays.
  const lower = (): Change => {
    if (percentLop === null) return {};
    const pressurePoints = Math.max(now.floor - percentLop, POINTS.down);
    return pressurePoints < 0 ? { pressurePoints } : {};
  };
  const lighter = (rule: RuleId, reason: string): Recommendation => ({
    rule,
    change: { loadSteps: -1 },
    reason,
  });

  if (now.stopSign) {
    return {
      rule: 'REV-1',
      change: lower(),
      reason: `${SIGNS[now.stopSign.sign].label}: hold, screen again, then start lower.`,
    };
  }
  const rise = painBefore === null ? 0 : now.mostPain - painBefore;
  if (now.mostPain > PAIN.most || rise > PAIN.riseMost) {
    return lighter('REV-2', `Joint pain reached ${now.mostPain} of 10${rise > 0 ? `, up ${rise}` : ''}.`);
  }
  if (now.firstShort) {
    const heavy = now.loadPercent > LIMITS.percentOneRepMax.startLow;
    if (heavy) return lighter('REV-3', 'Set one was not finished.');
    return {
      rule: 'REV-3',
      change: lower(),
      reason: 'Set one was not finished, and the load is already low.',
    };
  }
  if (now.share < ENOUGH_SHARE) {
    const words = `${now.done} of ${now.planned} repetitions.`;
    if (now.restMs >= REST_MOST_MS) return lighter('REV-4', words);
    const restMs = Math.min(REST_MOST_MS, now.restMs + REST_STEP_MS);
    return { rule: 'REV-4', change: { restMs }, reason: words };
  }
  if (!now.allDone) {
    return {
      rule: 'REV-5',
      change: {},
      reason: `${now.done} of ${now.planned}, ended in the last set: on target.`,
    };
  }
  if (isFirm(now)) {
    const twice = last !== null && isFirm(last);
    return twice && now.mayGoUp
      ? { rule: 'REV-6', change: { loadSteps: 1 }, reason: 'All done twice running, effort 7–8.' }
      : { rule: 'REV-6', change: {}, reason: `All done, effort ${now.lastEffort}: hold.` };
  }
  if (isEasy(now)) return afterEasy(now, last, capPercentLop);
  return { rule: 'REV-5', change: {}, reason: 'All done, and hard: on target.' };
}

function afterEasy(now: Facts, last: Facts | null, capPercentLop: number | null): Recommendation {
  const { percentLop } = now;
  const top = Math.min(now.usual, capPercentLop ?? now.usual);
  const easy = `All done, effort ${now.lastEffort}`;
  if (percentLop !== null && percentLop < top) {
    return {
      rule: 'REV-7',
      change: { pressurePoints: Math.min(POINTS.up, top - percentLop) },
      reason: `${easy}: pressure towards the usual ${top} %.`,
    };
  }
  if (now.mayGoUp)
    return { rule: 'REV-7', change: { loadSteps: 1 }, reason: `${easy} at the usual pressure.` };
  return last && isEasy(last)
    ? { rule: 'REV-8', change: { heavyBridge: true }, reason: 'Load at 40 % and easy twice.' }
    : { rule: 'REV-8', change: {}, reason: `${easy} at 40 %: once more before the heavy bridge.` };
}

/** A change in the fewest words. */
export function changeWords({ pressurePoints, loadSteps, restMs, heavyBridge }: Change): string {
  const parts = [
    pressurePoints !== undefined &&
      `pressure ${pressurePoints > 0 ? '+' : '−'}${Math.abs(pressurePoints)} points`,
    loadSteps === 1 && 'load one step up',
    loadSteps === -1 && 'load one step down',
    restMs !== undefined && `rest ${restMs / 1000} s`,
    heavyBridge && 'propose the heavy bridge, and retest the 1RM',
  ].filter(Boolean);
  return parts.join(', ') || 'hold';
}

/** A change as it came from a log or a form: only what it says, nothing undefined. */
export const tidyChange = ({
  pressurePoints,
  loadSteps,
  restMs,
  heavyBridge,
}: {
  pressurePoints?: number | undefined;
  loadSteps?: -1 | 1 | undefined;
  restMs?: number | undefined;
  heavyBridge?: true | undefined;
}): Change => ({
  ...(pressurePoints ? { pressurePoints } : {}),
  ...(loadSteps ? { loadSteps } : {}),
  ...(restMs !== undefined ? { restMs } : {}),
  ...(heavyBridge ? { heavyBridge } : {}),
});

/**
 * An edited change, checked against the rules again: what nobody may do next time, in words, or `null` when it may be done
 * (rules PRS-3, SCR-2, LOAD-3).
 */
export function whyNotChange(
  { plan }: Pick<Reviewed, 'plan'>,
  exerciseIndex: number,
  change: Change,
  capPercentLop: number | null,
): string | null {
  const exercise = plan.exercises[exerciseIndex];
  const percent = Math.max(
    0,
    ...(exercise ? measuredLimbs(exercise).map(({ percentLop }) => percentLop) : []),
  );
  const next = percent + (change.pressurePoints ?? 0);
  const most = mostPercentLop(exercise?.mode ?? 'resistance');
  if (next > most) return `${next} % of LOP is above ${most} % (PRS-3).`;
  if (capPercentLop !== null && next > capPercentLop)
    return `${next} % is above the ${capPercentLop} % that is cleared (SCR-2).`;
  const low = LIMITS.exercisePercentLop.gradedStartArmLow;
  if (change.pressurePoints && next < low) return `${next} % of LOP is below ${low} % (PRS-3).`;
  const heavy = exercise?.load.kind === 'weighed' ? exercise.load.truePercent : 0;
  if (change.loadSteps === 1 && heavy >= LIMITS.percentOneRepMax.usualHigh) {
    return `The load is at ${heavy} % of 1RM already (LOAD-3).`;
  }
  return null;
}

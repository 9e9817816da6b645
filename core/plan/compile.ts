import { primingMs } from '../pressure/priming';
import { pacedReps } from '../protocol/set-work';
import type { Limb } from '../quantity/limb';
import { RULES } from '../rules/catalogue';
import type { Plan, PlannedExercise } from './plan';
import { plannedKg } from './planned-load';
import { type PlannedSet, plannedMmHg } from './planned-set';
import { type SetPlace, setOrder } from './set-order';
import { isCuffed, type LimbTarget, primingCycles, primingIn } from './target';
import type { Inflation, Lane, Timeline, TimelineSet } from './timeline';

/** Time from inflating to the first repetition: settle the pressure and get set (rule PRS-5). */
const SETTLE_MS = RULES['PRS-5'].figures.plannedMs;

/** A cycle begins as the cuff comes up: nothing is settled (rule PRS-9). */
const settleMs = ({ mode }: PlannedExercise): number => (mode === 'preparation' ? 0 : SETTLE_MS);

/**
 * The timeline a plan will follow when all is on time.
 * A cuff goes up before an exercise, settles, and comes down where a set says so, at the end, and wherever the next
 * set is done by other limbs.
 * @param order the sets it goes through; all of them, or those that are left
 * @returns times in ms from the start; planned pressures and repetitions
 */
export function compile(plan: Plan, order: readonly SetPlace[] = setOrder(plan)): Timeline {
  const cuffs = new Map<Limb, Cuff>();
  const sets: TimelineSet[] = [];
  let clockMs = 0;
  order.forEach(({ exerciseIndex, setIndex }, place) => {
    const exercise = plan.exercises[exerciseIndex];
    const set = exercise?.sets[setIndex];
    if (!exercise || !set) throw new RangeError(`The plan has no set ${exerciseIndex}.${setIndex}.`);
    const limbs = exercise.limbs.map((target) => cuffOf(cuffs, target));
    const goesUp = limbs.some((cuff) => !cuff.isUp());
    if (setIndex === 0 && goesUp) {
      prime(exercise, limbs, clockMs);
      clockMs += primingMs(primingCycles(exercise), primingIn(exercise));
      inflateAll(exercise, set, limbs, clockMs);
      clockMs += settleMs(exercise);
    } else {
      const leadMs = goesUp ? exercise.reinflateLeadMs : 0;
      inflateAll(exercise, set, limbs, Math.max(sets.at(-1)?.toMs ?? 0, clockMs - leadMs));
    }
    const fromMs = clockMs;
    const toMs = fromMs + set.lastsMs;
    sets.push({
      exerciseIndex,
      setIndex,
      limbs: exercise.limbs.map(({ limb }) => limb),
      fromMs,
      toMs,
      reps: pacedReps(set.work) ?? 0,
      plannedReps: pacedReps(set.work),
      loadKg: plannedKg(exercise.load),
      tempo: exercise.tempo,
    });
    clockMs = toMs + set.restMs;
    const next = plan.exercises[order[place + 1]?.exerciseIndex ?? Number.NaN];
    for (const [limb, cuff] of cuffs) {
      if (set.release || !usesLimb(next, limb)) cuff.release(toMs);
    }
  });
  return {
    lanes: [...cuffs.values()].map(({ lane }) => lane),
    sets,
    endMs: sets.at(-1)?.toMs ?? 0,
  };
}

const usesLimb = (exercise: PlannedExercise | undefined, limb: Limb): boolean =>
  exercise?.limbs.some((target) => target.limb === limb) ?? false;

function inflateAll(exercise: PlannedExercise, set: PlannedSet, cuffs: readonly Cuff[], atMs: number): void {
  for (const [place, target] of exercise.limbs.entries())
    cuffs[place]?.inflate(atMs, occlusionOf(target), plannedStep(target, set));
}

function prime(exercise: PlannedExercise, cuffs: readonly Cuff[], startMs: number): void {
  exercise.limbs.forEach((target, place) => {
    const cycles: readonly (number | null)[] = isCuffed(target)
      ? target.primingMmHg
      : (target.primingMarks ?? []).map(() => null);
    const priming = primingIn(exercise);
    cycles.forEach((pressureMmHg, cycle) => {
      const fromMs = startMs + primingMs(cycle, priming);
      cuffs[place]?.inflate(fromMs, occlusionOf(target), pressureMmHg);
      cuffs[place]?.release(fromMs + priming.onMs);
    });
  });
}

/** A planned pressure in mmHg; null under a strap, which has none. */
const plannedStep = (target: LimbTarget, set: PlannedSet): number | null =>
  isCuffed(target) ? plannedMmHg(target, set) : null;

/** Null where it is not known: under a strap, or an arbitrary pressure. */
const occlusionOf = (target: LimbTarget): number | null =>
  target.kind === 'measured' ? target.occlusion.value : null;

type Cuff = ReturnType<typeof newCuff>;

function cuffOf(cuffs: Map<Limb, Cuff>, target: LimbTarget): Cuff {
  const cuff = cuffs.get(target.limb) ?? newCuff(target);
  cuffs.set(target.limb, cuff);
  return cuff;
}

/** A cuff as it goes up and down along the lane of its limb. */
function newCuff(target: LimbTarget) {
  const lane: Lane = { limb: target.limb, inflations: [] };
  let open: Inflation | null = null;
  return {
    lane,
    isUp: () => open !== null,
    inflate: (atMs: number, occlusionMmHg: number | null, pressureMmHg: number | null) => {
      if (!open) {
        open = { fromMs: atMs, toMs: atMs, occlusionMmHg, steps: [{ atMs, pressureMmHg }] };
        lane.inflations.push(open);
      } else if (open.steps.at(-1)?.pressureMmHg !== pressureMmHg) {
        open.steps.push({ atMs, pressureMmHg });
      }
    },
    release: (atMs: number) => {
      if (open) open.toMs = atMs;
      open = null;
    },
  };
}

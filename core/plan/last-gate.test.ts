import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { englishOf } from '#language/english-of.fixture';
import { anyPlan } from '../session/decide/wide.fixture';
import { setsAtShare } from './figures';
import { pastBounds } from './last-gate';
import type { Plan, PlannedExercise } from './plan';
import { testPlan } from './plan.fixture';
import type { PlannedSet } from './planned-set';
import type { LimbTarget } from './target';

const found = (signed: Plan, today: Plan) => pastBounds(signed, today).map(({ message }) => message);

const onFirst = (plan: Plan, change: (exercise: PlannedExercise) => PlannedExercise): Plan => ({
  ...plan,
  exercises: plan.exercises.map((exercise, place) => (place === 0 ? change(exercise) : exercise)),
});
const limbs = (change: (target: LimbTarget) => LimbTarget) => (exercise: PlannedExercise) => ({
  ...exercise,
  limbs: exercise.limbs.map(change),
});
const sets = (change: (set: PlannedSet) => PlannedSet) => (exercise: PlannedExercise) => ({
  ...exercise,
  sets: exercise.sets.map(change),
});

const heavier = (load: PlannedExercise['load']): PlannedExercise['load'] =>
  load.kind === 'weighed' ? { ...load, load: { ...load.load, value: load.load.value + 2.5 } } : load;

/** Ways to make a plan more than it was, each on what it fits. */
const MORE: Record<string, (exercise: PlannedExercise) => PlannedExercise> = {
  'a larger share': limbs((target) =>
    target.kind === 'measured' ? { ...target, percentLop: target.percentLop + 1 } : target,
  ),
  'a higher pressure': limbs((target) =>
    target.kind === 'by-feel'
      ? target
      : { ...target, pressure: { ...target.pressure, value: target.pressure.value + 10 } },
  ),
  'a tighter mark': limbs((target) =>
    target.kind === 'by-feel' ? { ...target, mark: target.mark + 1 } : target,
  ),
  'a priming cycle above the target': limbs((target) =>
    target.kind === 'by-feel' ? target : { ...target, primingMmHg: [target.pressure.value + 10] },
  ),
  'more kilograms': (exercise) => ({
    ...exercise,
    load: heavier(exercise.load),
  }),
  'other resistance': (exercise) => ({
    ...exercise,
    load: exercise.load.kind === 'unweighed' ? { ...exercise.load, with: 'red band' } : exercise.load,
  }),
  'another set': (exercise) => ({ ...exercise, sets: [...exercise.sets, ...exercise.sets.slice(-1)] }),
  'more of a set': sets((set) => {
    const { work } = set;
    if (work.kind === 'timed') return { ...set, work: { ...work, workMs: work.workMs + 1 } };
    if (work.kind === 'reps') return { ...set, work: { ...work, reps: work.reps + 1 } };
    return { ...set, work: { ...work, pacedTo: work.pacedTo + 1 } };
  }),
  'a shorter rest': sets((set) => ({ ...set, restMs: set.restMs - 1_000 })),
  'a larger share of the target': sets((set) => ({ ...set, ofTarget: (set.ofTarget ?? 100) + 1 })),
  'a limb that was not signed': (exercise) => ({
    ...exercise,
    limbs: exercise.limbs.map((target, place) =>
      place === 0
        ? ({ ...target, limb: target.limb === 'left-arm' ? 'right-arm' : 'left-arm' } as LimbTarget)
        : target,
    ),
  }),
  'another exercise': (exercise) => ({
    ...exercise,
    exerciseId: 'unknown' as PlannedExercise['exerciseId'],
  }),
  'another position': (exercise) => ({
    ...exercise,
    position: exercise.position === 'lying' ? 'sitting' : 'lying',
  }),
};

const fewerSets = (plan: Plan, count: (sets: number) => number): Plan => ({
  ...plan,
  exercises: plan.exercises.map((exercise) => {
    const last = exercise.sets.at(-1);
    const kept = exercise.sets.slice(0, count(exercise.sets.length));
    return {
      ...exercise,
      sets: kept.map((set, place) =>
        last && place === kept.length - 1 ? { ...set, restMs: last.restMs, release: last.release } : set,
      ),
    };
  }),
});

describe('the last gate (START-5)', () => {
  it('finds nothing of what was signed, nor of less of it', () => {
    fc.assert(
      fc.property(anyPlan, fc.double({ min: 0.1, max: 1, noNaN: true }), (plan, share) => {
        expect(found(plan, plan)).toEqual([]);
        expect(
          found(
            plan,
            fewerSets(plan, (sets) => setsAtShare(sets, 100 * share)),
          ),
        ).toEqual([]);
        expect(
          found(
            plan,
            fewerSets(plan, (sets) => Math.max(1, sets - 1)),
          ),
        ).toEqual([]);
        const softer = onFirst(
          plan,
          limbs((target) =>
            target.kind === 'measured'
              ? {
                  ...target,
                  percentLop: target.percentLop - 10,
                  pressure: { ...target.pressure, value: target.pressure.value - 20 },
                  primingMmHg: [],
                }
              : target,
          ),
        );
        expect(found(plan, softer)).toEqual([]);
      }),
    );
  });

  it.each(Object.entries(MORE))('finds %s, whatever the plan', (_, more) => {
    fc.assert(
      fc.property(anyPlan, (plan) => {
        const today = onFirst(plan, more);
        fc.pre(JSON.stringify(today) !== JSON.stringify(plan));
        // The rest after the last set belongs to what comes after it.
        fc.pre(plan.exercises[0]?.sets.length !== 1 || more !== MORE['a shorter rest']);
        const findings = pastBounds(plan, today);
        expect(findings.length).toBeGreaterThan(0);
        expect(new Set(findings.map(({ level, rule }) => `${rule} ${level}`))).toEqual(
          new Set(['START-5 hard']),
        );
      }),
      { numRuns: 40 },
    );
  });

  it('goes by the share where the LOP is another, and says both figures', () => {
    const { plan } = testPlan();
    const higher = onFirst(
      plan,
      limbs((target) =>
        target.kind === 'measured'
          ? {
              ...target,
              occlusion: { ...target.occlusion, value: 191 },
              pressure: { ...target.pressure, value: 114 },
            }
          : target,
      ),
    );
    expect(found(plan, higher)).toEqual([]);
    const past = onFirst(
      higher,
      limbs((target) =>
        target.kind === 'measured' ? { ...target, pressure: { ...target.pressure, value: 120 } } : target,
      ),
    );
    expect(englishOf(found(plan, past))).toEqual([
      'Knee extension, left thigh: 120 mmHg, and 60 % of 191 was signed.',
    ]);
  });

  it('finds an exercise that was added', () => {
    const { plan } = testPlan();
    expect(englishOf(found(plan, { ...plan, exercises: [...plan.exercises, ...plan.exercises] }))).toEqual([
      'Knee extension was not signed.',
    ]);
  });
});

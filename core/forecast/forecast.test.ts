import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { testPlan } from '../plan/plan.fixture';
import { foldAll as fold, logOf, WHOLE_SESSION } from '../session/session.fixture';
import { fatigueAfterRest, freshReps, modelOf, runExercise } from './fatigue-model';
import { atLeast, fitTrainee, type SeenExercise } from './fit-trainee';
import { forecast, knowledgeWords } from './forecast';
import { seenSets } from './seen-sets';

const usual = { endurance: 1, recovery: 1 };
const same = () => 1;
const { plan } = testPlan();
const model = modelOf(plan.exercises[0] as (typeof plan.exercises)[number]);
if (!model) throw new Error('The test plan has a load.');
const ask = (over = plan, seen: SeenExercise[] = [], seed = 7) =>
  forecast({ plan: over, seen, runs: 2000, seed });

describe('the fatigue model', () => {
  it('follows its equations, as worked by hand', () => {
    // 30 × (1/0.25 − 1) = 90, × e^(−0.9 × 0.6) = 52.4
    expect(freshReps(0.25, 0.6)).toBeCloseTo(52.45, 1);
    expect(fatigueAfterRest(0.8, { restMs: 60_000, restingShare: 0 }, 1)).toBeCloseTo(0.8 / Math.E, 6);
    expect(fatigueAfterRest(0.8, { restMs: 60_000, restingShare: 1 }, 1)).toBeCloseTo(
      0.8 * Math.exp(-0.25),
      6,
    );
  });

  it('has a usual person end a standard 75 in its last set', () => {
    const [first, second, third, last = 0] = runExercise(model, usual, same);
    expect([first, second, third]).toEqual([30, 15, 15]);
    expect(last).toBeGreaterThan(4);
    expect(last).toBeLessThan(15);
  });

  it('tires more with load, pressure and shorter rest, and less with a release', () => {
    const total = (changes: Parameters<typeof testPlan>[0]) => {
      const [exercise] = testPlan(changes).plan.exercises;
      const asked = exercise && modelOf(exercise);
      return asked ? runExercise(asked, usual, same).reduce((a, b) => a + b, 0) : Number.NaN;
    };
    const step = fc.record({
      percentLop: fc.integer({ min: 40, max: 74 }),
      percentOneRepMax: fc.constantFrom(20, 25, 30, 35),
      restMs: fc.integer({ min: 15, max: 90 }).map((s) => s * 1000),
    });
    fc.assert(
      fc.property(step, (choices) => {
        const here = total(choices) + 1e-9;
        expect(total({ ...choices, percentLop: choices.percentLop + 6 })).toBeLessThanOrEqual(here);
        expect(total({ ...choices, percentOneRepMax: choices.percentOneRepMax + 12.5 })).toBeLessThanOrEqual(
          here,
        );
        expect(total({ ...choices, restMs: choices.restMs - 10_000 })).toBeLessThanOrEqual(here);
      }),
    );
    expect(total({ protocolId: 'release-75' })).toBeGreaterThan(total({}));
  });

  it('says nothing without a 1RM or by the clock', () => {
    const [exercise] = plan.exercises;
    expect(
      exercise && modelOf({ ...exercise, load: { kind: 'unweighed', recipe: 'body weight' } }),
    ).toBeNull();
    const timed =
      exercise?.sets.map((set) => ({ ...set, work: { kind: 'timed', workMs: 60_000 } }) as const) ?? [];
    expect(exercise && modelOf({ ...exercise, sets: timed })).toBeNull();
  });
});

describe('the forecast', () => {
  it('gives the same answer to the same question, and another to another seed', () => {
    expect(ask()).toEqual(ask());
    expect(ask(plan, [], 8)).not.toEqual(ask());
  });

  it('falls with load, pressure and shorter rest for the same people', () => {
    const chance = (changes: Parameters<typeof testPlan>[0]) =>
      ask(testPlan(changes).plan)?.chance ?? Number.NaN;
    const here = chance({});
    expect(chance({ percentLop: 75 })).toBeLessThan(here);
    expect(chance({ percentOneRepMax: 32 })).toBeLessThan(here);
    expect(chance({ restMs: 15_000 })).toBeLessThan(here);
    expect(chance({ restMs: 60_000 })).toBeGreaterThan(here);
  });

  it('keeps its bands in order and within the plan', () => {
    for (const { lowReps, likelyReps, highReps, plannedReps, chance } of ask()?.sets ?? []) {
      expect(lowReps).toBeLessThanOrEqual(likelyReps);
      expect(likelyReps).toBeLessThanOrEqual(highReps);
      expect(highReps).toBeLessThanOrEqual(plannedReps);
      expect(chance).toBeGreaterThanOrEqual(0);
    }
    expect(ask()?.sets).toHaveLength(4);
  });

  it('is narrower once sets of the person are known', () => {
    const width = (seen: SeenExercise[]) => {
      const last = ask(plan, seen)?.sets.at(-1);
      return (last?.highReps ?? 0) - (last?.lowReps ?? 0);
    };
    const seen = Array.from({ length: 3 }, () =>
      seenSets({ plan, state: fold(plan, logOf(WHOLE_SESSION)) }),
    ).flat();
    expect(seen[0]?.done.map(({ reps }) => reps)).toEqual([30, 15, 15, 13]);
    expect(width(seen)).toBeLessThan(width([]));
    expect(ask(plan, seen)?.setsSeen).toBe(12);
    expect(knowledgeWords(0)).toMatch(/^No logged set/);
    expect(knowledgeWords(1)).toContain('1 logged set ');
  });
});

describe('fitting a person (grid posterior)', () => {
  const meanEndurance = (seen: SeenExercise[]) => {
    const { trainees, weights } = fitTrainee(seen);
    return trainees.reduce((sum, { endurance }, i) => sum + endurance * (weights[i] ?? 0), 0);
  };

  it('finds back, within its spread, the endurance that made the sets', () => {
    for (const endurance of [0.6, 1, 1.5]) {
      const reps = runExercise(model, { endurance, recovery: 1 }, same);
      const done = reps.map((count, i) => ({
        reps: count,
        failed: count < (model.sets[i]?.plannedReps ?? 0),
      }));
      const seen = Array.from({ length: 4 }, () => ({ model, done }));
      const found = meanEndurance(seen);
      if (done.some(({ failed }) => failed)) expect(Math.abs(Math.log(found / endurance))).toBeLessThan(0.2);
      else expect(found).toBeGreaterThan(meanEndurance([]));
    }
  });

  it('ends where a set was stopped by somebody', () => {
    const stopped = logOf(
      WHOLE_SESSION.map(([s, body]) =>
        body.type === 'set-ended' && body.setIndex === 1
          ? [s, { ...body, reason: 'operator' as const }]
          : [s, body],
      ),
    );
    expect(seenSets({ plan, state: fold(plan, stopped) })[0]?.done).toHaveLength(1);
  });

  it('knows the tail of the normal distribution', () => {
    expect(atLeast(0)).toBeCloseTo(0.5, 6);
    expect(atLeast(1.959964)).toBeCloseTo(0.025, 6);
    expect(atLeast(-1)).toBeCloseTo(0.841345, 5);
  });
});

import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { englishOf } from '#language/english-of.fixture';
import type { SetChoice } from '../plan/choices';
import { compile } from '../plan/compile';
import { composeSession } from '../plan/compose';
import type { Plan } from '../plan/plan';
import { testBasis, testExercise, testPlan, testStrength } from '../plan/plan.fixture';
import type { EventBody } from '../session/events';
import { foldAll as fold, logOf, WHOLE_SESSION } from '../session/session.fixture';
import { type Bout, boutsOf } from './bouts';
import { boutsFromHere } from './bouts-from-here';
import { doneBouts } from './done-bouts';
import { FRESH, freshReps, recovered, recoveryOver, roomLeft, worked } from './fatigue-model';
import { atLeast, fitTrainee } from './fit-trainee';
import { forecast, knowledgeWords } from './forecast';
import { boutRunner, type RunBouts } from './run-bouts';

const usual = () => ({ endurance: 1, recovery: 1 });
const runBouts = (bouts: readonly Bout[], ...how: Parameters<RunBouts>) => boutRunner(bouts)(...how);
const basis = testBasis({
  strengthTests: [testStrength(), testStrength({ id: 'test-right', side: 'right' })],
});
const { plan } = testPlan();
const planned = (over: Plan) => boutsOf(over, compile(over), basis.library);
const ask = (over = plan, past: Bout[][] = [], seed = 7) =>
  forecast({ bouts: planned(over), past, runs: 2000, seed });
const possibleIn = (bouts: Bout[]) => runBouts(bouts, usual).map(({ possible }) => possible);

/** A plan of exercises on the left thigh, as changed one by one. */
const planOf = (...exercises: Parameters<typeof testExercise>[]) =>
  composeSession(
    { goal: 'size', schoolId: 'research-consensus', exercises: exercises.map((one) => testExercise(...one)) },
    basis,
  ).plan;

/** The usual person of practice.md 10: 30 % of 1RM (12 of 40 kg), 60 % of LOP, 2 s a repetition. */
const usualPlan: Plan = {
  ...plan,
  exercises: plan.exercises.map((exercise) => ({
    ...exercise,
    load:
      exercise.load.kind === 'weighed'
        ? { ...exercise.load, load: { ...exercise.load.load, value: 12 } }
        : exercise.load,
  })),
};

describe('the fatigue model', () => {
  it('follows its equations, as worked by hand', () => {
    // 8.6 × 0.3^−1.4 (5.395) × e^(−0.36) (0.6977) = 32.37; at 4 s a repetition × √½ = 22.89
    expect(freshReps(0.3, 0.6, 2000)).toBeCloseTo(32.37, 1);
    expect(freshReps(0.3, 0.6, 4000)).toBeCloseTo(22.89, 1);
    // 30 s at 60 % of LOP: fast e^(−30/32) = 0.3916, slow e^(−30/800) = 0.9632
    const rested = recovered(worked(FRESH, 0.5), recoveryOver([{ ms: 30_000, share: 0.6 }]), 1);
    expect(rested.fast).toBeCloseTo(0.3 * 0.3916, 4);
    expect(rested.slow).toBeCloseTo(0.2 * 0.9632, 4);
    expect(roomLeft(worked(rested, 2))).toBeCloseTo(0, 9);
  });

  it('has a usual person do about 30/14/10/8 of a standard 75, falling without a plateau', () => {
    const done = runBouts(planned(usualPlan), usual).map(({ done: reps }) => reps);
    expect(done.map(Math.round)).toEqual([30, 14, 10, 8]);
  });

  it('tires more with load, pressure, slower repetitions and shorter rest, and less with a release', () => {
    const total = (changes: Parameters<typeof testPlan>[0]) =>
      runBouts(planned(testPlan(changes).plan), usual).reduce((sum, { done }) => sum + done, 0);
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
        expect(total({ ...choices, tempoId: '2-0-2' })).toBeLessThanOrEqual(here);
      }),
    );
    expect(total({ protocolId: 'release-75' })).toBeGreaterThan(total({}));
  });

  it('carries fatigue over to the next exercise of the same muscle and limb, and to no other', () => {
    const firstOfSecond = (second: Parameters<typeof testExercise>) => {
      const runs = runBouts(planned(planOf([{ percentOneRepMax: 30 }], second)), usual);
      return runs[4]?.possible ?? Number.NaN;
    };
    const fresh = possibleIn(planned(planOf([{ percentOneRepMax: 30 }])))[0] ?? Number.NaN;
    expect(firstOfSecond([{ percentOneRepMax: 30 }])).toBeLessThan(0.7 * fresh);
    expect(firstOfSecond([{ limb: 'right-thigh', percentOneRepMax: 30 }])).toBeCloseTo(fresh, 6);
  });

  it('says nothing of work without a 1RM, by the clock or under a strap', () => {
    const unweighed = planOf([{}, { load: { kind: 'unweighed', with: 'body weight' } }], [{}]);
    expect(planned(unweighed).map(({ exerciseIndex }) => exerciseIndex)).toEqual([1, 1, 1, 1]);
    const timed: SetChoice = { work: { kind: 'timed', workMs: 60_000 }, restMs: 30_000, release: false };
    expect(planned(planOf([{}, { sets: [timed, timed] }]))).toEqual([]);
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
    const sets = ask()?.sets ?? [];
    expect(sets).toHaveLength(4);
    for (const { lowReps, likelyReps, highReps, plannedReps } of sets) {
      expect(lowReps).toBeLessThanOrEqual(likelyReps);
      expect(likelyReps).toBeLessThanOrEqual(highReps);
      expect(highReps).toBeLessThanOrEqual(plannedReps ?? Number.NaN);
    }
  });

  it('says what would be left: nothing where half the runs fall short, more with a lighter load', () => {
    const left = (changes: Parameters<typeof testPlan>[0]) =>
      (ask(testPlan(changes).plan)?.sets ?? []).map(({ likelyLeft }) => likelyLeft ?? Number.NaN);
    for (const { likelyLeft, chance } of ask()?.sets ?? []) {
      expect(likelyLeft).toBeGreaterThanOrEqual(0);
      if ((chance ?? 1) < 0.5) expect(likelyLeft).toBe(0);
    }
    const [here, light] = [left({}), left({ percentOneRepMax: 15 })];
    expect(here.every((reps, place) => (light[place] ?? 0) >= reps)).toBe(true);
    expect(light[0]).toBeGreaterThan(here[0] ?? Number.NaN);
  });

  it('has no "all" of a set to failure, and does not stop it where the pace stops', () => {
    const light = planOf([{ protocolId: 'fail-book-ends', percentOneRepMax: 20 }]);
    const paced = compile(light).sets[0]?.plannedReps ?? Number.NaN;
    const [first, second] = ask(light)?.sets ?? [];
    expect(first).toMatchObject({ plannedReps: null, chance: null, likelyLeft: null });
    expect(first?.highReps).toBeGreaterThan(paced);
    expect(second).toMatchObject({ plannedReps: 15 });
    const work = { kind: 'to-failure', pacedTo: 30 } as const;
    const onlyFailure = planOf([{}, { sets: [{ work, restMs: 30_000, release: false }] }]);
    expect(ask(onlyFailure)?.chance).toBeNull();
  });

  it('goes with the weaker of two limbs', () => {
    const bouts = planned(plan).map((bout) => ({
      ...bout,
      muscles: bout.muscles.flatMap((one) => [one, { ...one, limb: 'right-thigh' as const }]),
    }));
    const weakRight = (limb: string) => ({ endurance: limb === 'right-thigh' ? 0.5 : 1, recovery: 1 });
    const first = (of: typeof bouts) => runBouts(of, weakRight)[0]?.possible ?? 0;
    expect(first(bouts)).toBeCloseTo(0.5 * first(planned(plan)), 6);
  });

  it('is narrower once sets of the limb are known, and learns nothing from the other limb', () => {
    const width = (past: Bout[][]) => {
      const last = ask(plan, past)?.sets.at(-1);
      return (last?.highReps ?? 0) - (last?.lowReps ?? 0);
    };
    const one = doneBouts({ plan, state: fold(plan, logOf(WHOLE_SESSION)) }, basis.library);
    expect(one.map(({ done }) => done?.reps)).toEqual([30, 15, 15, 13]);
    const past = [one, one, one];
    expect(width(past)).toBeLessThan(width([]));
    expect(ask(plan, past)?.seen).toEqual([{ limb: 'left-thigh', sets: 12 }]);
    const ofRight = past.map((bouts) =>
      bouts.map((bout) => ({
        ...bout,
        muscles: bout.muscles.map((muscle) => ({ ...muscle, limb: 'right-thigh' as const })),
      })),
    );
    expect(ask(plan, ofRight)).toEqual(ask());
    expect(englishOf(knowledgeWords([{ limb: 'left-thigh', sets: 0 }]))).toMatch(
      /^No logged set of the left thigh/,
    );
    expect(englishOf(knowledgeWords([{ limb: 'left-thigh', sets: 1 }]))).toBe(
      'Fitted to 1 logged set of the left thigh.',
    );
  });
});

describe('what was really done', () => {
  const stateOf = (entries: readonly (readonly [number, EventBody])[]) => fold(plan, logOf(entries));

  it('goes by the pressure held, the load lifted and the rest taken', () => {
    const lighter = WHOLE_SESSION.map(([s, body]): [number, EventBody] =>
      body.type === 'pressure-read' ? [s, { ...body, pressureMmHg: 40 }] : [s, body],
    );
    const held = doneBouts({ plan, state: stateOf(WHOLE_SESSION) }, basis.library);
    const low = doneBouts({ plan, state: stateOf(lighter) }, basis.library);
    // 100 against 40 of 174 mmHg: e^(0.6 × 60/174)
    const ratio = (low[1]?.muscles[0]?.freshReps ?? 0) / (held[1]?.muscles[0]?.freshReps ?? 1);
    expect(ratio).toBeCloseTo(Math.exp((0.6 * 60) / 174), 3);
    const late = WHOLE_SESSION.map(([s, body]): [number, EventBody] => [s > 110 ? s + 60 : s, body]);
    const slow = (entries: readonly (readonly [number, EventBody])[]) =>
      doneBouts({ plan, state: stateOf(entries) }, basis.library)[1]?.muscles[0]?.sinceLast?.slow ?? 0;
    expect(slow(late)).toBeCloseTo(3 * slow(WHOLE_SESSION), 6);
  });

  it('takes a set that a person stopped for "at least as many"', () => {
    const stopped = WHOLE_SESSION.map(([s, body]): [number, EventBody] =>
      body.type === 'set-ended' && body.setIndex === 1
        ? [s, { ...body, reps: 8, reason: 'operator' }]
        : [s, body],
    );
    const [, second] = doneBouts({ plan, state: stateOf(stopped) }, basis.library);
    expect(second?.done).toEqual({ reps: 8, failed: false });
  });

  it('forecasts from here with what was lightened, and from the sets already done', () => {
    const failed = WHOLE_SESSION.slice(0, 5).map(([s, body]): [number, EventBody] =>
      body.type === 'set-ended' ? [s, { ...body, reps: 20, reason: 'failure' }] : [s, body],
    );
    const from = (more: readonly (readonly [number, EventBody])[]) =>
      boutsFromHere({ plan, state: stateOf([...failed, ...more]) }, basis.library);
    const bouts = from([]);
    expect(bouts.map(({ done }) => done?.reps ?? null)).toEqual([20, null, null, null]);
    // The rest begins at the end of the set: 30 s at 100 of 174 mmHg.
    expect(bouts[1]?.muscles[0]?.sinceLast?.fast).toBeCloseTo(30 / (20 * (1 + 100 / 174)), 6);
    const lightened = from([
      [
        86,
        {
          type: 'offer-answered',
          exerciseIndex: 0,
          setIndex: 0,
          offer: { kind: 'lighten', loadKg: 5, recipe: '' },
          accepted: true,
          reason: '',
        },
      ],
    ]);
    expect(possibleIn(lightened)[1]).toBeGreaterThan(possibleIn(bouts)[1] ?? Number.NaN);
    const loosened = from([[86, { type: 'loosened', limb: 'left-thigh', byMmHg: 20 }]]);
    const ratio = (loosened[2]?.muscles[0]?.freshReps ?? 0) / (bouts[2]?.muscles[0]?.freshReps ?? 1);
    expect(ratio).toBeCloseTo(Math.exp((0.6 * 20) / 174), 6);
    const asked = forecast({ bouts, past: [], runs: 2000, seed: 7 });
    expect(asked?.sets.map(({ setIndex }) => setIndex)).toEqual([1, 2, 3]);
    expect(asked?.sets[0]?.likelyReps).toBeLessThan(ask()?.sets[1]?.likelyReps ?? 0);
    expect(asked?.seen).toEqual([{ limb: 'left-thigh', sets: 1 }]);
  });
});

describe('fitting a limb (grid posterior)', () => {
  const meanEndurance = (past: Bout[][]) => {
    const { trainees, weights } = fitTrainee(past, 'left-thigh');
    return trainees.reduce((sum, { endurance }, i) => sum + endurance * (weights[i] ?? 0), 0);
  };

  it('finds back, within its spread, the endurance that made the sets', () => {
    for (const endurance of [0.6, 1, 1.5]) {
      const bouts = planned(usualPlan);
      const runs = runBouts(bouts, () => ({ endurance, recovery: 1 }));
      const seen = bouts.map((bout, place) => {
        const reps = runs[place]?.done ?? 0;
        return { ...bout, done: { reps, failed: reps < (bout.plannedReps ?? 0) } };
      });
      const found = meanEndurance([seen, seen, seen, seen]);
      expect(Math.abs(Math.log(found / endurance))).toBeLessThan(0.2);
    }
  });

  it('knows the tail of the normal distribution', () => {
    expect(atLeast(0)).toBeCloseTo(0.5, 6);
    expect(atLeast(1.959964)).toBeCloseTo(0.025, 6);
    expect(atLeast(-1)).toBeCloseTo(0.841345, 5);
  });
});

describe('a live session of two exercises and both thighs', () => {
  const right = { kind: 'measured', limb: 'right-thigh', occlusionId: 'lop-right', percentLop: 60 } as const;
  const pair = testExercise({ percentOneRepMax: 20 });
  const { plan: two } = composeSession(
    {
      goal: 'size',
      schoolId: 'research-consensus',
      exercises: [
        testExercise({ percentOneRepMax: 20 }),
        {
          ...pair,
          limbs: [...pair.limbs, right],
          load: { kind: 'weighed', strengthTestId: 'both', weightKitId: 'stack', percentOneRepMax: 20 },
        },
      ],
    },
    testBasis({ strengthTests: [testStrength(), testStrength({ id: 'both', side: 'both' })] }),
  );
  const sofar = (entries: readonly (readonly [number, EventBody])[]) =>
    boutsFromHere({ plan: two, state: fold(two, logOf(entries)) }, basis.library);

  it('before it begins is what was planned', () => {
    expect(sofar([])).toEqual(planned(two));
    expect(sofar([[0, { type: 'session-started' }]])).toEqual(planned(two));
  });

  it('goes on from a set under way, in the places of the plan, and rests each limb by its own cuff', () => {
    const log = WHOLE_SESSION.slice(0, 8);
    const bouts = sofar(log);
    expect(bouts.map(({ exerciseIndex, setIndex, done }) => [exerciseIndex, setIndex, done?.reps])).toEqual([
      [0, 0, 30],
      [0, 1, undefined],
      [0, 2, undefined],
      [0, 3, undefined],
      [1, 0, undefined],
      [1, 1, undefined],
      [1, 2, undefined],
      [1, 3, undefined],
    ]);
    // The set under way began 30 s after the first ended, under 100 of 174 mmHg.
    const slowed = 1 + 100 / 174;
    expect(bouts[1]?.muscles[0]?.sinceLast?.slow).toBeCloseTo(30 / (500 * slowed), 6);
    // Between the exercises: 60 s of free flow, then 20 s of settling at 104 mmHg; the right thigh has not worked yet.
    const [left, fresh] = bouts[4]?.muscles ?? [];
    expect(left?.sinceLast?.slow).toBeCloseTo(60 / 500 + 20 / (500 * (1 + 104 / 174)), 3);
    expect([fresh?.limb, fresh?.sinceLast]).toEqual(['right-thigh', null]);
    expect(bouts[5]?.muscles[1]?.sinceLast).not.toBeNull();
  });

  it('knows nothing of sets that were not begun, and a set done short as failed', () => {
    expect(doneBouts({ plan: two, state: fold(two, logOf([])) }, basis.library)).toEqual([]);
    const short = WHOLE_SESSION.slice(0, 5).map(([s, body]): [number, EventBody] =>
      body.type === 'set-ended' ? [s, { ...body, reps: 24, reason: 'done' }] : [s, body],
    );
    const of = (entries: readonly (readonly [number, EventBody])[]) =>
      doneBouts({ plan: two, state: fold(two, logOf(entries)) }, basis.library).map(({ done }) => done);
    expect(of(short)).toEqual([{ reps: 24, failed: true }]);
    expect(of(WHOLE_SESSION.slice(0, 5))).toEqual([{ reps: 30, failed: false }]);
    expect(of(WHOLE_SESSION.slice(0, 8))).toHaveLength(1);
  });

  it('gives chances between never and always, of what is ahead alone', () => {
    const asked = forecast({ bouts: sofar(WHOLE_SESSION.slice(0, 8)), past: [], runs: 500, seed: 3 });
    expect(asked?.sets).toHaveLength(7);
    expect(asked?.seen).toEqual([
      { limb: 'left-thigh', sets: 1 },
      { limb: 'right-thigh', sets: 0 },
    ]);
    const [next] = asked?.sets ?? [];
    for (const { chance } of asked?.sets ?? []) {
      expect(chance).toBeGreaterThanOrEqual(0);
      expect(chance).toBeLessThanOrEqual(next?.chance ?? 0);
    }
    expect(asked?.chance).toBeLessThanOrEqual(asked?.sets.at(-1)?.chance ?? 0);
    expect(englishOf(knowledgeWords(asked?.seen ?? []))).toBe(
      'Fitted to 1 logged set of the left thigh. No logged set of the right thigh: there the band is that of people in general, and wide.',
    );
    const done = sofar(WHOLE_SESSION).filter((bout) => bout.done);
    expect(forecast({ bouts: done, past: [], runs: 500, seed: 3 })).toBeNull();
  });
});

import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { composeSession } from '../plan/compose';
import {
  type TestChoices,
  testBasis,
  testExercise,
  testPlan,
  testSession,
  weighedLoad,
  withTruePercent,
} from '../plan/plan.fixture';
import type { EventBody } from '../session/events';
import { foldAll as fold, logOf } from '../session/session.fixture';
import { signIdSchema } from '../session/signs';
import { type Change, changeWords, type Reviewed, recommend, tidyChange, whyNotChange } from './review';

/** A session with these repetitions, effort after the last set, and joint pain, under a plan changed by `choices`. */
function session(
  reps: number[],
  { effort = 7, pain = 1, signs = [] as EventBody[], choices = {} as TestChoices } = {},
): Reviewed {
  const { plan } = testPlan(choices);
  const entries: [number, EventBody][] = [[0, { type: 'session-started' }]];
  reps.forEach((done, setIndex) => {
    const place = { exerciseIndex: 0, setIndex };
    const atSeconds = 10 + 100 * setIndex;
    entries.push([atSeconds, { type: 'set-started', ...place }]);
    entries.push([atSeconds + 60, { type: 'set-ended', ...place, reps: done, reason: 'done' }]);
    entries.push([atSeconds + 62, { type: 'set-noted', ...place, effort, jointPain: pain }]);
  });
  for (const sign of signs) entries.push([900, sign]);
  return { plan, state: fold(plan, logOf(entries)) };
}
const ALL = [30, 15, 15, 15];
const review = (now: Reviewed, before: Reviewed | null = null, cap: number | null = null) =>
  recommend(now, 1, before, cap);

describe('the review (REV-1 to REV-8, first match wins)', () => {
  it('REV-1: after a stop sign, lower and never under the floor', () => {
    const signs: EventBody[] = [{ type: 'sign-noted', sign: 'dizzy' }];
    expect(review(session(ALL, { signs }))).toMatchObject({ rule: 'REV-1', change: { pressurePoints: -10 } });
    const low = session(ALL, { signs, choices: { percentLop: 45 } });
    expect(review(low).change).toEqual({ pressurePoints: -5 });
    for (const percentLop of [35, 40]) {
      expect(review(session(ALL, { signs, choices: { percentLop } })).change).toEqual({});
    }
  });

  it('REV-2: joint pain above 5, or up by more than 2; up to 3 is fine', () => {
    expect(review(session(ALL, { pain: 6 }))).toMatchObject({ rule: 'REV-2', change: { loadSteps: -1 } });
    expect(review(session(ALL, { pain: 4 })).rule).toBe('REV-2');
    expect(review(session(ALL, { pain: 3 })).rule).not.toBe('REV-2');
  });

  it('REV-3: set one not finished, lighter; at 20 % or less, lower pressure', () => {
    expect(review(session([22, 10, 8, 6]))).toMatchObject({ rule: 'REV-3', change: { loadSteps: -1 } });
    const light = session([22, 10, 8, 6], { choices: { percentOneRepMax: 20 } });
    expect(review(light)).toMatchObject({ rule: 'REV-3', change: { pressurePoints: -10 } });
  });

  it('REV-4: under 60 of 75, longer rest up to 60 s, then lighter', () => {
    expect(review(session([30, 12, 9, 6]))).toMatchObject({ rule: 'REV-4', change: { restMs: 45_000 } });
    const rested = session([30, 12, 9, 6], { choices: { restMs: 60_000 } });
    expect(review(rested)).toMatchObject({ rule: 'REV-4', change: { loadSteps: -1 } });
  });

  it('REV-5: ended in the last set, hold', () => {
    expect(review(session([30, 15, 15, 9]))).toMatchObject({ rule: 'REV-5', change: {} });
  });

  it('REV-6: effort 7–8, hold; twice running, one step up', () => {
    const firm = session(ALL, { effort: 8 });
    expect(review(firm)).toMatchObject({ rule: 'REV-6', change: {} });
    expect(review(firm, firm)).toMatchObject({ rule: 'REV-6', change: { loadSteps: 1 } });
    expect(review(firm, session(ALL, { effort: 5 })).change).toEqual({});
  });

  it('REV-7: easy, pressure up to the usual, then load', () => {
    const easy = (percentLop: number) => session(ALL, { effort: 5, choices: { percentLop } });
    expect(review(easy(50)).change).toEqual({ pressurePoints: 5 });
    expect(review(easy(58)).change).toEqual({ pressurePoints: 2 });
    expect(review(easy(60)).change).toEqual({ loadSteps: 1 });
    expect(review(easy(50), null, 50).change).toEqual({ loadSteps: 1 });
  });

  it('REV-8: at 40 % and easy twice, the heavy bridge', () => {
    const easy = session(ALL, { effort: 4, choices: { percentOneRepMax: 40, percentLop: 60 } });
    const light = { ...easy, plan: withTruePercent(easy.plan, 40) };
    expect(review(light)).toMatchObject({ rule: 'REV-8', change: {} });
    expect(review(light, light)).toMatchObject({ rule: 'REV-8', change: { heavyBridge: true } });
  });

  it('never proposes past a limit, whatever happened', () => {
    const history = fc.record({
      reps: fc.tuple(fc.nat(30), fc.nat(15), fc.nat(15), fc.nat(15)),
      effort: fc.nat(10),
      pain: fc.nat(10),
      sign: fc.option(fc.constantFrom(...signIdSchema.options)),
      percentLop: fc.integer({ min: 40, max: 80 }),
      percentOneRepMax: fc.integer({ min: 15, max: 50 }),
      cap: fc.option(fc.integer({ min: 40, max: 80 })),
    });
    fc.assert(
      fc.property(history, ({ reps, effort, pain, sign, percentLop, percentOneRepMax, cap }) => {
        const signs: EventBody[] = sign ? [{ type: 'sign-noted', sign }] : [];
        const now = session(reps, { effort, pain, signs, choices: { percentLop, percentOneRepMax } });
        const { change } = recommend(now, pain, now, cap);
        const next = percentLop + (change.pressurePoints ?? 0);
        expect(next).toBeGreaterThanOrEqual(40);
        expect(next).toBeLessThanOrEqual(80);
        if ((change.pressurePoints ?? 0) > 0) expect(next).toBeLessThanOrEqual(cap ?? 80);
        if (change.loadSteps === 1) expect(weighedLoad(now.plan).truePercent).toBeLessThan(40);
        expect(change.restMs ?? 0).toBeLessThanOrEqual(60_000);
      }),
    );
  });

  it('says a change in few words', () => {
    expect(changeWords({})).toBe('hold');
    expect(changeWords({ pressurePoints: -10 })).toBe('pressure −10 points');
    expect(changeWords({ restMs: 45_000 })).toBe('rest 45 s');
    expect(changeWords({ loadSteps: 1 })).toBe('load one step up');
  });
});

describe('an edited change, checked again', () => {
  const why = (change: Change, choices: TestChoices = {}, cap: number | null = null) =>
    whyNotChange(testPlan(choices), 0, change, cap);

  it('is refused past a limit, past a clearance, and up from the usual load', () => {
    expect(why({ pressurePoints: 5 }, { percentLop: 60 })).toBeNull();
    expect(why({ pressurePoints: 25 }, { percentLop: 60 })).toContain('PRS-3');
    expect(why({ pressurePoints: 5 }, { percentLop: 60 }, 60)).toContain('SCR-2');
    expect(why({ pressurePoints: -20 }, { percentLop: 45 })).toContain('below');
    const heavy = { plan: withTruePercent(testPlan().plan, 40) };
    expect(whyNotChange(heavy, 0, { loadSteps: 1 }, null)).toContain('LOAD-3');
    expect(why({ loadSteps: -1 }, { percentOneRepMax: 40 })).toBeNull();
  });

  it('says nothing that was left out', () => {
    expect(tidyChange({ pressurePoints: 0, loadSteps: undefined, restMs: 45_000 })).toEqual({
      restMs: 45_000,
    });
  });
});

describe('several exercises, each by itself', () => {
  it('are reviewed by their own sets', () => {
    const { plan } = composeSession(
      { ...testSession(), exercises: [testExercise({ percentLop: 50 }), testExercise({ percentLop: 50 })] },
      testBasis(),
    );
    const entries: [number, EventBody][] = [[0, { type: 'session-started' }]];
    [ALL, [22, 10, 8, 6]].forEach((reps, exerciseIndex) => {
      reps.forEach((done, setIndex) => {
        const place = { exerciseIndex, setIndex };
        const fromSeconds = 10 + 1000 * exerciseIndex + 100 * setIndex;
        entries.push([fromSeconds, { type: 'set-started', ...place }]);
        entries.push([fromSeconds + 60, { type: 'set-ended', ...place, reps: done, reason: 'done' }]);
        entries.push([fromSeconds + 62, { type: 'set-noted', ...place, effort: 5 }]);
      });
    });
    const state = fold(plan, logOf(entries));
    const rule = (exerciseIndex: number) => recommend({ plan, state }, 1, null, null, exerciseIndex).rule;
    expect([rule(0), rule(1)]).toEqual(['REV-7', 'REV-3']);
  });

  it('count work by the clock and sets to failure as done or not', () => {
    const passive = testPlan({ exerciseId: 'knee-extension', protocolId: 'near-failure' }).plan;
    const entries: [number, EventBody][] = [[0, { type: 'session-started' }]];
    passive.exercises[0]?.sets.forEach((_, setIndex) => {
      const place = { exerciseIndex: 0, setIndex };
      entries.push([100 * setIndex + 10, { type: 'set-started', ...place }]);
      entries.push([100 * setIndex + 60, { type: 'set-ended', ...place, reps: 18, reason: 'failure' }]);
      entries.push([100 * setIndex + 62, { type: 'set-noted', ...place, effort: 9 }]);
    });
    const state = fold(passive, logOf(entries));
    expect(recommend({ plan: passive, state }, 1, null, null)).toMatchObject({ rule: 'REV-5', change: {} });
  });
});

import { describe, expect, it } from 'vitest';
import { englishOf } from '#language/english-of.fixture';
import { isoOf, weekdayOf } from '../quantity/days';
import { chainOf, linksThatHold } from './chain/chain';
import type { ClientFacts } from './facts';
import { nextPlan, plansInForce, whyNotInForce } from './plans-in-force';
import {
  daysAgo,
  NOW_MS,
  testBlock,
  testCoursePlan,
  testFacts,
  testKitInUse,
  testPrescription,
  testSessionFact,
} from './record.fixture';

const today = Math.floor(NOW_MS / 86_400_000);
const weekday = (ahead: number) => weekdayOf(today + ahead);

/** Legs on any day, arms by the weekday, a passive plan daily: three plans with a version each. */
const several = (changes: Partial<ClientFacts> = {}, armsAhead = 2): ClientFacts =>
  testFacts({
    coursePlans: [
      testCoursePlan(),
      testCoursePlan({
        id: 'arms',
        name: 'Arms',
        occasion: { kind: 'weekdays', weekdays: [weekday(armsAhead)] },
      }),
      testCoursePlan({ id: 'passive', name: 'Passive', occasion: { kind: 'daily', times: 2 } }),
    ],
    prescriptions: [
      testPrescription(),
      testPrescription({ id: 'rx-arms', coursePlanId: 'arms', atMs: daysAgo(3) }),
      testPrescription({ id: 'rx-passive', coursePlanId: 'passive', atMs: daysAgo(30) }),
    ],
    ...changes,
  });
const names = (facts: ClientFacts) => plansInForce(facts, NOW_MS).map(({ coursePlan }) => coursePlan.name);

describe('plans in force (START-2)', () => {
  it('are several, each with its newest version; what was never done comes first of those due today', () => {
    expect(isoOf(today)).toBe('2027-01-15');
    expect(names(several())).toEqual(['Passive', 'Lower day', 'Arms']);
    const [passive, lower, arms] = plansInForce(several(), NOW_MS);
    expect(englishOf([passive?.turn.why, lower?.turn.why])).toEqual([
      '0 of 2 today.',
      'Last done 5 days ago.',
    ]);
    expect(englishOf(arms?.turn)).toEqual({ inDays: 2, why: 'Next on Sun.' });
    expect(arms?.prescription.id).toBe('rx-arms');
  });

  it('change turns as they are done', () => {
    const twice = [0.1, 0.2].map((days) =>
      testSessionFact(days, { coursePlanId: 'passive', prescriptionId: 'rx-passive' }),
    );
    expect(names(several({ sessions: twice }))).toEqual(['Lower day', 'Passive', 'Arms']);
    const [done] = plansInForce(several({ sessions: twice }), NOW_MS).slice(1);
    expect(englishOf(done?.turn)).toEqual({ inDays: 1, why: 'Done for today.' });
    // Due today by its weekday, and longer ago than the other.
    expect(names(several({}, 0))).toEqual(['Arms', 'Passive', 'Lower day']);
  });

  it('are not their occasion’s while a block runs that schedules them, also after their last session of it', () => {
    const block = (from: number, ...ahead: number[]) => testBlock(-from, { weeks: 4 }, ahead);
    const turn = (...args: Parameters<typeof block>) =>
      plansInForce(several({ blocks: [block(...args)] }), NOW_MS).find(
        ({ coursePlan }) => coursePlan.id === 'lower',
      )?.turn.why;
    expect(englishOf(turn(-20, 3))).toBe('In the block on Mon.');
    expect(englishOf(turn(-20, -6))).toBe('No more of it in the block.');
    // From the day after the block, and until it begins, its occasion says.
    expect(englishOf(turn(-28, -6))).toBe('Last done 5 days ago.');
    expect(englishOf(turn(-27, -6))).toBe('No more of it in the block.');
    expect(englishOf(turn(1))).toBe('Last done 5 days ago.');
  });

  it('do not count while paused, once ended or past their day, or without a version', () => {
    const one = (change: Partial<ReturnType<typeof testCoursePlan>>) =>
      names(several({ coursePlans: [testCoursePlan(change)] }));
    expect(one({})).toEqual(['Lower day']);
    expect(one({ state: 'paused' })).toEqual([]);
    expect(one({ state: 'ended' })).toEqual([]);
    expect(one({ untilMs: NOW_MS })).toEqual(['Lower day']);
    expect(one({ untilMs: NOW_MS - 1 })).toEqual([]);
    expect(one({ id: 'unsigned' })).toEqual([]);
    expect(englishOf(whyNotInForce(testCoursePlan({ state: 'paused' }), NOW_MS))).toBe(
      'Lower day is paused.',
    );
    expect(englishOf(whyNotInForce(testCoursePlan({ state: 'ended' }), NOW_MS))).toBe('Lower day has ended.');
    expect(englishOf(whyNotInForce(testCoursePlan({ untilMs: 0 }), NOW_MS))).toContain(
      'until a day that is over',
    );
  });

  it('are each judged by their own chain', () => {
    const { plan } = testPrescription();
    const [exercise] = plan.exercises;
    const [target] = exercise?.limbs ?? [];
    if (!exercise || !target) throw new Error('the fixture has an exercise');
    const onRight = {
      ...plan,
      exercises: [{ ...exercise, limbs: [{ ...target, limb: 'right-thigh' as const }] }],
    };
    const facts = several({
      prescriptions: [
        testPrescription(),
        testPrescription({ id: 'rx-arms', coursePlanId: 'arms', plan: onRight }),
      ],
    });
    const broken = (id: string) =>
      linksThatHold(
        facts,
        testKitInUse,
        NOW_MS,
        facts.prescriptions.find((fact) => fact.id === id),
      ).map((link) => link.id);
    expect(broken('rx')).toEqual([]);
    expect(broken('rx-arms')).toContain('fit');
    expect(chainOf(facts, testKitInUse, NOW_MS).find(({ id }) => id === 'fit')?.state).toBe('good');
    expect(nextPlan(facts, NOW_MS)?.coursePlan.id).toBe('lower');
  });
});

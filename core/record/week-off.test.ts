import { describe, expect, it } from 'vitest';
import { englishOf } from '#language/english-of.fixture';
import type { ClientFacts } from './facts';
import { plansInForce } from './plans-in-force';
import {
  daysAgo,
  NOW_MS,
  strangerFacts,
  testFacts,
  testPrescription,
  testSessionFact,
} from './record.fixture';
import { weekOff as weekOffOf } from './week-off';

const weekOff = (facts: ClientFacts, nowMs: number) => weekOffOf(facts, plansInForce(facts, nowMs), nowMs);

const off = (days: number[], changes: Partial<ClientFacts> = {}) =>
  weekOff(testFacts({ sessions: days.map((ago) => testSessionFact(ago)), ...changes }), NOW_MS);
const heavy = (ago: number) => ({
  id: 'h',
  atMs: daysAgo(ago),
  exerciseId: 'leg-press',
  side: 'both' as const,
  sets: 3,
  reps: 5,
  loadKg: 100,
  effort: null,
  pain: null,
});

describe('a week that is off (PRO-3)', () => {
  it('is fewer than two days of a muscle, or more than three', () => {
    expect(englishOf(off([1, 9]))).toBe('Quadriceps: once in seven days; two or three work.');
    expect(englishOf(off([9]))).toBe('Quadriceps: not in seven days; two or three work.');
    expect(off([1, 4, 9])).toBeNull();
    expect(englishOf(off([1, 2, 3, 4, 9]))).toBe('Quadriceps: 4 times in seven days; two or three work.');
  });

  it('counts heavy work of the same muscle, and no passive work', () => {
    expect(off([1, 9], { heavyWork: [heavy(3)] })).toBeNull();
    expect(off([1, 9], { heavyWork: [heavy(8)] })).not.toBeNull();
    const passive = testSessionFact(3, {
      worked: [{ exerciseId: 'passive-cuff-leg', limbs: ['left-thigh'], mode: 'passive' }],
    });
    expect(off([], { sessions: [testSessionFact(1), passive, testSessionFact(9)] })).not.toBeNull();
  });

  it('says nothing of who has just begun, who is away, and who has no plan', () => {
    expect(off([1])).toBeNull();
    expect(off([15, 20])).toBeNull();
    expect(off([1, 9], { coursePlans: [] })).toBeNull();
    // Another plan has been run for weeks, and this one was signed yesterday.
    const others = [1, 9].map((ago) => testSessionFact(ago, { coursePlanId: 'another' }));
    expect(off([], { sessions: others })).toBeNull();
    expect(weekOff(strangerFacts, NOW_MS)).toBeNull();
  });

  it('begins with the seventh day and ends with the fourteenth, to the moment', () => {
    const at = (...days: number[]) => off(days) !== null;
    // Trained for a week to the day, and then just short of it.
    expect([at(7), at(6.999)]).toEqual([true, false]);
    expect([at(14), at(14.001)]).toEqual([true, false]);
    // A session a week ago to the moment still counts in the week.
    expect(off([1, 7])).toBeNull();
    expect(englishOf(off([1, 7.001]))).toContain('once');
  });

  it('gives a plan that is new its week, unless it was run before', () => {
    const prescriptions = (days: number) => [testPrescription({ atMs: daysAgo(days) })];
    const others = [1, 9].map((ago) => testSessionFact(ago, { coursePlanId: 'another' }));
    const with9 = [testSessionFact(1), testSessionFact(9, { coursePlanId: 'another' })];
    expect(off([], { sessions: with9, prescriptions: prescriptions(6.9) })).toBeNull();
    expect(englishOf(off([], { sessions: with9, prescriptions: prescriptions(7) }))).toContain('once');
    expect(englishOf(off([], { sessions: others, prescriptions: prescriptions(7) }))).toContain('once');
    expect(englishOf(off([1, 7.5], { prescriptions: prescriptions(1) }))).toContain('once');
  });

  it('takes heavy work of an exercise that is no longer known as leg work, and passive work in a mixed session as none', () => {
    expect(englishOf(off([1, 9], { heavyWork: [{ ...heavy(3), exerciseId: 'gone' }] }))).toContain('once');
    const mixed = testSessionFact(3, {
      worked: [
        { exerciseId: 'knee-extension', limbs: ['left-thigh'], mode: 'passive' },
        { exerciseId: 'elbow-flexion', limbs: ['left-arm'], mode: 'resistance' },
      ],
    });
    expect(englishOf(off([], { sessions: [testSessionFact(1), mixed, testSessionFact(9)] }))).toContain(
      'Quadriceps: once',
    );
  });
});

import { describe, expect, it } from 'vitest';
import { englishOf } from '#language/english-of.fixture';
import type { Occasion } from '../course/course-plan';
import { testOcclusion, testStrength } from '../plan/plan.fixture';
import type { ClientFacts } from './facts';
import { loadByHour, personsWeek } from './needs';
import {
  daysAgo,
  NOW_MS,
  strangerFacts,
  testBlock,
  testConsent,
  testCoursePlan,
  testFacts,
  testPrescription,
  testScreening,
  testSessionFact,
} from './record.fixture';

const needs = (changes: Partial<ClientFacts> = {}) =>
  personsWeek(testFacts(changes), NOW_MS).needs.map(({ words }) => words);

describe('what a person asks of the week (START-2)', () => {
  it('is nothing where all holds, and of a stranger', () => {
    expect(needs()).toEqual([]);
    expect(englishOf(personsWeek(strangerFacts, NOW_MS))).toEqual({
      needs: [],
      awayDays: null,
      adherence: null,
      coming: [],
    });
  });

  it('of who has a plan and has stopped coming is to be asked after, and nothing else; without a plan nothing', () => {
    const stopped = { sessions: [testSessionFact(71)], occlusions: [testOcclusion({ atMs: daysAgo(90) })] };
    expect(englishOf(needs(stopped))).toEqual(['Not here for 71 days.']);
    expect(personsWeek(testFacts(stopped), NOW_MS).awayDays).toBe(71);
    expect(needs({ ...stopped, coursePlans: [] })).toEqual([]);
    expect(needs({ sessions: [testSessionFact(59.9)], coursePlans: [] })).not.toEqual([]);
  });

  it('of who has signed and never begun is that', () => {
    const signed = testPrescription({ atMs: daysAgo(12) });
    expect(englishOf(needs({ sessions: [], prescriptions: [signed] }))).toEqual([
      'Signed 12 days ago, and not begun.',
    ]);
    expect(needs({ sessions: [], prescriptions: [testPrescription({ atMs: daysAgo(9) })] })).toEqual([]);
  });

  it('is what grows old within seven days, by the plans in force, the latest first', () => {
    // Measured 12 days ago for four weeks, tested 10 days ago for six, screened 20 days ago for twelve.
    const old = {
      occlusions: [testOcclusion({ atMs: daysAgo(21) })],
      strengthTests: [testStrength({ atMs: daysAgo(43) })],
      screenings: [testScreening({ atMs: daysAgo(84) })],
    };
    expect(englishOf(needs(old))).toEqual([
      '1RM, Knee extension, left: overdue by 1 day.',
      'Screening: due today.',
      'LOP, left thigh, sitting: due in 7 days.',
    ]);
    expect(needs({ occlusions: [testOcclusion({ atMs: daysAgo(20) })] })).toEqual([]);
    expect(englishOf(needs({ occlusions: [testOcclusion({ atMs: daysAgo(30) })] }))).toEqual([
      'LOP, left thigh, sitting: overdue by 2 days.',
    ]);
    // What no plan in force uses is no need.
    expect(needs({ ...old, coursePlans: [], screenings: [testScreening()] })).toEqual([]);
    expect(needs({ ...old, shelfLife: 'every-session' })).toHaveLength(2);
  });

  it('is a consent that runs out within the week, or that was never asked for; not one that was withdrawn (SCR-6)', () => {
    expect(englishOf(needs({ consents: [testConsent({ atMs: daysAgo(360) })] }))).toEqual([
      'Consent: due in 5 days.',
    ]);
    expect(englishOf(needs({ consents: [] }))).toEqual(['Consent: due today.']);
    expect(needs({ consents: [testConsent({ decision: 'withdrawn' })] })).toEqual([]);
  });

  it('is who was not here for ten days, and was not asked', () => {
    expect(englishOf(needs({ sessions: [testSessionFact(10)] }))).toEqual(['Not here for 10 days.']);
    expect(needs({ sessions: [testSessionFact(9.9)] })).toEqual([]);
    expect(englishOf(needs({ sessions: [testSessionFact(2, { followUp: null })] }))).toEqual([
      'Ask how the last session was.',
    ]);
  });

  it('is what is due to be measured by the block', () => {
    const girth = {
      measureId: 'girth-calf' as const,
      limb: 'left-thigh' as const,
      setting: '',
      atMs: daysAgo(30),
    };
    expect(englishOf(needs({ blocks: [testBlock(24, {}, [20])], followed: [girth] }))).toEqual([
      'To measure midway: Calf girth, left thigh.',
    ]);
  });

  it('has the block’s last four weeks and its coming seven days', () => {
    const block = testBlock(40, {}, [-38, -27, -10, -3, 0, 6, 7]);
    const sessions = [testSessionFact(10), testSessionFact(3)];
    const week = personsWeek(testFacts({ blocks: [block], sessions }), NOW_MS);
    // 27, 10 and 3 days ago, of which two were done; 38 days ago is too long.
    expect(week.adherence).toEqual({ done: 2, planned: 3 });
    expect(week.coming).toEqual([
      { inDays: 0, atTime: '17:30' },
      { inDays: 6, atTime: '17:30' },
    ]);
    expect(personsWeek(testFacts({ blocks: [testBlock(0, {}, [1])] }), NOW_MS).adherence).toBeNull();
  });

  it('counts the days a plan is for where there is no block, of those who do not come too', () => {
    const on = (occasion: Occasion, sessions: readonly number[]) =>
      personsWeek(
        testFacts({
          coursePlans: [testCoursePlan({ occasion })],
          prescriptions: [testPrescription({ atMs: daysAgo(200) })],
          sessions: sessions.map((days) => testSessionFact(days)),
        }),
        NOW_MS,
      ).adherence;
    const weekdays: Occasion = { kind: 'weekdays', weekdays: [0, 3] };
    // Four weeks before today have seven or eight Mondays and Thursdays.
    const planned = on(weekdays, [71])?.planned ?? 0;
    expect([7, 8]).toContain(planned);
    expect(on(weekdays, [71])).toEqual({ done: 0, planned });
    expect(on(weekdays, [10, 3])).toEqual({ done: 2, planned });
    expect(on({ kind: 'daily', times: 2 }, [71])).toEqual({ done: 0, planned: 54 });
    expect(on({ kind: 'any-day' }, [71])).toBeNull();
  });
});

it('adds up the sessions of each hour', () => {
  const at = (inDays: number, atTime: string) => ({ inDays, atTime });
  expect(loadByHour([at(1, '17:45'), at(0, '09:00'), at(1, '17:30'), at(1, '08:00')])).toEqual([
    { inDays: 0, hour: 9, sessions: 1 },
    { inDays: 1, hour: 8, sessions: 1 },
    { inDays: 1, hour: 17, sessions: 2 },
  ]);
});

import { describe, expect, it } from 'vitest';
import { englishOf } from '#language/english-of.fixture';
import { testOcclusion, testPlan, testStrength } from '../plan/plan.fixture';
import { blockAsItStands, blockDues, blockPlansOf, sessionsByDay } from './block-in-force';
import type { ClientFacts } from './facts';
import {
  daysAgo,
  NOW_MS,
  testBlock,
  testCoursePlan,
  testFacts,
  testPrescription,
  testSessionFact,
} from './record.fixture';

const today = Math.floor(NOW_MS / 86_400_000);

const block = (startsDaysAgo: number, changes: Parameters<typeof testBlock>[1] = {}, atDaysAgo = 40) => ({
  ...testBlock(startsDaysAgo, { deload: { everyWeeks: 3, setsPercent: 50 }, ...changes }, [-1, 2]),
  id: `block ${atDaysAgo}`,
  atMs: daysAgo(atDaysAgo),
});

describe('plans and sessions a block goes by', () => {
  it('are those with a version, and what was finished with a set, on its day by the practice’s clock', () => {
    const facts = testFacts({
      coursePlans: [testCoursePlan(), testCoursePlan({ id: 'unsigned', name: 'Unsigned' })],
      sessions: [
        testSessionFact(1),
        testSessionFact(2, { finishedAtMs: null }),
        testSessionFact(3, { worked: [] }),
      ],
    });
    expect(englishOf(blockPlansOf(facts))).toMatchObject([
      { id: 'lower', name: 'Lower day', kinds: ['leg'] },
    ]);
    expect(sessionsByDay(facts)).toEqual([{ day: today - 1, coursePlanId: 'lower' }]);
    // 08:00 UTC is the next day where the clock is 17 hours ahead.
    expect(sessionsByDay({ ...facts, zoneOffsetMs: 17 * 3_600_000 })).toEqual([
      { day: today, coursePlanId: 'lower' },
    ]);
  });
});

describe('the block that counts', () => {
  it('is the newest, as it is today', () => {
    expect(blockAsItStands(testFacts(), NOW_MS)).toBeNull();
    const facts = testFacts({
      blocks: [block(10, {}, 20), block(30, {}, 40)],
      sessions: [testSessionFact(1)],
    });
    const standing = blockAsItStands(facts, NOW_MS);
    expect(englishOf(standing)).toMatchObject({ today, block: { id: 'block 20' }, plans: [{ id: 'lower' }] });
    expect(standing?.entries.map(({ state }) => state)).toEqual(['done', 'to-come']);
  });
});

describe('what falls due in the weeks of a block', () => {
  const dues = (changes: Partial<ClientFacts> = {}) => blockDues(testFacts(changes), NOW_MS);

  it('is when the pressure and the test are due again, the first of each', () => {
    // Measured 12 days ago for four weeks; tested 10 days ago for six.
    expect(dues()).toEqual([
      { coursePlanId: 'lower', what: 'measure', firstDay: today - 12 + 28, everyDays: 28 },
      { coursePlanId: 'lower', what: 'test', firstDay: today - 10 + 42, everyDays: 42 },
    ]);
    expect(dues({ shelfLife: '7-days' })[0]).toMatchObject({
      firstDay: today - 12 + 7,
      everyDays: 7,
    });
    expect(dues({ shelfLife: 'every-session' }).map(({ what }) => what)).toEqual(['test']);
    expect(dues({ occlusions: [], strengthTests: [] })).toEqual([]);
    const own = {
      occlusions: [testOcclusion({ atMs: daysAgo(3) })],
      strengthTests: [testStrength({ atMs: daysAgo(4) })],
    };
    expect(dues(own).map(({ firstDay }) => firstDay - today)).toEqual([25, 38]);
  });

  it('is of every plan that is signed', () => {
    const two = {
      coursePlans: [testCoursePlan(), testCoursePlan({ id: 'arms', name: 'Arms' })],
      prescriptions: [
        testPrescription(),
        testPrescription({ id: 'rx-2', coursePlanId: 'arms', plan: testPlan().plan }),
      ],
    };
    expect(dues(two).map(({ coursePlanId, what }) => `${coursePlanId} ${what}`)).toEqual([
      'lower measure',
      'lower test',
      'arms measure',
      'arms test',
    ]);
  });
});

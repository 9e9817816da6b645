import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { testOcclusion, testPlan } from '../plan/plan.fixture';
import { MS_PER_DAY } from '../quantity/units';
import { type OpenedExercise, openedAt } from '../review/opened';
import { blockAsItStands } from './block-in-force';
import { courseDays } from './course-days';
import type { ClientFacts } from './facts';
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

const WEEKS = [0, 7, 14, 21, 28, 35, 42, 49];
const PLANNED = WEEKS.flatMap((week) => [-60 + week, -57 + week]);
/** So far back a session that comes later may still fill a missed one. */
const NEAR_DAYS = 7;

const steady = testPlan().plan;
const ramped = {
  ...steady,
  exercises: steady.exercises.map((exercise) => ({
    ...exercise,
    movements: [{ by: 'ramp' as const, figure: 'percent-lop' as const, to: 60 }],
  })),
};

/** What a session was opened at, none of whose sets was begun. */
const OPENED: OpenedExercise[] = openedAt(steady).map((opened) => ({
  ...opened,
  reading: null,
  answer: null,
}));

/** What happened on a planned day: nothing, or a session, and how it went. */
const anyDay = fc.constantFrom('missed', 'done', 'bad');
const anyCourse = fc.record({
  days: fc.array(anyDay, { minLength: PLANNED.length, maxLength: PLANNED.length }),
  isRamped: fc.boolean(),
  /** A new version, and a new LOP, so many days ago. */
  versionAgo: fc.integer({ min: 1, max: 55 }),
  measuredAgo: fc.integer({ min: 1, max: 55 }),
  lookedAgo: fc.integer({ min: 1, max: 50 }),
});

describe('the past of a course (CRS-2)', () => {
  it('does not change when sessions, versions and measurements come later', () => {
    fc.assert(
      fc.property(anyCourse, ({ days, isRamped, versionAgo, measuredAgo, lookedAgo }) => {
        const plan = isRamped ? ramped : steady;
        const first = testPrescription({ id: 'first', atMs: daysAgo(70), plan });
        const second = testPrescription({
          id: 'second',
          versions: ['first', 'second'],
          atMs: daysAgo(versionAgo),
          plan: isRamped ? steady : ramped,
        });
        const sessions = PLANNED.flatMap((day, place) =>
          days[place] === 'missed'
            ? []
            : [testSessionFact(-day, { tolerated: days[place] === 'done', exercises: OPENED })],
        );
        const lop = testOcclusion({ id: 'later', atMs: daysAgo(measuredAgo) });
        const knownBy = (ago: number): ClientFacts =>
          testFacts({
            coursePlans: [testCoursePlan()],
            prescriptions: [versionAgo >= ago ? second : first],
            formerVersions: versionAgo >= ago ? [first] : [],
            occlusions: [...testFacts().occlusions, ...(measuredAgo >= ago ? [lop] : [])],
            blocks: [testBlock(60, {}, PLANNED)],
            sessions: sessions.filter(({ startedAtMs }) => startedAtMs <= daysAgo(ago)),
          });
        const rows = (ago: number) => {
          const nowMs = daysAgo(ago);
          const facts = knownBy(ago);
          const standing = blockAsItStands(facts, nowMs);
          if (!standing) throw new RangeError('A block is on record.');
          const before = Math.floor(daysAgo(lookedAgo + NEAR_DAYS) / MS_PER_DAY);
          return courseDays(standing, facts, testKitInUse, nowMs).filter(({ day }) => day < before);
        };
        expect(rows(0)).toEqual(rows(lookedAgo));
      }),
      { numRuns: 60 },
    );
  });

  it('is of something: there are missed days with figures', () => {
    const facts = testFacts({
      coursePlans: [testCoursePlan()],
      prescriptions: [testPrescription({ atMs: daysAgo(70), plan: ramped })],
      blocks: [testBlock(60, {}, PLANNED)],
      sessions: [],
    });
    const standing = blockAsItStands(facts, NOW_MS);
    const found = standing ? courseDays(standing, facts, testKitInUse, NOW_MS) : [];
    expect(found.map(({ state }) => state)).toEqual(PLANNED.map(() => 'missed'));
    expect(found.every(({ figures }) => figures !== null)).toBe(true);
  });
});

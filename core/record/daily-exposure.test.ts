import { describe, expect, it } from 'vitest';
import { englishOf } from '#language/english-of.fixture';
import { composeSession } from '../plan/compose';
import { testCycles } from '../plan/cycles.fixture';
import { testBasis, testOcclusion, testPlan } from '../plan/plan.fixture';
import { checkDailyExposure, exposureWords } from '../pressure/cycles';
import { dailyExposures, underCuffTodayMs } from './daily-exposure';
import type { ClientFacts } from './facts';

const HOUR_MS = 3_600_000;
const MINUTE_MS = 60_000;
const NOON_MS = Date.UTC(2026, 4, 4, 12);
const AHEAD_MS = 2 * HOUR_MS;

const session = (
  startedAtMs: number,
  minutes: number,
  limb: 'left-thigh' | 'right-thigh' = 'left-thigh',
) => ({
  startedAtMs,
  given: [{ limb, occludedMs: minutes * MINUTE_MS, percentLop: 50 }],
});
const today = (...sessions: ReturnType<typeof session>[]) =>
  ({ sessions, zoneOffsetMs: AHEAD_MS }) as Pick<ClientFacts, 'zoneOffsetMs'> as ClientFacts;

const { plan: cycles } = composeSession(
  {
    goal: 'cycles',
    schoolId: 'research-consensus',
    exercises: [testCycles()],
  },
  testBasis({ occlusions: [testOcclusion({ position: 'lying' })] }),
);

describe('how long a limb is under a cuff in a day (PRS-9)', () => {
  it('adds up the sessions of the practice’s day, each limb by itself', () => {
    // By the practice’s clock yesterday ended at 22:00 UTC.
    const before = session(NOON_MS - 14.5 * HOUR_MS, 30);
    const facts = today(
      before,
      session(NOON_MS - 13.5 * HOUR_MS, 4),
      session(NOON_MS - HOUR_MS, 5, 'right-thigh'),
    );
    expect([...underCuffTodayMs(facts, NOON_MS)]).toEqual([
      ['left-thigh', 4 * MINUTE_MS],
      ['right-thigh', 5 * MINUTE_MS],
    ]);
  });

  it('asks for a reason over an hour with the cycles that come, and not at it', () => {
    const found = (minutes: number) =>
      checkDailyExposure(dailyExposures(cycles, today(session(NOON_MS, minutes)), NOON_MS));
    // Eight half minutes are four.
    expect(found(56)).toEqual([]);
    expect(englishOf(found(57))).toMatchObject([{ rule: 'PRS-9', level: 'guard', subject: 'dailyExposure' }]);
    const [exposure] = dailyExposures(cycles, today(session(NOON_MS, 8)), NOON_MS);
    expect(englishOf(exposure && exposureWords(exposure))).toBe(
      'Left thigh: 8 min under the cuff today, 12 of 60 min with this',
    );
  });

  it('is no matter for a plan without cycles', () => {
    expect(dailyExposures(testPlan().plan, today(session(NOON_MS, 59)), NOON_MS)).toEqual([]);
  });
});

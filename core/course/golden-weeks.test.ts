import { describe, expect, it } from 'vitest';
import { composeSession } from '../plan/compose';
import type { Movement } from '../plan/movement';
import type { Plan } from '../plan/plan';
import {
  measuredTarget,
  testBasis,
  testExercise,
  testOcclusion,
  testSession,
  trainedWeeks,
  weighedLoad,
} from '../plan/plan.fixture';
import { dayOf, isoOf } from '../quantity/days';
import { testWish } from './block.fixture';
import { blockPlanOf } from './block-plan';
import { LivedCourse } from './course.fixture';
import type { OnDay } from './on-day';
import { placeBlock } from './place-block';
import { postponed, rescheduled, type SeasonDay } from './season';

/** Weeks that were worked out by hand from the rules; days count from the first session. */

const RAMP: Movement = { by: 'ramp', figure: 'percent-lop', to: 60 };
const share = (plan: Plan) => measuredTarget(plan).percentLop;

describe('an older person, twice a week for six weeks (PRS-4, REV-7, CRS-3)', () => {
  it('rises a step a week, and by the review in the sessions between', () => {
    const plan = composeSession(
      {
        ...testSession(),
        exercises: [
          testExercise(
            { percentLop: 40 },
            { movements: [RAMP, { by: 'review', figure: 'percent-1rm', to: 33 }] },
          ),
        ],
      },
      testBasis(),
    ).plan;
    const course = new LivedCourse(plan);
    const easy = { changes: [{ loadSteps: 1 }] };
    const row = (day: number, lived = {}) => {
      const opened = course.live(day, lived);
      return [share(opened), weighedLoad(opened).load.value];
    };
    // 10 kg is 25 % of 40 kg; 12.5 kg is 31.3 %, 15 kg 37.5 % and past 33.
    expect(row(0)).toEqual([40, 10]);
    expect(row(3)).toEqual([40, 10]);
    expect(row(7)).toEqual([45, 10]);
    expect(row(10, easy)).toEqual([45, 10]);
    // What the review of day 10 asks for waits longest: the week's step comes a session later.
    expect(row(14)).toEqual([45, 12.5]);
    expect(row(17, easy)).toEqual([50, 12.5]);
    // 15 kg would be past the bound, so the week's step does not wait for it.
    expect(row(21)).toEqual([55, 12.5]);
    // A bad day: a step of load down, and nothing rises in the week after it.
    expect(row(24, { tolerated: false, changes: [{ loadSteps: -1 }] })).toEqual([55, 12.5]);
    expect(row(28)).toEqual([55, 10]);
    expect(row(31)).toEqual([55, 10]);
    expect(row(35)).toEqual([60, 10]);
    expect(row(38)).toEqual([60, 10]);
  });
});

describe('upper and lower for six weeks (PRS-4: a ramp for each kind of limb)', () => {
  it('starts the arms at their own start, however long the legs were trained', () => {
    const arm = composeSession(
      {
        ...testSession(),
        exercises: [
          testExercise(
            { limb: 'left-arm', percentLop: 40 },
            {
              exerciseId: 'elbow-flexion',
              load: { kind: 'unweighed', with: 'limb weight' },
              movements: [{ ...RAMP, to: 50 }],
            },
          ),
        ],
      },
      testBasis({ occlusions: [testOcclusion({ limb: 'left-arm' })] }),
    ).plan;
    const legs = trainedWeeks(6).map((one) => ({ ...one, kinds: ['leg' as const] }));
    const course = new LivedCourse(arm, {
      basis: testBasis({ done: legs, occlusions: [testOcclusion({ limb: 'left-arm' })] }),
    });
    expect([1, 5, 8, 12, 15, 19, 22, 29, 36].map((day) => share(course.live(day)))).toEqual([
      40, 40, 45, 45, 50, 50, 50, 50, 50,
    ]);
  });
});

describe('in season, with two games a week (CRS-5)', () => {
  const plan = composeSession(testSession(), testBasis()).plan;
  const coursePlan = {
    id: 'lower',
    name: 'Lower day',
    ownName: null,
    occasion: { kind: 'any-day' },
    state: 'in-force',
    untilMs: null,
  } as const;
  const plans = [blockPlanOf(coursePlan, plan, testBasis().library)];
  const game = (day: string): SeasonDay => ({ id: day, kind: 'game', day, title: '' });
  // Wednesdays and Saturdays of four weeks from Monday, 4 May 2026.
  const season = [0, 7, 14, 21].flatMap((week) =>
    [2, 5].map((weekday) => game(isoOf(dayOf('2026-05-04') + week + weekday))),
  );
  const wish = (games: SeasonDay[]) => testWish({ season: games });
  const days = (sessions: readonly OnDay[]) => sessions.map(({ day }) => isoOf(day).slice(5));

  it('trains on Mondays and Thursdays, and moves one session when a game is postponed', () => {
    const before = placeBlock(wish(season), plans).sessions;
    // Tuesdays and Fridays are the day before a game.
    expect(days(before)).toEqual(['05-04', '05-07', '05-11', '05-14', '05-18', '05-21', '05-25', '05-28']);
    // The game of Wednesday the 13th goes to Friday the 15th: Thursday is the day before it.
    const moved = season.map((one) => (one.day === '2026-05-13' ? postponed(one, 2) : one));
    const after = placeBlock(wish(moved), plans, { fromDay: dayOf('2026-05-09'), before }).sessions;
    expect(days(after)).toEqual(['05-04', '05-07', '05-11', '05-13', '05-18', '05-21', '05-25', '05-28']);
    expect(rescheduled(before, after, moved).map(({ from, to }) => [isoOf(from), isoOf(to)])).toEqual([
      ['2026-05-14', '2026-05-13'],
    ]);
  });
});

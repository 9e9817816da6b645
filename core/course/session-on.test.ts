import { describe, expect, it } from 'vitest';
import { inEnglish } from '#language/render';
import type { ExerciseChoice } from '../plan/choices';
import { composeSession } from '../plan/compose';
import { moveWords } from '../plan/move';
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
import { limited } from '../screening/clearance.fixture';
import { LivedCourse } from './course.fixture';

const knee = (percentLop: number, movements: Movement[], more: Partial<ExerciseChoice> = {}): Plan =>
  composeSession(
    { ...testSession(), exercises: [testExercise({ percentLop }, { movements, ...more })] },
    testBasis(),
  ).plan;
const share = (plan: Plan) => measuredTarget(plan).percentLop;
const mmHg = (plan: Plan) => measuredTarget(plan).pressure.value;
const said = (course: LivedCourse, day: number) => {
  const { moves, waits } = course.on(day);
  return [...moves.map((move) => inEnglish(moveWords(move))), ...waits.map(({ why }) => inEnglish(why))];
};
const RAMP: Movement = { by: 'ramp', figure: 'percent-lop', to: 60 };
/** Who has trained for long: the ramp is over. */
const OLD_HAND = { basis: testBasis({ done: trainedWeeks(12) }) };

describe('the newcomer’s ramp, lived (PRS-4, CRS-2)', () => {
  it('climbs a step a week to its bound, waits after a bad session, and steps back after a lay-off', () => {
    const course = new LivedCourse(knee(40, [RAMP]));
    // By hand: weeks turn on days 7, 14, 21 and 28.
    expect([0, 3, 7, 10, 14].map((day) => share(course.live(day)))).toEqual([40, 40, 45, 45, 50]);
    expect(share(course.live(17, { tolerated: false }))).toBe(50);
    // The week after a bad session nothing rises; the one after that it does.
    expect(share(course.live(21))).toBe(50);
    expect(share(course.live(28))).toBe(55);
    expect(said(course, 35)).toEqual(['55 % → 60 %: week 6.']);
    expect(share(course.live(35))).toBe(60);
    expect(share(course.live(42))).toBe(60);
    // 21 days off: 10 points under the level then. 42: the start.
    expect(share(course.live(63))).toBe(50);
    expect(share(course.live(63 + 42))).toBe(40);
  });

  it('gives no rise for weeks that were missed, and one at a time', () => {
    const course = new LivedCourse(knee(40, [RAMP]));
    course.live(0);
    expect(share(course.live(19))).toBe(45);
    expect(share(course.live(20))).toBe(45);
    expect(share(course.live(21))).toBe(50);
  });

  it('is held by a cap with its word, and comes up from there a step at a time', () => {
    const capped = testBasis({ done: [], limits: limited({ maxPercentLop: 45 }) });
    const course = new LivedCourse(knee(40, [RAMP]), { basis: capped });
    for (const day of [0, 7, 14, 21, 28]) course.live(day);
    expect(course.opened.map(({ exercises }) => exercises[0]?.limbs[0]?.value)).toEqual([40, 45, 45, 45, 45]);
    const free = new LivedCourse(course.plan, { basis: testBasis({ done: course.recordOn(35).basis.done }) });
    free.opened.push(...course.opened);
    expect(share(free.live(35))).toBe(50);
  });

  it('keeps a rise back by choice, and lets it come later', () => {
    const course = new LivedCourse(knee(40, [RAMP]));
    course.live(0);
    const { moves, keptBack } = course.on(7, { keepsBack: true });
    expect([moves, keptBack.map(({ to }) => to)]).toEqual([[], [45]]);
    expect(share(course.live(7, {}, { keepsBack: true }))).toBe(40);
    expect(share(course.live(10))).toBe(45);
  });
});

describe('re-entry after an operation (PRS-4)', () => {
  const passive: Partial<ExerciseChoice> = {
    exerciseId: 'passive-cuff-leg',
    position: 'lying',
    protocolId: 'passive-rehab',
    load: { kind: 'unweighed', with: 'limb weight' },
    sets: [
      { work: { kind: 'timed', workMs: 300_000 }, restMs: 180_000, release: true },
      { work: { kind: 'timed', workMs: 300_000 }, restMs: 60_000, release: true },
    ],
  };
  const lop = testOcclusion({
    position: 'lying',
    pressure: { value: 156.5, unit: 'mmHg', working: [], rules: [] },
  });
  const basis = testBasis({
    occlusions: [lop],
    procedures: [{ limb: 'left-thigh', atMs: -10 * 86_400_000 }],
  });
  // 60 % of 156.5 is 93.9, floored to 92; forty under it 52, which 33.3 % makes.
  const plan = composeSession(
    {
      goal: 'passive',
      schoolId: 'clinic',
      exercises: [
        testExercise(
          { percentLop: 33.3 },
          { ...passive, movements: [{ by: 're-entry', figure: 'percent-lop', to: 60 }] },
        ),
      ],
    },
    basis,
  ).plan;

  it('adds ten on each day that the day before was done and tolerated, to its bound', () => {
    const course = new LivedCourse(plan, { basis });
    expect([0, 1].map((day) => mmHg(course.live(day)))).toEqual([52, 62]);
    expect(said(course, 2)).toEqual(['39.7 % → 46.1 %: day 3 of re-entry, 62 mmHg before.']);
    // A second session of the day is as the first.
    expect(mmHg(course.live(1))).toBe(62);
    expect(mmHg(course.live(2, { tolerated: false }))).toBe(72);
    expect(mmHg(course.live(3))).toBe(72);
    // A day missed waits, and a day after it goes on.
    expect([5, 6, 7, 8, 9].map((day) => mmHg(course.live(day)))).toEqual([72, 82, 92, 92, 92]);
    expect(share(course.live(10))).toBe(60);
  });

  it('never goes over a cap that came later', () => {
    const capped = { ...basis, limits: limited({ maxPercentLop: 45 }) };
    const course = new LivedCourse(plan, { basis: capped });
    expect([0, 1, 2, 3].map((day) => mmHg(course.live(day)))).toEqual([52, 62, 70, 70]);
  });
});

describe('by the review, inside bounds (REV-10, CRS-3)', () => {
  const MOVES: Movement[] = [
    { by: 'week', figure: 'percent-lop', step: 5, to: 60 },
    { by: 'review', figure: 'percent-1rm', to: 33 },
  ];
  const heavier = { changes: [{ loadSteps: 1 }] };

  it('raises one of pressure and load in a session, the one that has waited longest', () => {
    const course = new LivedCourse(knee(50, MOVES), OLD_HAND);
    course.live(0, heavier);
    // Day 3: the week has not turned, so the load goes up: 10 kg → 12.5 kg of 40, 31.4 %.
    expect(weighedLoad(course.live(3, heavier)).load.value).toBe(12.5);
    // Day 7: the pressure is due since day 7, the load since day 3.
    const seventh = course.live(7, heavier);
    // 15 kg would be 37.5 %, past 33: the load stays, and the pressure may rise.
    expect([share(seventh), weighedLoad(seventh).load.value]).toEqual([55, 12.5]);
  });

  it('lowers by the step of a bad session, and raises nothing with it', () => {
    const course = new LivedCourse(knee(50, MOVES), OLD_HAND);
    course.live(0, { tolerated: false, changes: [{ loadSteps: -1 }] });
    const next = course.live(7);
    expect([share(next), weighedLoad(next).load.value]).toEqual([50, 7.5]);
    const stop = { tolerated: false, changes: [{ pressurePoints: -10 }] };
    course.live(10, stop);
    expect(share(course.live(14))).toBe(45);
  });

  it('lets what is steady come down and back up to what was signed, never past it', () => {
    const course = new LivedCourse(knee(60, []), OLD_HAND);
    course.live(0, { changes: [{ pressurePoints: -10 }] });
    expect(share(course.live(3, { changes: [{ pressurePoints: 5 }] }))).toBe(50);
    expect(share(course.live(7, { changes: [{ pressurePoints: 5 }] }))).toBe(55);
    expect(share(course.live(10, { changes: [{ pressurePoints: 5 }] }))).toBe(60);
    expect(share(course.live(14))).toBe(60);
  });

  it('takes two steps of load back after 21 days and everything after 42', () => {
    const course = new LivedCourse(knee(60, [{ by: 'review', figure: 'percent-1rm', to: 40 }]), OLD_HAND);
    course.live(0, heavier);
    course.live(3, heavier);
    expect(weighedLoad(course.live(7)).load.value).toBe(15);
    expect(weighedLoad(course.live(28)).load.value).toBe(10);
  });
});

describe('weeks with fewer sets (CRS-5)', () => {
  it('count weeks that were trained, floor the sets, and raise nothing', () => {
    const plan: Plan = { ...knee(40, [RAMP]), deload: { everyWeeks: 3, setsPercent: 60 } };
    const course = new LivedCourse(plan);
    const sets = (day: number) => course.live(day).exercises[0]?.sets.length;
    // The second week is missed: the third of the calendar is the second trained, the fourth is the deload.
    expect([0, 14, 21, 24, 28].map(sets)).toEqual([4, 4, 2, 2, 4]);
    expect(course.opened.map(({ exercises }) => exercises[0]?.limbs[0]?.value)).toEqual([40, 45, 45, 45, 50]);
  });
});

describe('eight weeks of cycling (CRS-1)', () => {
  const cycling = (movements: Movement[]): Plan =>
    composeSession(
      {
        goal: 'aerobic',
        schoolId: 'research-consensus',
        exercises: [
          testExercise(
            { percentLop: 40, position: 'sitting' },
            {
              exerciseId: 'cycling',
              protocolId: 'aerobic',
              load: { kind: 'unweighed', with: 'ergometer' },
              intensity: { by: 'watts', watts: 95 },
              sets: [{ work: { kind: 'timed', workMs: 600_000 }, restMs: 60_000, release: true }],
              movements,
            },
          ),
        ],
      },
      testBasis(),
    ).plan;

  it('adds watts and minutes by the week, one of them at a time', () => {
    const course = new LivedCourse(
      cycling([
        { by: 'week', figure: 'watts', step: 5, to: 110 },
        { by: 'week', figure: 'minutes', step: 2, to: 14 },
      ]),
      OLD_HAND,
    );
    const row = (day: number) => {
      const [exercise] = course.live(day).exercises;
      const work = exercise?.sets[0]?.work;
      return [
        exercise?.intensity?.by === 'watts' && exercise.intensity.watts,
        work?.kind === 'timed' && work.workMs / 60_000,
      ];
    };
    expect([0, 3, 7, 9, 14, 16, 21, 23, 28].map(row)).toEqual([
      [95, 10],
      [95, 10],
      [100, 10],
      [100, 12],
      [105, 12],
      [105, 14],
      [110, 14],
      [110, 14],
      [110, 14],
    ]);
    // 21 days off: two steps of each.
    expect(row(49)).toEqual([100, 10]);
  });
});

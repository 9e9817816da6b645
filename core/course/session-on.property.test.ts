import fc from 'fast-check';
import { expect, it } from 'vitest';
import type { ExerciseChoice } from '../plan/choices';
import { choicesOf } from '../plan/choices-of';
import { composeSession } from '../plan/compose';
import { FIGURE_KINDS, type FigureId } from '../plan/figure-ids';
import { figureValue } from '../plan/figures';
import { isRise } from '../plan/move';
import type { Movement } from '../plan/movement';
import type { Plan } from '../plan/plan';
import { measuredTarget, testBasis, testExercise, testSession, trainedWeeks } from '../plan/plan.fixture';
import type { Change } from '../review/change';
import { limited } from '../screening/clearance.fixture';
import { LivedCourse } from './course.fixture';

// Two exercises on two limbs, each with movements of its own; a newcomer or not, under a cap or not; days as they come.
const anyMovements = (start: { percentLop: number; percentOneRepMax: number }): fc.Arbitrary<Movement[]> => {
  const to = fc.integer({ min: start.percentLop, max: 80 });
  const load = fc.integer({ min: start.percentOneRepMax, max: 40 });
  const pressure = fc.oneof(
    fc.record({ by: fc.constant('ramp' as const), figure: fc.constant('percent-lop' as const), to }),
    fc.record({ by: fc.constant('review' as const), figure: fc.constant('percent-lop' as const), to }),
    fc.record({
      by: fc.constant('week' as const),
      figure: fc.constant('percent-lop' as const),
      step: fc.integer({ min: 1, max: 10 }),
      to,
    }),
  );
  const lifted = fc.oneof(
    fc.record({ by: fc.constant('review' as const), figure: fc.constant('percent-1rm' as const), to: load }),
    fc.record({
      by: fc.constant('week' as const),
      figure: fc.constant('percent-1rm' as const),
      step: fc.integer({ min: 1, max: 5 }),
      to: load,
    }),
  );
  const volume = fc.record({
    by: fc.constant('week' as const),
    figure: fc.constant('sets' as const),
    step: fc.constant(1),
    to: fc.integer({ min: 4, max: 6 }),
  });
  return fc
    .tuple(fc.option(pressure), fc.option(lifted), fc.option(volume))
    .map((all) => all.filter((one) => one !== null));
};

const anyExercise = (limb: 'left-thigh' | 'right-thigh'): fc.Arbitrary<ExerciseChoice> =>
  fc
    .record({
      percentLop: fc.integer({ min: 40, max: 60 }),
      percentOneRepMax: fc.integer({ min: 20, max: 30 }),
    })
    .chain((start) =>
      anyMovements(start).map((movements) => testExercise({ limb, ...start }, { movements })),
    );

const anyPlan: fc.Arbitrary<Plan> = fc
  .tuple(
    anyExercise('left-thigh'),
    anyExercise('right-thigh'),
    fc.option(fc.record({ everyWeeks: fc.integer({ min: 3, max: 5 }), setsPercent: fc.constant(50) })),
  )
  .map(
    ([one, other, deload]) =>
      composeSession(
        { ...testSession(), exercises: [one, other], ...(deload ? { deload } : {}) },
        testBasis(),
      ).plan,
  );

const anyBasis = fc
  .record({ isNew: fc.boolean(), cap: fc.option(fc.integer({ min: 30, max: 70 })) })
  .map(({ isNew, cap }) =>
    testBasis({
      done: isNew ? [] : trainedWeeks(12),
      ...(cap === null ? {} : { limits: limited({ maxPercentLop: cap }) }),
    }),
  );

const anyChange = fc.record(
  {
    pressurePoints: fc.constantFrom(-10, 0, 5),
    loadSteps: fc.constantFrom(-1, 0, 1),
  },
  { requiredKeys: [] },
);
const anyDays = fc.array(
  fc.record({
    gap: fc.oneof(fc.integer({ min: 1, max: 9 }), fc.constantFrom(21, 30, 42, 60)),
    tolerated: fc.boolean(),
    changes: fc.tuple(anyChange, anyChange),
  }),
  { minLength: 1, maxLength: 14 },
);

const mostOf = (choice: ExerciseChoice, figure: FigureId): number =>
  Math.max(
    figureValue(choice, figure) ?? 0,
    choice.movements?.find((movement) => movement.figure === figure)?.to ?? 0,
  );

/** Lives the days; hands each morning with the session it opened. */
function livedThrough(
  plan: Plan,
  basis: ReturnType<typeof testBasis>,
  days: readonly { gap: number; tolerated: boolean; changes: readonly Change[] }[],
  look: (course: LivedCourse, day: number, opened: Plan) => void,
) {
  const course = new LivedCourse(plan, { basis });
  let day = 0;
  for (const { gap, tolerated, changes } of days) {
    look(course, day, course.live(day, { tolerated, changes }));
    day += gap;
  }
  return { course, day };
}

it('opens nothing past a bound, and no finding that was not there when it was signed but for what is on record now (CRS-4)', () => {
  fc.assert(
    fc.property(anyPlan, anyBasis, anyDays, (plan, basis, days) => {
      const signed = choicesOf(plan).exercises;
      livedThrough(plan, basis, days, (_, __, opened) => {
        opened.exercises.forEach((exercise, place) => {
          const choice = signed[place] as ExerciseChoice;
          const { percentLop } = measuredTarget(opened, place);
          expect(percentLop).toBeLessThanOrEqual(mostOf(choice, 'percent-lop'));
          expect(percentLop).toBeLessThanOrEqual(80);
          const cap = basis.limits['left-thigh'].maxPercentLop;
          if (cap !== null) expect(percentLop).toBeLessThanOrEqual(cap);
          expect(exercise.sets.length).toBeLessThanOrEqual(mostOf(choice, 'sets'));
          if (exercise.load.kind === 'weighed')
            expect(exercise.load.truePercent).toBeLessThanOrEqual(
              Math.max(exercise.load.percentOneRepMax, mostOf(choice, 'percent-1rm')),
            );
        });
      });
    }),
    { numRuns: 150 },
  );
});

it('raises at most one of pressure, load and volume of an exercise, and nothing after a bad session (CRS-3)', () => {
  fc.assert(
    fc.property(anyPlan, anyBasis, anyDays, (plan, basis, days) => {
      const { course, day } = livedThrough(plan, basis, days, () => {});
      const { moves } = course.on(day);
      for (const place of [0, 1]) {
        const own = moves.filter((move) => move.exerciseIndex === place && isRise(move));
        const kg = own.filter(({ figure }) => figure !== 'percent-1rm');
        expect(new Set(kg.map(({ figure }) => FIGURE_KINDS[figure])).size).toBeLessThanOrEqual(1);
      }
      if (days.at(-1)?.tolerated === false) expect(moves.filter(isRise)).toEqual([]);
    }),
    { numRuns: 200 },
  );
});

it('gives the same for the same, and never more after a bad session than after a good one (CRS-2, CRS-5)', () => {
  fc.assert(
    fc.property(anyPlan, anyBasis, anyDays, fc.integer({ min: 1, max: 50 }), (plan, basis, days, later) => {
      const so = (last: { tolerated: boolean }) =>
        livedThrough(
          plan,
          basis,
          days.map((one, at) => (at === days.length - 1 ? { ...one, ...last, gap: later } : one)),
          () => {},
        );
      const [good, same, bad] = [so({ tolerated: true }), so({ tolerated: true }), so({ tolerated: false })];
      expect(good.course.on(good.day)).toEqual(same.course.on(same.day));
      const of = ({ course, day }: typeof good) => course.on(day).session.exercises;
      of(bad).forEach((choice, place) => {
        const other = of(good)[place] as ExerciseChoice;
        for (const figure of ['percent-lop', 'percent-1rm'] as const)
          expect(figureValue(choice, figure)).toBeLessThanOrEqual(figureValue(other, figure) ?? 0);
      });
    }),
    { numRuns: 150 },
  );
});

it('says in the morning what the day opens (CRS-2)', () => {
  fc.assert(
    fc.property(anyPlan, anyBasis, anyDays, (plan, basis, days) => {
      const { course, day } = livedThrough(plan, basis, days, () => {});
      const morning = course.on(day).session;
      expect(choicesOf(course.live(day)).exercises).toEqual(morning.exercises);
    }),
    { numRuns: 100 },
  );
});

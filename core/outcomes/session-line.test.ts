import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { englishOf } from '#language/english-of.fixture';
import { type SessionChoice, setsOf } from '../plan/choices';
import { compile } from '../plan/compile';
import { composeSession } from '../plan/compose';
import { doseOf } from '../plan/dose';
import type { Plan } from '../plan/plan';
import { testBasis, testExercise } from '../plan/plan.fixture';
import { alternate } from '../plan/superset';
import { EXERCISES, type Library } from '../protocol/exercises';
import type { Limb } from '../quantity/limb';
import { anyPlan } from '../session/decide/wide.fixture';
import { amountDone, enteredEvents } from '../session/entered';
import { liveTimeline } from '../session/live-timeline';
import { foldAll, logOf, START_MS, WHOLE_SESSION } from '../session/session.fixture';
import { addUp, byPeriod, type LoggedSession } from './add-up';
import { sessionLine } from './session-line';

const library = EXERCISES as Library;
const DAY_MS = 86_400_000;
const session = (...exercises: SessionChoice['exercises']): SessionChoice => ({
  goal: 'size',
  schoolId: 'research-consensus',
  exercises,
});
const { plan: one } = composeSession(session(testExercise()), testBasis());

/** A plan done as it was planned, on paper. */
function doneAll(plan: Plan) {
  const sets = compile(plan).sets.map((set) => ({
    exerciseIndex: set.exerciseIndex,
    setIndex: set.setIndex,
    ...amountDone(set, set.reps),
    effort: 6,
  }));
  const events = enteredEvents(plan, { startedAtMs: START_MS, sets, jointPain: 2, signs: [] }, START_MS);
  return foldAll(plan, logOf(events.map(({ afterMs, body }) => [afterMs / 1000, body])));
}

describe('a session in one line (RUN-5)', () => {
  it('says what was done, set by set, with the rests really taken, as worked by hand', () => {
    const line = sessionLine(one, foldAll(one, logOf(WHOLE_SESSION)));
    const [exercise] = line.exercises;
    expect(englishOf(exercise)).toMatchObject({ label: 'Knee extension', volumeKgReps: 73 * 10 });
    expect(
      exercise?.sets.map(({ reps, plannedReps, restMs, fromMs }) => [reps, plannedReps, restMs, fromMs]),
    ).toEqual([
      [30, 30, 30_000, 25_000],
      [15, 15, 30_000, 115_000],
      [15, 15, 30_000, 175_000],
      [13, 15, null, 235_000],
    ]);
    expect(englishOf(line)).toMatchObject({ reps: 73, plannedReps: 75, effort: 6, worstPain: 1, signs: [] });
    // 104 mmHg for 15 s, then 100 for 255: 26 + 425 mmHg·min, of an LOP of 174.
    expect(exercise?.limbs).toEqual([
      {
        limb: 'left-thigh',
        occludedMs: 270_000,
        pressureTimeMmHgMin: 451,
        percentLopMin: expect.closeTo(259.195, 3),
      },
    ]);
    expect(line.inflations).toEqual([
      { limb: 'left-thigh', occludedMs: 270_000, percentLop: 57.6, cuff: 'L thigh 11.5', signs: [] },
    ]);
    expect(line.isEnteredLater).toBe(false);
  });

  it('gives each exercise of a superset its own, a rest to the set before it', () => {
    const quick = setsOf('quick-pair', 30_000, 60_000);
    const bodyWeight = { kind: 'unweighed', with: 'body weight' } as const;
    const superset = alternate(
      session(
        testExercise({}, { sets: quick }),
        testExercise({ exerciseId: 'leg-curl-lying' }, { sets: quick, load: bodyWeight }),
      ),
      1,
      true,
    );
    const { plan } = composeSession(superset, testBasis());
    const line = sessionLine(plan, doneAll(plan));
    // 20 s settling, sets of 60 and 40 s with 30 s between: A1 to B1 110, B1 to A2 90, A2 to B2 70, B2 to its end 40.
    expect(line.exercises.map(({ limbs }) => limbs[0]?.occludedMs)).toEqual([180_000, 130_000]);
    expect(line.exercises.map(({ sets }) => sets.length)).toEqual([2, 2]);
    const totals = addUp([{ id: 'a', startedAtMs: START_MS, coursePlanId: 'p', line }], library, 0);
    expect(totals.muscles.map(({ muscle, sets, occludedMs }) => [muscle, sets, occludedMs])).toEqual([
      ['quadriceps', 2, 180_000],
      ['hamstrings', 2, 130_000],
    ]);
  });

  it('adds up to the dose of the session, whatever was planned', () => {
    fc.assert(
      fc.property(anyPlan, (plan) => {
        const state = doneAll(plan);
        const line = sessionLine(plan, state);
        const dose = doseOf(liveTimeline(plan, state, state.finishedAtMs ?? 0));
        const totals = addUp([{ id: 'a', startedAtMs: START_MS, coursePlanId: 'p', line }], library, 0);
        expect(totals).toMatchObject({ sessions: 1, reps: dose.reps, occludedMs: dose.occludedMs });
        expect(totals.volumeKgReps).toBeCloseTo(dose.volumeKgReps, 6);
        for (const limb of dose.limbs) {
          const sum = totals.limbs.find((given) => given.limb === limb.limb);
          expect(sum?.occludedMs).toBeCloseTo(limb.totalOcclusionMs, 6);
          expect(sum?.pressureTimeMmHgMin ?? 0).toBeCloseTo(limb.pressureTimeMmHgMin ?? 0, 3);
          expect(sum?.percentLopMin ?? 0).toBeCloseTo(limb.relativePressureTimePercentLopMin ?? 0, 3);
        }
      }),
    );
  });
});

describe('the log added up', () => {
  const line = sessionLine(one, foldAll(one, logOf(WHOLE_SESSION)));
  // 2027-01-15 is a Friday.
  const on = (days: number): LoggedSession => ({
    id: `${days}`,
    startedAtMs: START_MS + days * DAY_MS,
    coursePlanId: 'p',
    line,
  });

  it('goes by days and weeks from Monday, the newest first, and adds up to the whole', () => {
    const sessions = [on(0), on(2), on(3), on(3.1), on(10)];
    const weeks = byPeriod(sessions, 'week', library, 0);
    expect(weeks.map(({ totals }) => [totals.sessions, totals.days])).toEqual([
      [1, 1],
      [2, 1],
      [2, 2],
    ]);
    expect(byPeriod(sessions, 'day', library, 0)).toHaveLength(4);
    const [whole] = byPeriod(sessions, 'all', library, 0);
    expect(whole?.totals).toMatchObject({
      sessions: 5,
      reps: 5 * 73,
      occludedMs: 5 * 270_000,
      volumeKgReps: 5 * 730,
    });
    for (const of of ['sessions', 'reps', 'sets', 'occludedMs', 'volumeKgReps'] as const) {
      expect(weeks.reduce((sum, { totals }) => sum + totals[of], 0)).toBeCloseTo(whole?.totals[of] ?? 0, 6);
    }
    expect(byPeriod([], 'all', library, 0)).toEqual([]);
  });

  it('counts days by the practice’s clock', () => {
    const late = [on(0), { ...on(0), id: 'b', startedAtMs: START_MS + 20 * 3_600_000 }];
    expect(addUp(late, library, 0).days).toBe(2);
    expect(addUp(late, library, -5 * 3_600_000).days).toBe(1);
  });

  it('halves the volume of a set of two limbs, and gives passive work no sets', () => {
    const [exercise] = line.exercises;
    const [limb] = exercise?.limbs ?? [];
    if (!exercise || !limb) return expect.unreachable();
    const both = { ...exercise, limbs: [limb, { ...limb, limb: 'right-thigh' as const }] };
    const passive = { ...exercise, mode: 'passive' as const };
    const { limbs, volumeKgReps, sets } = addUp(
      [{ ...on(0), line: { ...line, exercises: [both, passive] } }],
      library,
      0,
    );
    expect(volumeKgReps).toBe(730);
    expect(limbs.map((given) => [given.limb, given.volumeKgReps, given.sets])).toEqual([
      ['left-thigh', 365 + 730, 4],
      ['right-thigh', 365, 4],
    ]);
    expect(sets).toBe(4);
  });
});

describe('what a line says of a session', () => {
  it('is the worst of several pains, the last effort, and whether it was entered later', () => {
    const noted = [
      ...WHOLE_SESSION.slice(0, -1),
      [272, { type: 'set-noted', exerciseIndex: 0, setIndex: 1, jointPain: 3, effort: 5 }],
      [280, { type: 'session-finished' }],
    ] as typeof WHOLE_SESSION;
    const line = sessionLine(one, foldAll(one, logOf(noted)));
    expect(englishOf(line)).toMatchObject({ worstPain: 3, effort: 5, isEnteredLater: false });
    expect(line.exercises[0]?.sets.map(({ effort, jointPain }) => [effort, jointPain]).slice(0, 2)).toEqual([
      [6, 1],
      [5, 3],
    ]);
    expect(sessionLine(one, doneAll(one)).isEnteredLater).toBe(true);
    const silent = WHOLE_SESSION.filter(([, { type }]) => type !== 'set-noted');
    expect(englishOf(sessionLine(one, foldAll(one, logOf(silent))))).toMatchObject({
      worstPain: null,
      effort: null,
    });
  });

  it('has nothing of an exercise that was not begun', () => {
    const { plan } = composeSession(
      session(testExercise(), testExercise({ exerciseId: 'leg-press' })),
      testBasis(),
    );
    const line = sessionLine(plan, foldAll(plan, logOf(WHOLE_SESSION)));
    expect(line.exercises.map(({ exerciseId }) => exerciseId)).toEqual(['knee-extension']);
    expect(line.plannedReps).toBe(150);
  });

  it('names what was worn, and has no share of LOP where no pressure is known', () => {
    const [shown] = sessionLine(one, foldAll(one, logOf(WHOLE_SESSION))).inflations;
    expect(shown).toMatchObject({ cuff: 'L thigh 11.5', percentLop: 57.6 });
    const [exercise] = one.exercises;
    if (!exercise) return expect.unreachable();
    const strapped: Plan = {
      ...one,
      exercises: [
        {
          ...exercise,
          limbs: [
            {
              kind: 'by-feel',
              limb: 'left-thigh',
              strapId: 's',
              strapLabel: 'Marked strap',
              mark: 6,
              felt: 7,
            } as never,
          ],
        },
      ],
    };
    const byFeel = WHOLE_SESSION.map(
      ([after, event]) =>
        [after, event.type === 'cuff-inflated' ? { ...event, pressureMmHg: null } : event] as never,
    );
    const [felt] = sessionLine(strapped, foldAll(strapped, logOf(byFeel))).inflations;
    expect(felt).toMatchObject({ cuff: 'Marked strap', percentLop: null });
  });
});

describe('muscles and limbs added up', () => {
  it('are sorted by sets, then by time, and limbs in the order of the body', () => {
    const line = sessionLine(one, foldAll(one, logOf(WHOLE_SESSION)));
    const [exercise] = line.exercises;
    const [limb] = exercise?.limbs ?? [];
    if (!exercise || !limb) return expect.unreachable();
    const of = (exerciseId: string, on: Limb, sets: number, occludedMs: number) => ({
      ...exercise,
      exerciseId,
      sets: exercise.sets.slice(0, sets),
      limbs: [{ ...limb, limb: on, occludedMs }],
    });
    const exercises = [
      of('knee-extension', 'right-thigh', 2, 100),
      of('elbow-flexion', 'left-arm', 3, 100),
      of('knee-extension', 'left-thigh', 2, 200),
    ];
    const { muscles, limbs, plannedReps } = addUp(
      [{ id: 'a', startedAtMs: START_MS, coursePlanId: 'p', line: { ...line, exercises, plannedReps: 75 } }],
      library,
      0,
    );
    expect(limbs.map((given) => given.limb)).toEqual(['left-arm', 'left-thigh', 'right-thigh']);
    expect(muscles.map(({ limb: on, sets, occludedMs }) => [on, sets, occludedMs])).toEqual([
      ['left-arm', 3, 100],
      ['left-thigh', 2, 200],
      ['right-thigh', 2, 100],
    ]);
    expect(plannedReps).toBe(75);
  });
});

describe('signs of an inflation (OUT-7)', () => {
  it('are what was noted from then on until a cuff next went up', () => {
    const noted = [
      ...WHOLE_SESSION.slice(0, -1),
      [280, { type: 'sign-noted', sign: 'numb-or-tingling' }],
      [290, { type: 'session-finished' }],
    ] as typeof WHOLE_SESSION;
    const line = sessionLine(one, foldAll(one, logOf(noted)));
    expect(line.signs).toEqual(['numb-or-tingling']);
    expect(line.inflations.map(({ signs }) => signs)).toEqual([['numb-or-tingling']]);
    const again = [
      ...WHOLE_SESSION.slice(0, -1),
      [275, { type: 'sign-noted', sign: 'burn' }],
      [340, { type: 'cuff-inflated', limb: 'left-thigh', pressureMmHg: 104 }],
      [350, { type: 'sign-noted', sign: 'dizzy' }],
      [360, { type: 'cuff-released', limb: 'left-thigh' }],
      [370, { type: 'session-finished' }],
    ] as typeof WHOLE_SESSION;
    expect(sessionLine(one, foldAll(one, logOf(again))).inflations.map(({ signs }) => signs)).toEqual([
      ['burn'],
      ['dizzy'],
    ]);
  });
});

import { describe, expect, it } from 'vitest';
import { englishOf } from '#language/english-of.fixture';
import { setsOf } from '../plan/choices';
import { compile } from '../plan/compile';
import { composeSession } from '../plan/compose';
import { doseOf } from '../plan/dose';
import { testBasis, testExercise, testPlan, testSession } from '../plan/plan.fixture';
import { summaryOf } from '../review/summary';
import { strappedPlan } from './decide/wide.fixture';
import {
  checkEntered,
  type EnteredSession,
  enteredEvents,
  enteredSessionSchema,
  readAsPlanned,
} from './entered';
import { liveTimeline } from './live-timeline';
import { foldAll, logOf, START_MS } from './session.fixture';
import { twoLimbs } from './two-limbs.fixture';

const { plan } = testPlan();
const set = (setIndex: number, reps: number, effort: number | null = null, exerciseIndex = 0) => ({
  exerciseIndex,
  setIndex,
  reps,
  lastedMs: null,
  effort,
});
const whole: EnteredSession = {
  startedAtMs: START_MS,
  sets: [set(0, 30, 5), set(1, 15), set(2, 15), set(3, 12, 8)],
  jointPain: 2,
  signs: [],
};
const folded = (entered: EnteredSession, of = plan) =>
  foldAll(
    of,
    logOf(
      enteredEvents(of, entered, START_MS + 86_400_000).map(({ afterMs, body }) => [afterMs / 1000, body]),
    ),
  );

describe('a session entered later (RUN-5)', () => {
  it('folds to the sets that were done, at the times of the plan and the pressures that were read, and says that it was entered', () => {
    const state = folded({
      ...whole,
      sets: whole.sets.map((one) => ({ ...one, ...readAsPlanned(plan, one) })),
    });
    expect(state.enteredAtMs).toBe(START_MS + 86_400_000);
    expect(state.finishedAtMs).not.toBeNull();
    expect(
      state.sets.map(({ countedReps, reason, effort, jointPain }) => [
        countedReps,
        reason,
        effort,
        jointPain,
      ]),
    ).toEqual([
      [30, 'done', 5, null],
      [15, 'done', null, null],
      [15, 'done', null, null],
      [12, 'failure', 8, 2],
    ]);
    const [planned, done] = [
      doseOf(compile(plan)),
      doseOf(liveTimeline(plan, state, state.finishedAtMs ?? 0)),
    ];
    expect(done.limbs).toEqual(planned.limbs);
    expect(summaryOf(plan, state, null)).toMatchObject({
      worked: [{ exerciseId: 'knee-extension' }],
      reviewed: false,
    });
  });

  it('does not take a pressure that was not read for the planned one, nor for none (RUN-10)', () => {
    const unread = folded(whole);
    expect(unread.limbs[0]?.inflations[0]?.steps).toMatchObject([{ pressureMmHg: null }]);
    const [dose] = doseOf(liveTimeline(plan, unread, unread.finishedAtMs ?? 0)).limbs;
    expect(dose).toMatchObject({ pressureTimeMmHgMin: null });
    expect(dose?.longestContinuousMs).toBeGreaterThan(200_000);
    // 96 in the first set, 100 in the third; between them it was not looked at.
    const read = (pressureMmHg: number) => ({ read: [{ limb: 'left-thigh' as const, pressureMmHg }] });
    const some = folded({
      ...whole,
      sets: [{ ...set(0, 30), ...read(96) }, set(1, 15), { ...set(2, 15), ...read(100) }],
    });
    const steps = some.limbs[0]?.inflations[0]?.steps.map(({ pressureMmHg }) => pressureMmHg);
    expect(steps).toEqual([96, 96, 100]);
    expect(some.loosenedMmHg).toEqual({});
  });

  it('keeps colour, heart rate, what the machine showed and blood pressures, each where it belongs', () => {
    const reading = { systolicMmHg: 150, diastolicMmHg: 88 };
    const state = folded({
      ...whole,
      sets: [
        {
          ...set(0, 30),
          colourGood: true,
          heartRates: [{ moment: 'minute-5', beatsPerMinute: 112 }],
          output: { watts: 60 },
        },
        { ...set(1, 15), colourGood: false },
      ],
      bloodPressures: [
        { moment: 'before', reading },
        { moment: 'minute-5', reading },
      ],
    });
    expect(state.sets).toMatchObject([
      { colourGood: true, heartRates: [{ moment: 'minute-5', beatsPerMinute: 112 }], output: { watts: 60 } },
      { colourGood: false, heartRates: [], output: null },
    ]);
    expect(state.bloodPressures.map(({ moment }) => moment)).toEqual(['before', 'minute-5']);
    expect(state.finishedAtMs).not.toBeNull();
  });

  it('moves a strap to the mark it was worn at, and back, however many steps (TIGHT)', () => {
    const worn = (mark: number) => ({ marks: [{ limb: 'left-thigh' as const, mark }] });
    const at = (...marks: number[]) =>
      folded(
        { ...whole, sets: marks.map((mark, place) => ({ ...set(place, 15), ...worn(mark) })) },
        strappedPlan,
      ).marksMoved['left-thigh'] ?? 0;
    expect(at(6)).toBe(0);
    expect(at(4)).toBe(-2);
    expect(at(4, 7)).toBe(1);
  });

  it('says of a set how often or how long, and never both or neither', () => {
    const isTaken = (changes: object) =>
      enteredSessionSchema.safeParse({ ...whole, sets: [{ ...set(0, 30), ...changes }] }).success;
    expect(isTaken({})).toBe(true);
    expect(isTaken({ reps: null, lastedMs: 60_000 })).toBe(true);
    expect(isTaken({ lastedMs: 60_000 })).toBe(false);
    expect(isTaken({ reps: null })).toBe(false);
  });

  it('lets the cuff down after the last set that was done, and leaves out what was not', () => {
    const state = folded({ ...whole, sets: [set(0, 30), set(1, 10)], jointPain: null });
    expect(state.sets).toHaveLength(2);
    const timeline = compile(plan);
    const inflation = state.limbs[0]?.inflations[0];
    expect((inflation?.toMs ?? 0) - START_MS).toBe(timeline.sets[1]?.toMs);
    expect(state.sets[1]?.jointPain).toBeNull();
  });

  it('keeps both limbs of a pair, and the signs', () => {
    const state = folded({ ...whole, sets: [set(0, 20)], signs: ['dizzy'] }, twoLimbs);
    expect(state.limbs.map(({ inflations }) => inflations.length)).toEqual(
      twoLimbs.exercises[0]?.limbs.map(() => 1),
    );
    expect(state.limbs.every(({ inflations }) => inflations.every(({ toMs }) => toMs !== null))).toBe(true);
    expect(state.signs.map(({ sign }) => sign)).toEqual(['dizzy']);
  });

  it('takes the minutes that a timed set really lasted, shorter or longer; what is left empty was not done (RUN-10)', () => {
    const timed = composeSession(
      testSession(
        testExercise(
          {
            exerciseId: 'passive-cuff-leg',
            position: 'lying',
            protocolId: 'passive-recovery',
            percentLop: 80,
          },
          { sets: setsOf('passive-recovery', 60_000, 0) },
        ),
      ),
      testBasis(),
    ).plan;
    const minutes = (setIndex: number, lasted: number) => ({
      exerciseIndex: 0,
      setIndex,
      reps: null,
      lastedMs: lasted * 60_000,
      effort: null,
    });
    const entered = { ...whole, sets: [minutes(0, 4), minutes(1, 6)], jointPain: null };
    expect(checkEntered(timed, entered)).toEqual([]);
    const state = folded(entered, timed);
    const lasted = state.sets.map(({ startedAtMs, endedAtMs, reason }) => [
      ((endedAtMs ?? 0) - startedAtMs) / 60_000,
      reason,
    ]);
    expect(lasted).toEqual([
      [4, 'operator'],
      [6, 'done'],
    ]);
    const up = state.limbs[0]?.inflations.map(({ fromMs, toMs }) => ((toMs ?? 0) - fromMs) / 60_000);
    // It goes up twenty seconds before the first set.
    expect(up).toEqual([4 + 20 / 60, 6]);
    // One that lasted longer moves what comes after it on.
    const longer = folded({ ...entered, sets: [minutes(0, 7), minutes(1, 5)] }, timed);
    const [first, second] = longer.sets;
    const [planned, next] = compile(timed).sets;
    const restMs = (next?.fromMs ?? 0) - (planned?.toMs ?? 0);
    expect((second?.startedAtMs ?? 0) - (first?.endedAtMs ?? 0)).toBe(restMs);
    expect(englishOf(checkEntered(timed, { sets: [set(0, 4)] }))).toEqual([
      { place: 0, message: 'Set 1 is timed: enter its minutes.' },
    ]);
    expect(englishOf(checkEntered(plan, { sets: [minutes(2, 1)] }))).toEqual([
      { place: 0, message: 'Set 3 is counted: enter its repetitions.' },
    ]);
  });
});

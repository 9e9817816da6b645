import { describe, expect, it } from 'vitest';
import { englishOf } from '#language/english-of.fixture';
import { type ExerciseChoice, setsOf } from '../plan/choices';
import { composeSession } from '../plan/compose';
import type { Plan } from '../plan/plan';
import { testBasis, testExercise } from '../plan/plan.fixture';
import { laneLimitMs } from '../plan/plan-limit';
import { pacedReps } from '../protocol/set-work';
import { limbClocks } from './clocks';
import { dueEvents } from './decide/owed';
import type { EventBody } from './events';
import { liveTimeline } from './live-timeline';
import { nextStep } from './next-step';
import { foldAll as fold, logOf, START_MS } from './session.fixture';

const at = (seconds: number) => START_MS + seconds * 1000;
const left = { limb: 'left-thigh', pressureMmHg: 104 } as const;
const first = { exerciseIndex: 0, setIndex: 0 };

describe('a session of several exercises and priming (PRO-1, PRS-6)', () => {
  const press = testExercise(
    { exerciseId: 'leg-press', protocolId: 'quick-pair', tempoId: '2-0-2' },
    { load: { kind: 'unweighed', with: 'body weight' } },
  );
  const compose = (...exercises: ExerciseChoice[]) =>
    composeSession({ goal: 'size', schoolId: 'research-consensus', exercises }, testBasis()).plan;
  const stepAt = (over: Plan, seconds: number, log: readonly (readonly [number, EventBody])[]) =>
    nextStep(over, fold(over, logOf(log)), at(seconds));
  const ended = (over: Plan, exerciseIndex: number, setIndex: number, from: number) => {
    const set = over.exercises[exerciseIndex]?.sets[setIndex];
    const toSeconds = from + (set?.lastsMs ?? 0) / 1000;
    const where = { exerciseIndex, setIndex };
    return [
      [from, { type: 'set-started', ...where }],
      [toSeconds, { type: 'set-ended', ...where, reps: (set && pacedReps(set.work)) ?? 0, reason: 'done' }],
      [toSeconds, { type: 'rest-started', ...where, restMs: set?.restMs ?? 0 }],
    ] as (readonly [number, EventBody])[];
  };
  const begun: (readonly [number, EventBody])[] = [
    [0, { type: 'session-started' }],
    [5, { type: 'cuff-inflated', ...left }],
  ];

  it('keeps the one limit of a shared inflation through all its exercises, on clock and strip (PRO-1)', () => {
    const [set1, set2] = setsOf('quick-pair', 30_000, 30_000);
    if (!set1 || !set2) throw new Error('A quick pair has two sets.');
    const on = { ...press, sets: [set1, { ...set2, release: false }] };
    const plan = compose(on, press);
    const log: (readonly [number, EventBody])[] = [...begun];
    const limits: number[] = [];
    const look = (seconds: number) => {
      const state = fold(plan, logOf(log));
      const timeline = liveTimeline(plan, state, at(seconds));
      limits.push(...limbClocks(plan, state, at(seconds)).map(({ limitMs }) => limitMs));
      limits.push(...timeline.lanes.map((lane) => laneLimitMs(plan, lane, timeline)));
    };
    look(6);
    let fromS = 10;
    for (const [exerciseIndex, setIndex] of [
      [0, 0],
      [0, 1],
      [1, 0],
      [1, 1],
    ] as const) {
      log.push(...ended(plan, exerciseIndex, setIndex, fromS).slice(0, 1));
      look(fromS + 5);
      log.push(...ended(plan, exerciseIndex, setIndex, fromS).slice(1));
      fromS += (plan.exercises[exerciseIndex]?.sets[setIndex]?.lastsMs ?? 0) / 1000 + 30;
      look(fromS - 1);
    }
    expect(limits.length).toBeGreaterThan(10);
    expect(new Set(limits)).toEqual(new Set([15 * 60_000]));
  });

  it('goes through the cycles: up 30 s, down 10 s, higher, and then the work', () => {
    const primed = compose({ ...press, primed: true });
    const log: [number, EventBody][] = [[0, { type: 'session-started' }]];
    expect(stepAt(primed, 1, log)).toMatchObject({
      do: 'inflate',
      why: 'priming',
      cuffs: [{ pressureMmHg: 62 }],
    });
    [62, 82, 102, 104].forEach((pressureMmHg, cycle) => {
      const upAt = 10 + 40 * cycle;
      expect(stepAt(primed, upAt, log)).toMatchObject({ do: 'inflate', cuffs: [{ pressureMmHg }] });
      log.push([upAt, { type: 'cuff-inflated', limb: 'left-thigh', pressureMmHg }]);
      expect(stepAt(primed, upAt + 29, log)).toMatchObject({ do: 'wait', why: 'primed-up' });
      expect(stepAt(primed, upAt + 30, log)).toMatchObject({ do: 'release', why: 'priming' });
      log.push([upAt + 30, { type: 'cuff-released', limb: 'left-thigh' }]);
      expect(stepAt(primed, upAt + 35, log)).toMatchObject({ do: 'wait', why: 'primed-down' });
    });
    expect(stepAt(primed, 171, log)).toMatchObject({
      do: 'inflate',
      why: 'set',
      cuffs: [{ pressureMmHg: 104 }],
    });
    log.push([172, { type: 'cuff-inflated', ...left }]);
    expect(stepAt(primed, 173, log)).toMatchObject({ do: 'start-set' });
  });

  it('lets the cuff down between exercises, waits out the rest, and starts the next by hand', () => {
    const two = compose(press, press);
    const log = [...begun, ...ended(two, 0, 0, 20), ...ended(two, 0, 1, 155)];
    expect(stepAt(two, 236, log)).toMatchObject({ do: 'release', why: 'between-exercises' });
    log.push([236, { type: 'cuff-released', limb: 'left-thigh' }]);
    expect(stepAt(two, 290, log)).toMatchObject({ do: 'wait', why: 'rest' });
    expect(stepAt(two, 296, log)).toMatchObject({ do: 'inflate', place: { exerciseIndex: 1, setIndex: 0 } });
    log.push([296, { type: 'cuff-inflated', ...left }]);
    expect(dueEvents(two, fold(two, logOf(log)), at(296))).toEqual([]);
    expect(stepAt(two, 310, log)).toMatchObject({
      do: 'start-set',
      place: { exerciseIndex: 1, setIndex: 0 },
    });
  });

  it('goes straight on in a superset, the cuff still up', () => {
    const sets = press.sets.map((set, i) => (i === 1 ? { ...set, release: false, restMs: 15_000 } : set));
    const two = compose({ ...press, sets }, press);
    const log = [...begun, ...ended(two, 0, 0, 20), ...ended(two, 0, 1, 155)];
    expect(englishOf(dueEvents(two, fold(two, logOf(log)), at(250)))).toMatchObject([
      { atMs: at(250), body: { type: 'set-started', exerciseIndex: 1, setIndex: 0 } },
    ]);
  });

  it('goes from one exercise to the other and back in a superset, the cuff still up', () => {
    const stays = press.sets.map((set) => ({ ...set, release: false, restMs: 15_000 }));
    const two = compose({ ...press, sets: stays }, { ...press, alternates: true });
    const log = [...begun, ...ended(two, 0, 0, 20)];
    expect(stepAt(two, 150, log)).toMatchObject({
      do: 'start-set',
      place: { exerciseIndex: 1, setIndex: 0 },
    });
    log.push(...ended(two, 1, 0, 155));
    expect(stepAt(two, 280, log)).toMatchObject({
      do: 'start-set',
      place: { exerciseIndex: 0, setIndex: 1 },
    });
    log.push(...ended(two, 0, 1, 290), ...ended(two, 1, 1, 385));
    expect(stepAt(two, 470, log)).toMatchObject({ do: 'release', why: 'sets-done' });
  });

  it('gives the next exercise its whole rest: only within one does the cuff come up before it is over', () => {
    const released = testExercise({ protocolId: 'release-75' });
    const two = compose(released, released);
    const log: (readonly [number, EventBody])[] = [...begun];
    const lengths = two.exercises[0]?.sets.map(({ lastsMs }) => lastsMs / 1000) ?? [];
    let from = 20;
    lengths.forEach((seconds, setIndex) => {
      log.push(...ended(two, 0, setIndex, from));
      log.push([from + seconds, { type: 'cuff-released', limb: 'left-thigh' }]);
      const rest = (two.exercises[0]?.sets[setIndex]?.restMs ?? 0) / 1000;
      if (setIndex < lengths.length - 1) {
        expect(stepAt(two, from + seconds + rest - 5, log)).toMatchObject({ do: 'inflate' });
        log.push([from + seconds + rest - 5, { type: 'cuff-inflated', ...left }]);
      } else {
        const over = from + seconds + rest;
        expect(stepAt(two, over - 4, log)).toMatchObject({ do: 'wait', why: 'rest', untilMs: at(over) });
        expect(stepAt(two, over, log)).toMatchObject({ do: 'inflate', place: { exerciseIndex: 1 } });
      }
      from += seconds + rest;
    });
  });

  it('releases the limb that rests before the other one goes up', () => {
    const two = compose(press, testExercise({ limb: 'right-thigh' }));
    const log = [...begun, ...ended(two, 0, 0, 20), ...ended(two, 0, 1, 155)];
    expect(stepAt(two, 236, log)).toMatchObject({ do: 'release', limbs: ['left-thigh'] });
    log.push([236, { type: 'cuff-released', limb: 'left-thigh' }]);
    expect(stepAt(two, 296, log)).toMatchObject({ do: 'inflate', cuffs: [{ limb: 'right-thigh' }] });
  });

  it('ends timed work by the clock', () => {
    const passive = compose(
      testExercise(
        { exerciseId: 'passive-cuff-leg', protocolId: 'passive-recovery' },
        {
          load: { kind: 'unweighed', with: 'limb weight only' },
          sets: setsOf('passive-recovery', 60_000, 0),
        },
      ),
    );
    const log: (readonly [number, EventBody])[] = [...begun, [20, { type: 'set-started', ...first }]];
    expect(dueEvents(passive, fold(passive, logOf(log)), at(319))).toEqual([]);
    expect(englishOf(dueEvents(passive, fold(passive, logOf(log)), at(320))[0])).toMatchObject({
      atMs: at(320),
    });
  });
});

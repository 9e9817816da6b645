import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { englishOf } from '#language/english-of.fixture';
import { doseOf } from '../plan/dose';
import { testPlan } from '../plan/plan.fixture';
import { limbClocks, repsNow, restLeftMs } from './clocks';
import { dueEvents } from './decide/owed';
import type { EventBody, SessionEvent } from './events';
import { liveTimeline } from './live-timeline';
import { mergeLogs } from './log';
import { nextStep } from './next-step';
import { foldAll as fold, logOf, SESSION_ID, START_MS, WHOLE_SESSION } from './session.fixture';
import { totalsOf } from './totals';

const { plan } = testPlan();
const released = testPlan({ protocolId: 'release-75', tempoId: '2-0-2', restMs: 60_000 }).plan;
const whole = logOf(WHOLE_SESSION);
const at = (seconds: number) => START_MS + seconds * 1000;
const upTo = (seconds: number) => logOf(WHOLE_SESSION.filter(([s]) => s <= seconds));
const left = { limb: 'left-thigh', pressureMmHg: 104 } as const;
const first = { exerciseIndex: 0, setIndex: 0 };

describe('fold', () => {
  it('reads a whole session back', () => {
    const state = fold(plan, whole);
    expect(state.sets.map((set) => (set.countedReps ?? 0) + set.correctedBy)).toEqual([30, 15, 15, 13]);
    expect(state.sets[0]).toMatchObject({ effort: 6, jointPain: 1, reason: 'done' });
    expect(state.finishedAtMs).toBe(at(300));
    expect(state.limbs[0]?.inflations).toHaveLength(1);
  });

  it('is the same for any batching, order and repetition of events', () => {
    const expected = fold(plan, whole);
    fc.assert(
      fc.property(
        fc.shuffledSubarray([...whole, ...whole, ...whole.slice(0, 7)], { minLength: 2 * whole.length + 7 }),
        fc.array(fc.integer({ min: 0, max: 40 }), { maxLength: 5 }),
        (shuffled, cuts) => {
          const edges = [0, ...cuts.sort((a, b) => a - b), shuffled.length];
          const batches = edges.slice(1).map((end, i) => shuffled.slice(edges[i], end));
          const log = batches.reduce((known, batch) => mergeLogs(known, batch), mergeLogs());
          expect(log).toHaveLength(whole.length);
          expect(fold(plan, log)).toEqual(expected);
        },
      ),
    );
  });

  it('merges two devices into one order whichever is read first', () => {
    const other = logOf([[90, { type: 'set-noted', ...first, effort: 7 }]], 'phone');
    expect(fold(plan, [...whole, ...other])).toEqual(fold(plan, [...other, ...whole]));
  });

  it('lets events that make no sense where they are change nothing', () => {
    const state = fold(
      plan,
      logOf([
        [0, { type: 'session-started' }],
        [1, { type: 'set-ended', ...first, reps: 30, reason: 'done' }],
        [2, { type: 'cuff-released', limb: 'left-arm' }],
        [3, { type: 'pressure-read', ...left, cause: 'read' }],
        [4, { type: 'set-started', exerciseIndex: 7, setIndex: 0 }],
      ]),
    );
    expect(state.sets).toEqual([]);
    expect(state.limbs).toEqual([]);
  });

  it('keeps the first end of a set that two devices end, and a reason noted before it', () => {
    const ends: [number, EventBody][] = [
      [0, { type: 'session-started' }],
      [5, { type: 'set-started', ...first }],
      [50, { type: 'set-noted', ...first, reason: 'pain' }],
      [60, { type: 'set-ended', ...first, reps: 27, reason: 'done' }],
      [62, { type: 'set-ended', ...first, reps: 28, reason: 'failure' }],
    ];
    const [set] = fold(plan, logOf(ends)).sets;
    expect(set).toMatchObject({ countedReps: 27, reason: 'pain', endedAtMs: START_MS + 60_000 });
  });

  it('takes a second inflation of a cuff that is up as a change of pressure, not a new clock', () => {
    const state = fold(
      plan,
      logOf([
        [0, { type: 'session-started' }],
        [5, { type: 'cuff-inflated', ...left }],
        [60, { type: 'cuff-inflated', ...left, pressureMmHg: 110 }],
      ]),
    );
    expect(limbClocks(plan, state, at(65))[0]).toMatchObject({ clockMs: 60_000, pressureMmHg: 110 });
  });

  it('adds the corrections of two operators', () => {
    const events = [
      ...whole,
      ...logOf([[270, { type: 'reps-corrected', exerciseIndex: 0, setIndex: 3, byReps: -1 }]], 'phone'),
    ];
    expect(doseOf(liveTimeline(plan, fold(plan, events), at(400))).reps).toBe(72);
  });
});

describe('clocks (RUN-1, RUN-2)', () => {
  it('come from event times, so they agree whatever the tick rate', () => {
    const state = fold(plan, upTo(25));
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 5000 }),
        fc.integer({ min: 26_000, max: 80_000 }),
        (tickMs, stopMs) => {
          let nowMs = START_MS + 25_000;
          let last = limbClocks(plan, state, nowMs);
          while (nowMs < START_MS + stopMs) {
            nowMs = Math.min(nowMs + tickMs, START_MS + stopMs);
            last = limbClocks(plan, state, nowMs);
          }
          expect(last).toEqual(limbClocks(plan, state, START_MS + stopMs));
          expect(last[0]?.clockMs).toBe(stopMs - 5_000);
        },
      ),
      { numRuns: 30 },
    );
  });

  it('alarm at 80 % and at 100 % of the plan’s own limit: its guard, or the hard one where it was signed past it', () => {
    const alarm = (over: typeof plan, minutes: number) =>
      limbClocks(over, fold(over, upTo(25)), at(5 + minutes * 60))[0]?.alarm;
    expect([7.9, 8, 9.9, 10].map((m) => alarm(plan, m))).toEqual(['none', 'soon', 'soon', 'now']);
    // 75 repetitions of 4 s and rests of 120 s are 11 min 20 s: a clinician has signed that.
    const long = testPlan({ tempoId: '2-0-2', restMs: 120_000 }).plan;
    expect([15.9, 16, 19.9, 20].map((m) => alarm(long, m))).toEqual(['none', 'soon', 'soon', 'now']);
  });

  it('count repetitions by the pace, with corrections made in the set', () => {
    const state = fold(plan, [
      ...upTo(25),
      ...logOf([[40, { type: 'reps-corrected', ...first, byReps: -2 }]], 'phone'),
    ]);
    expect(repsNow(plan, state, at(45))).toBe(8);
    expect(repsNow(plan, fold(plan, upTo(85)), at(86))).toBeNull();
  });

  it('count the rest down and say how long it is overdue', () => {
    const state = fold(plan, upTo(85));
    expect(restLeftMs(state, at(100))).toBe(15_000);
    expect(restLeftMs(state, at(120))).toBe(-5_000);
    expect(restLeftMs(fold(plan, upTo(115)), at(116))).toBeNull();
  });
});

describe('dose (RUN-5)', () => {
  it('adds up over sessions, per limb and in all', () => {
    const one = doseOf(liveTimeline(plan, fold(plan, whole), at(9999)));
    expect(totalsOf([one, one])).toMatchObject({
      sessions: 2,
      occludedMs: 540_000,
      volumeKgReps: 1460,
      limbs: [{ limb: 'left-thigh', totalOcclusionMs: 540_000, pressureTimeMmHgMin: 902 }],
    });
    expect(totalsOf([])).toMatchObject({ sessions: 0, limbs: [] });
  });

  it('adds up as worked by hand', () => {
    const dose = doseOf(liveTimeline(plan, fold(plan, whole), at(9999)));
    expect(dose).toMatchObject({ reps: 73, volumeKgReps: 730, occludedMs: 270_000 });
    // 15 s at 104 and 255 s at 100 mmHg
    expect(dose.limbs[0]).toMatchObject({
      totalOcclusionMs: 270_000,
      longestContinuousMs: 270_000,
      pressureTimeMmHgMin: (104 * 15 + 100 * 255) / 60,
    });
    expect(dose.limbs[0]?.relativePressureTimePercentLopMin).toBeCloseTo((451 / 174) * 100, 4);
  });

  it('names the longest stretch, wherever in the session it was', () => {
    const stretches: [number, EventBody][] = [
      [0, { type: 'session-started' }],
      [0, { type: 'cuff-inflated', ...left }],
      [300, { type: 'cuff-released', limb: 'left-thigh' }],
      [360, { type: 'cuff-inflated', ...left }],
      [420, { type: 'cuff-released', limb: 'left-thigh' }],
    ];
    const { limbs } = doseOf(liveTimeline(plan, fold(plan, logOf(stretches)), START_MS + 500_000));
    expect(limbs[0]).toMatchObject({ longestContinuousMs: 300_000, totalOcclusionMs: 360_000 });
  });

  it('counts a cuff left up after the session was called finished', () => {
    const forgotten = logOf(WHOLE_SESSION.filter(([, body]) => body.type !== 'cuff-released'));
    expect(doseOf(liveTimeline(plan, fold(plan, forgotten), at(600))).occludedMs).toBe(595_000);
  });

  it('counts two cuffs at once as one occlusion of the person', () => {
    const lanes = (['left-thigh', 'right-thigh'] as const).map((limb, i) => ({
      limb,
      inflations: [
        {
          fromMs: i * 1000,
          toMs: 60_000,
          occlusionMmHg: 170,
          steps: [{ atMs: i * 1000, pressureMmHg: 100 }],
        },
      ],
    }));
    expect(doseOf({ lanes, sets: [], endMs: 60_000 }).occludedMs).toBe(60_000);
  });
});

describe('nextStep', () => {
  const step = (seconds: number, entries = WHOLE_SESSION, thePlan = plan) =>
    nextStep(thePlan, fold(thePlan, logOf(entries.filter(([s]) => s <= seconds))), at(seconds));

  it('leads through a continuous session', () => {
    const steps = [1, 10, 30, 90, 266, 280, 301].map((seconds) => step(seconds).do);
    expect(steps).toEqual(['inflate', 'start-set', 'end-set', 'start-set', 'release', 'finish', 'nothing']);
  });

  it('releases in each rest of release-75, waits, and inflates again 5 s before the set', () => {
    const entries: [number, EventBody][] = [
      [0, { type: 'session-started' }],
      [5, { type: 'cuff-inflated', ...left }],
      [25, { type: 'set-started', ...first }],
      [145, { type: 'set-ended', ...first, reps: 30, reason: 'done' }],
      [145, { type: 'rest-started', ...first, restMs: 60_000 }],
      [148, { type: 'cuff-released', limb: 'left-thigh' }],
      [200, { type: 'cuff-inflated', ...left }],
    ];
    expect(step(146, entries, released)).toMatchObject({ do: 'release', why: 'rest' });
    expect(step(160, entries, released)).toMatchObject({ do: 'wait', untilMs: at(200) });
    expect(step(199.999, entries, released).do).toBe('wait');
    expect(step(201, entries, released)).toMatchObject({ do: 'start-set', place: { setIndex: 1 } });
    expect(step(200, entries.slice(0, -1), released).do).toBe('inflate');
  });

  it('asks for release first when stopped or at the limit, even in a set', () => {
    const stopped: (readonly [number, EventBody])[] = [
      ...WHOLE_SESSION.slice(0, 4),
      [30, { type: 'stopped', why: 'Numb or tingling' }],
    ];
    expect(step(31, stopped)).toMatchObject({ do: 'release', why: 'stopped', limbs: ['left-thigh'] });
    expect(step(5 + 20 * 60, WHOLE_SESSION.slice(0, 4))).toMatchObject({ do: 'release', why: 'limit' });
    const down: (readonly [number, EventBody])[] = [
      ...stopped,
      [35, { type: 'cuff-released', limb: 'left-thigh' }],
    ];
    expect(step(36, down).do).toBe('finish');
  });

  it('asks for release when a session was finished with a cuff still up', () => {
    const forgotten = WHOLE_SESSION.filter(([, body]) => body.type !== 'cuff-released');
    expect(step(301, forgotten)).toMatchObject({ do: 'release' });
  });
});

describe('dueEvents', () => {
  const due = (seconds: number, nowSeconds: number) =>
    dueEvents(plan, fold(plan, upTo(seconds)), at(nowSeconds));

  it('ends a set at its last paced repetition, however late the look', () => {
    expect(due(25, 84.9)).toEqual([]);
    expect(englishOf(due(25, 500))).toMatchObject([
      { atMs: at(85), body: { type: 'set-ended', reps: 30, reason: 'done' } },
      { atMs: at(85), body: { type: 'rest-started', restMs: 30_000 } },
    ]);
  });

  it('starts the next set when the rest is over, but not after an unattended rest', () => {
    expect(due(90, 114.9)).toEqual([]);
    expect(englishOf(due(90, 115.1))).toMatchObject([
      { atMs: at(115), body: { type: 'set-started', setIndex: 1 } },
    ]);
    expect(due(90, 140)).toEqual([]);
  });

  it('has no rest after the last set and nothing more once the session is over', () => {
    expect(due(235, 270).map(({ body }) => body.type)).toEqual(['set-ended']);
    expect(due(300, 400)).toEqual([]);
  });

  it('carries a whole session by itself to the release, with the clocks of the pace', () => {
    fc.assert(
      fc.property(fc.integer({ min: 50, max: 1900 }), (tickMs) => {
        let log = mergeLogs(upTo(25));
        for (let nowMs = at(25); nowMs < at(290); nowMs += tickMs) {
          const owed = dueEvents(plan, fold(plan, log), nowMs);
          log = mergeLogs(
            log,
            owed.map(({ key, atMs, body }, i) => ({
              ...body,
              id: `key ${key}`,
              sessionId: SESSION_ID,
              deviceId: 'tablet',
              seq: log.length + i,
              atMs,
            })) as SessionEvent[],
          );
        }
        const { sets } = fold(plan, log);
        expect(sets.map(({ startedAtMs }) => (startedAtMs - START_MS) / 1000)).toEqual([25, 115, 175, 235]);
        expect(sets.map(({ endedAtMs }) => ((endedAtMs ?? 0) - START_MS) / 1000)).toEqual([
          85, 145, 205, 265,
        ]);
      }),
      { numRuns: 25 },
    );
  });
});

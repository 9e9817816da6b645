import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { englishOf } from '#language/english-of.fixture';
import { doseOf } from '../plan/dose';
import type { Plan } from '../plan/plan';
import { testKit, testPlan } from '../plan/plan.fixture';
import { attentionOf, compareAttention } from './attention';
import { decide } from './decide/decide';
import { dueEvents } from './decide/owed';
import type { EventBody, SessionEvent } from './events';
import { undoable } from './fold';
import { liveTimeline } from './live-timeline';
import { mergeLogs } from './log';
import { nextStep } from './next-step';
import { offerAfterSet } from './offer';
import { foldAll as fold, logOf, START_MS, WHOLE_SESSION } from './session.fixture';
import { settlingWords } from './settling';

const { plan } = testPlan();
const whole = logOf(WHOLE_SESSION);
const at = (seconds: number) => START_MS + seconds * 1000;
const upTo = (seconds: number) => logOf(WHOLE_SESSION.filter(([s]) => s <= seconds));
const left = { limb: 'left-thigh', pressureMmHg: 104 } as const;
const first = { exerciseIndex: 0, setIndex: 0 };

describe('corrections and notes (RUN-2)', () => {
  const id = (seq: number) =>
    logOf([[0, { type: 'session-started' }]], 'x'.repeat(9))
      .map((e) => e.id)[0]
      ?.replace(/0{8}$/, seq.toString(16).padStart(8, '0')) ?? '';
  const later = (...entries: (readonly [number, EventBody])[]) => logOf(entries, 'x'.repeat(9));
  const doseAfter = (...entries: (readonly [number, EventBody])[]) =>
    doseOf(liveTimeline(plan, fold(plan, [...whole, ...later(...entries)]), at(400)));

  it('take another load from the set on, and a late start moves the set', () => {
    // 30 × 10 kg, then 15 + 15 + 13 at 7.5 kg: noted in set two, before the next ones began.
    const inSetTwo = doseAfter([150, { type: 'load-corrected', exerciseIndex: 0, setIndex: 1, loadKg: 7.5 }]);
    expect(inSetTwo.volumeKgReps).toBe(300 + 43 * 7.5);
    const state = fold(plan, [...whole, ...later([90, { type: 'start-corrected', ...first, byMs: -4_000 }])]);
    expect(state.sets[0]?.startedAtMs).toBe(at(21));
  });

  it('can be undone, and what happened to the limb cannot', () => {
    const corrected: readonly [number, EventBody] = [
      280,
      { type: 'reps-corrected', exerciseIndex: 0, setIndex: 3, byReps: -5 },
    ];
    expect(doseAfter(corrected).reps).toBe(68);
    expect(doseAfter(corrected, [281, { type: 'undone', eventId: id(0) }]).reps).toBe(73);
    const inflated = whole.find(({ type }) => type === 'cuff-inflated');
    expect(doseAfter([281, { type: 'undone', eventId: inflated?.id ?? '' }]).occludedMs).toBe(270_000);
    const log = mergeLogs(whole, later(corrected));
    expect(undoable(log).map(({ type }) => type)).toEqual(['set-noted', 'reps-corrected', 'reps-corrected']);
  });

  it('keep heart rate, colour, the day after and the answer to the review', () => {
    const change = { pressurePoints: 5 };
    const state = fold(plan, [
      ...whole,
      ...later(
        [
          270,
          { type: 'heart-rate-noted', exerciseIndex: 0, setIndex: 3, moment: 'end', beatsPerMinute: 118 },
        ],
        [271, { type: 'colour-checked', exerciseIndex: 0, setIndex: 3, good: true }],
        [
          400,
          {
            type: 'review-answered',
            exerciseIndex: 0,
            rule: 'REV-7',
            answer: 'accepted',
            change,
            reason: '',
          },
        ],
        [
          500,
          {
            type: 'review-answered',
            exerciseIndex: 0,
            rule: 'REV-7',
            answer: 'declined',
            change: {},
            reason: 'sore',
          },
        ],
        [
          90_000,
          { type: 'followed-up', soreness: 3, bruising: 'small', pinpointBleeding: false, numbness: false },
        ],
      ),
    ]);
    expect(state.sets[3]).toMatchObject({ colourGood: true, heartRates: [{ beatsPerMinute: 118 }] });
    expect(state.reviews).toEqual([
      { exerciseIndex: 0, rule: 'REV-7', answer: 'declined', change: {}, reason: 'sore' },
    ]);
    expect(state.followUp).toMatchObject({ soreness: 3, bruising: 'small' });
  });
});

describe('an ignored alarm (RUN-1)', () => {
  it('is recorded once, a quarter of a minute after the limit', () => {
    const state = fold(plan, upTo(25));
    expect(dueEvents(plan, fold(plan, upTo(5)), at(5 + 1200 + 14))).toEqual([]);
    const [due] = dueEvents(plan, fold(plan, upTo(5)), at(5 + 1200 + 40));
    expect(englishOf(due)).toMatchObject({
      atMs: at(5 + 1200 + 15),
      body: { type: 'alarm-ignored', limb: 'left-thigh' },
    });
    const noted = fold(plan, [
      ...upTo(5),
      ...logOf([[1220, { type: 'alarm-ignored', limb: 'left-thigh' }]], 'phone'),
    ]);
    expect(dueEvents(plan, noted, at(2000)).some(({ body }) => body.type === 'alarm-ignored')).toBe(false);
    expect(state.ignoredAlarms).toEqual([]);
  });

  it('asks for a minute of free flow after the limit, and not for the cuff again', () => {
    const released = logOf([[1210, { type: 'cuff-released', limb: 'left-thigh' }]], 'phone');
    const state = fold(plan, [...upTo(24), ...released]);
    expect(nextStep(plan, state, at(1230))).toMatchObject({
      do: 'wait',
      why: 'free-flow',
      untilMs: at(1270),
    });
    expect(nextStep(plan, state, at(1271))).toMatchObject({ do: 'inflate' });
  });

  it('gives a cuff that came up again past its limit its own quarter of a minute', () => {
    const again = logOf(
      [
        [1210, { type: 'cuff-released', limb: 'left-thigh' }],
        [1230, { type: 'cuff-inflated', limb: 'left-thigh', pressureMmHg: 80 }],
      ],
      'phone',
    );
    const state = fold(plan, [...upTo(5), ...again]);
    expect(dueEvents(plan, state, at(1244))).toEqual([]);
    expect(englishOf(dueEvents(plan, state, at(1246)))).toMatchObject([{ atMs: at(1245) }]);
  });
});

describe('what the bench offers after a set (RUN-4, REV-3, REV-4)', () => {
  const shortSet = (setIndex: number, reps: number, before: readonly (readonly [number, EventBody])[]) =>
    [
      ...before,
      [50 + 100 * setIndex, { type: 'set-started', exerciseIndex: 0, setIndex }],
      [90 + 100 * setIndex, { type: 'set-ended', exerciseIndex: 0, setIndex, reps, reason: 'failure' }],
    ] as (readonly [number, EventBody])[];
  const begun: (readonly [number, EventBody])[] = [
    [0, { type: 'session-started' }],
    [5, { type: 'cuff-inflated', ...left }],
  ];
  const offered = (over: Plan, log: readonly (readonly [number, EventBody])[]) =>
    offerAfterSet(over, fold(over, logOf(log)), [testKit]);

  it('is a lighter load after a short set one, a looser cuff when the load is low already', () => {
    expect(englishOf(offered(plan, shortSet(0, 22, begun)))).toMatchObject({
      offer: { kind: 'lighten', loadKg: 7.5 },
      rule: 'REV-3',
    });
    const light = testPlan({ percentOneRepMax: 20 }).plan;
    expect(englishOf(offered(light, shortSet(0, 22, begun)))).toMatchObject({
      offer: { kind: 'loosen', byMmHg: 10 },
    });
    expect(offered(plan, shortSet(0, 30, begun))).toBeNull();
  });

  it('is a longer rest after a later one, and counts once accepted', () => {
    const log = shortSet(1, 9, shortSet(0, 30, begun));
    expect(englishOf(offered(plan, log))).toMatchObject({
      offer: { kind: 'rest', restMs: 45_000 },
      rule: 'REV-4',
    });
    const answered: (readonly [number, EventBody])[] = [
      ...log,
      [
        195,
        {
          type: 'offer-answered',
          exerciseIndex: 0,
          setIndex: 1,
          offer: { kind: 'rest', restMs: 45_000 },
          accepted: true,
          reason: '',
        },
      ],
    ];
    expect(offered(plan, answered)).toBeNull();
    const going = [
      ...answered,
      [250, { type: 'set-started', exerciseIndex: 0, setIndex: 2 }],
    ] as typeof answered;
    expect(englishOf(dueEvents(plan, fold(plan, logOf(going)), at(281))[1]?.body)).toMatchObject({
      restMs: 45_000,
    });
  });

  it('lightens the sets that follow, and the dose knows', () => {
    const log = shortSet(0, 22, begun);
    const accepted: (readonly [number, EventBody])[] = [
      ...log,
      [
        95,
        {
          type: 'offer-answered',
          exerciseIndex: 0,
          setIndex: 0,
          offer: { kind: 'lighten', loadKg: 7.5, recipe: 'pin at 7.5 kg' },
          accepted: true,
          reason: '',
        },
      ],
      [150, { type: 'set-started', exerciseIndex: 0, setIndex: 1 }],
      [180, { type: 'set-ended', exerciseIndex: 0, setIndex: 1, reps: 15, reason: 'done' }],
    ];
    const dose = doseOf(liveTimeline(plan, fold(plan, logOf(accepted)), at(200)));
    expect(dose.volumeKgReps).toBe(22 * 10 + 15 * 7.5);
  });
});

describe('a pump that reports (RUN-1, PRS-5)', () => {
  const begun = fold(plan, upTo(0));
  const up = fold(plan, upTo(5));
  const reports = (state: typeof up, pressureMmHg: number, seconds: number) =>
    decide(plan, state, { do: 'pump-reports', limb: 'left-thigh', pressureMmHg }, at(seconds)).events;

  it('starts the clock early, writes down what changed by a division, and ends it when the cuff is down', () => {
    expect(reports(begun, 12, 5)).toEqual([]);
    expect(englishOf(reports(begun, 21.4, 5))).toEqual([
      { type: 'cuff-inflated', limb: 'left-thigh', pressureMmHg: 21 },
    ]);
    expect(englishOf(reports(up, 100.2, 9))).toEqual([
      { type: 'pressure-read', limb: 'left-thigh', pressureMmHg: 100, cause: 'read' },
    ]);
    expect(reports(up, 103.4, 9)).toEqual([]);
    expect(reports(up, 90, 6)).toEqual([]);
    expect(englishOf(reports(up, 3, 6))).toEqual([{ type: 'cuff-released', limb: 'left-thigh' }]);
  });

  it('is settled once a reading is within a division, and asked for three rounds at most', () => {
    const words = (...readings: number[]) => {
      const log = [
        ...upTo(5),
        ...logOf(
          readings.map((pressureMmHg, i) => [
            6 + i,
            { type: 'pressure-read', limb: 'left-thigh', pressureMmHg, cause: 'read' },
          ]),
          'phone',
        ),
      ];
      const state = fold(plan, log);
      return settlingWords(plan, state, nextStep(plan, state, at(20)));
    };
    expect(englishOf(words())).toContain('2 contractions of 2 s');
    expect(englishOf(words(96))).toContain('top up');
    expect(words(96, 103)).toBeNull();
    expect(words(90, 92, 94)).toBeNull();
  });
});

describe('two devices whose clocks differ', () => {
  it('fold to one state whichever arrives first, and no clock runs backwards', () => {
    fc.assert(
      fc.property(fc.integer({ min: -3_000, max: 3_000 }), fc.array(fc.nat(1_000)), (skewMs, order) => {
        const other = logOf(
          [
            [30, { type: 'set-noted', exerciseIndex: 0, setIndex: 0, effort: 7 }],
            [275, { type: 'cuff-released', limb: 'left-thigh' }],
          ],
          'phone',
        ).map((event) => ({ ...event, atMs: event.atMs + skewMs }));
        const mine = whole.filter(({ type }) => type !== 'cuff-released');
        const shuffled = [...mine, ...other]
          .map((event, i) => ({ event, key: order[i % Math.max(1, order.length)] ?? i }))
          .sort((a, b) => a.key - b.key)
          .map(({ event }) => event);
        const state = fold(plan, shuffled);
        expect(state).toEqual(fold(plan, [...other, ...mine]));
        for (const { inflations } of state.limbs) {
          for (const { fromMs, toMs } of inflations)
            expect((toMs ?? fromMs) - fromMs).toBeGreaterThanOrEqual(0);
        }
        expect(Math.abs(doseOf(liveTimeline(plan, state, at(400))).occludedMs - 270_000)).toBeLessThanOrEqual(
          3_000,
        );
      }),
    );
  });
});

describe('who needs attention first on the floor', () => {
  it('is the limit, then a stop, then what is asked for, then what runs by itself', () => {
    const need = (log: SessionEvent[], seconds: number) =>
      attentionOf(plan, fold(plan, log), at(seconds)).need;
    expect(need(upTo(5), 5 + 600)).toBe('limit');
    expect(need([...upTo(25), ...logOf([[30, { type: 'stopped', why: 'dizzy' }]], 'phone')], 31)).toBe(
      'stopped',
    );
    expect(need(upTo(5), 5 + 480)).toBe('limit-near');
    expect(need(upTo(20), 21)).toBe('act');
    expect(need(upTo(25), 80)).toBe('soon');
    expect(need(upTo(25), 30)).toBe('runs');
    expect(need(whole, 400)).toBe('over');
    const order = [need(upTo(25), 30), need(upTo(5), 1205), need(upTo(20), 21)].map((kind) => ({
      need: kind,
      inMs: 0,
    }));
    expect([...order].sort(compareAttention).map(({ need: kind }) => kind)).toEqual(['limit', 'act', 'runs']);
  });
});

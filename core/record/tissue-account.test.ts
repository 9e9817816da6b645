import { describe, expect, it } from 'vitest';
import { englishOf } from '#language/english-of.fixture';
import { clip } from '../plan/clip';
import { composeSession } from '../plan/compose';
import { testBasis, testExercise } from '../plan/plan.fixture';
import type { Timeline } from '../plan/timeline';
import { EXERCISES, type Library } from '../protocol/exercises';
import type { EventBody } from '../session/events';
import { foldAll, logOf, START_MS } from '../session/session.fixture';
import type { HeavyWork } from '../strength/heavy-work';
import { testSessionFact } from './record.fixture';
import { tissueAccount, whyOff } from './tissue-account';

const library = EXERCISES as Library;
const DAY_MS = 86_400_000;
const { plan } = composeSession(
  {
    goal: 'size',
    schoolId: 'research-consensus',
    exercises: [
      testExercise({ percentLop: 60, protocolId: 'quick-pair' }),
      testExercise(
        { exerciseId: 'leg-curl-lying', percentLop: 60, protocolId: 'quick-pair' },
        { load: { kind: 'unweighed', with: 'a band' } },
      ),
    ],
  },
  testBasis(),
);

const set = (exerciseIndex: number, setIndex: number, from: number, to: number): [number, EventBody][] => [
  [from, { type: 'set-started', exerciseIndex, setIndex }],
  [to, { type: 'set-ended', exerciseIndex, setIndex, reps: 20, reason: 'done' }],
];
/** One inflation at 104 of an LOP of 174 from 10 s to 310 s, two exercises in it: the second begins at 190 s. */
const LOG: [number, EventBody][] = [
  [0, { type: 'session-started' }],
  [10, { type: 'cuff-inflated', limb: 'left-thigh', pressureMmHg: 104 }],
  ...set(0, 0, 40, 100),
  ...set(0, 1, 130, 170),
  ...set(1, 0, 190, 250),
  [310, { type: 'cuff-released', limb: 'left-thigh' }],
  [400, { type: 'session-finished' }],
];
const sessionOn = (startedAtMs: number) => ({
  plan,
  state: foldAll(plan, logOf(LOG)),
  painBefore: null,
  fact: testSessionFact(0, { startedAtMs }),
});
const heavy = (changes: Partial<HeavyWork> = {}): HeavyWork => ({
  id: 'h',
  atMs: START_MS,
  exerciseId: 'knee-extension',
  side: 'both',
  sets: 4,
  reps: 6,
  loadKg: 60,
  effort: 8,
  pain: null,
  ...changes,
});

describe('the tissue account (PRO-3, PRO-4, RUN-5)', () => {
  it('gives each muscle its sets, minutes and %LOP·min; rests belong to the exercise before them', () => {
    const lines = tissueAccount([sessionOn(START_MS)], [], library, 0);
    // 180 s and 120 s of 300; 104 ÷ 174 is 59.77 %, so 179.3 and 119.5 %LOP·min.
    expect(lines).toMatchObject([
      { muscle: 'quadriceps', limb: 'left-thigh', days: 1, sets: 2, occludedMs: 180_000, heavySets: 0 },
      { muscle: 'hamstrings', limb: 'left-thigh', days: 1, sets: 1, occludedMs: 120_000, heavySets: 0 },
    ]);
    expect(lines.map(({ percentLopMin }) => Math.round(10 * (percentLopMin ?? 0)) / 10)).toEqual([
      179.3, 119.5,
    ]);
  });

  it('adds up sessions, and counts the days they fell on', () => {
    const twice = [sessionOn(START_MS), sessionOn(START_MS + 3_600_000), sessionOn(START_MS + 2 * DAY_MS)];
    const [quadriceps] = tissueAccount(twice, [], library, 0);
    expect(quadriceps).toMatchObject({ days: 2, sets: 6, occludedMs: 540_000 });
  });

  it('counts heavy work as sets and days, on the limbs it works', () => {
    const both = tissueAccount([sessionOn(START_MS)], [heavy({ atMs: START_MS + DAY_MS })], library, 0);
    expect(both.map(({ limb, days, sets, heavySets }) => [limb, days, sets, heavySets])).toEqual([
      ['left-thigh', 2, 2, 4],
      ['right-thigh', 1, 0, 4],
      ['left-thigh', 1, 1, 0],
    ]);
    const left = tissueAccount([], [heavy({ side: 'left', sets: 3 })], library, 0);
    expect(left.map(({ limb, percentLopMin }) => [limb, percentLopMin])).toEqual([['left-thigh', null]]);
    expect(tissueAccount([], [heavy({ exerciseId: 'gone' })], library, 0)).toEqual([]);
    // A compound exercise counts for each of its muscles.
    const press = tissueAccount([], [heavy({ exerciseId: 'leg-press', side: 'left' })], library, 0);
    expect(press.map(({ muscle, heavySets }) => [muscle, heavySets])).toEqual([
      ['buttock', 4],
      ['quadriceps', 4],
    ]);
  });

  it('says when a week is off: two or three work', () => {
    expect(englishOf([0, 1, 2, 3, 4].map((days) => whyOff({ days })))).toEqual([
      'not in seven days; two or three work',
      'once in seven days; two or three work',
      null,
      null,
      '4 times in seven days; two or three work',
    ]);
  });
});

describe('a stretch of a timeline', () => {
  const timeline: Timeline = {
    lanes: [
      {
        limb: 'left-thigh',
        inflations: [
          {
            fromMs: 0,
            toMs: 100,
            occlusionMmHg: 174,
            steps: [
              { atMs: 0, pressureMmHg: 100 },
              { atMs: 60, pressureMmHg: 90 },
            ],
          },
          { fromMs: 200, toMs: 300, occlusionMmHg: null, steps: [{ atMs: 200, pressureMmHg: null }] },
        ],
      },
    ],
    sets: [],
    endMs: 300,
  };
  const inflations = (fromMs: number, toMs: number) => clip(timeline, fromMs, toMs).lanes[0]?.inflations;

  it('keeps what held when it began', () => {
    expect(inflations(70, 250)).toEqual([
      { fromMs: 70, toMs: 100, occlusionMmHg: 174, steps: [{ atMs: 70, pressureMmHg: 90 }] },
      { fromMs: 200, toMs: 250, occlusionMmHg: null, steps: [{ atMs: 200, pressureMmHg: null }] },
    ]);
    expect(inflations(30, 80)?.[0]?.steps).toEqual([
      { atMs: 30, pressureMmHg: 100 },
      { atMs: 60, pressureMmHg: 90 },
    ]);
    expect(inflations(100, 200)).toEqual([]);
  });
});

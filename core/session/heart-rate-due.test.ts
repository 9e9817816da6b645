import { describe, expect, it } from 'vitest';
import { setsOf } from '../plan/choices';
import { composeSession } from '../plan/compose';
import { testBasis, testExercise, testPlan } from '../plan/plan.fixture';
import type { EventBody } from './events';
import { heartRateDue } from './heart-rate-due';
import { foldAll, logOf, START_MS } from './session.fixture';

const { plan } = composeSession(
  {
    goal: 'aerobic',
    schoolId: 'research-consensus',
    exercises: [
      testExercise(
        { exerciseId: 'cycling', protocolId: 'aerobic' },
        {
          load: { kind: 'unweighed', with: 'limb weight only' },
          sets: setsOf('aerobic', 65_000, 60_000).map((set) => ({
            ...set,
            work: { kind: 'timed', workMs: 360_000 },
          })),
        },
      ),
    ],
  },
  testBasis(),
);
const FIRST = { exerciseIndex: 0, setIndex: 0 };
type Entry = readonly [number, EventBody];
const BEGUN: Entry[] = [
  [0, { type: 'session-started' }],
  [5, { type: 'cuff-inflated', limb: 'left-thigh', pressureMmHg: 104 }],
  [20, { type: 'set-started', ...FIRST }],
];
const ENDED: Entry[] = [...BEGUN, [380, { type: 'set-ended', ...FIRST, reps: 0, reason: 'done' }]];
const noted = (atS: number, moment: 'minute-5' | 'end'): Entry => [
  atS,
  { type: 'heart-rate-noted', ...FIRST, moment, beatsPerMinute: 118 },
];
const due = (entries: readonly Entry[], atS: number, of = plan) =>
  heartRateDue(of, foldAll(of, logOf(entries)), START_MS + atS * 1000);

describe('the heart rate of aerobic work that is due', () => {
  it('is that of minute five, from then on and not long after', () => {
    expect([due(BEGUN, 319), due(BEGUN, 320), due(BEGUN, 339), due(BEGUN, 340)]).toEqual([
      null,
      'minute-5',
      'minute-5',
      null,
    ]);
    expect(due([...BEGUN, noted(321, 'minute-5')], 322)).toBeNull();
  });

  it('is that of the end, once', () => {
    expect([due(ENDED, 380), due(ENDED, 401)]).toEqual(['end', null]);
    expect(due([...ENDED, noted(381, 'end')], 382)).toBeNull();
  });

  it('is none of other work, nor before anything began', () => {
    expect(due([], 320)).toBeNull();
    expect(due(BEGUN, 320, testPlan().plan)).toBeNull();
  });
});

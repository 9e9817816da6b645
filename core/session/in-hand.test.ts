import { describe, expect, it } from 'vitest';
import { englishOf } from '#language/english-of.fixture';
import { setsOf } from '../plan/choices';
import { composeSession } from '../plan/compose';
import { measuredTarget, testBasis, testExercise, testOcclusion } from '../plan/plan.fixture';
import type { EventBody } from './events';
import { inHand } from './in-hand';
import { nextStep } from './next-step';
import { foldAll as fold, logOf, START_MS } from './session.fixture';
import { settlingWords } from './settling';

type Entries = readonly (readonly [number, EventBody])[];

const at = (seconds: number) => START_MS + seconds * 1000;
const limb = 'left-thigh';

// Two exercises of one limb in two positions, each with an LOP of its own: 80 % of 174 and 40 % of 170.
const basis = testBasis({
  occlusions: [
    testOcclusion(),
    testOcclusion({
      id: 'lying',
      position: 'lying',
      pressure: { value: 170, unit: 'mmHg', working: [], rules: [] },
    }),
  ],
});
const bodyWeight = { kind: 'unweighed', with: 'body weight' } as const;
const pressing = testExercise(
  { exerciseId: 'leg-press', percentLop: 80 },
  { load: bodyWeight, sets: setsOf('quick-pair', 15_000, 60_000) },
);
const raising = testExercise(
  { exerciseId: 'straight-leg-raise', position: 'lying' },
  {
    load: bodyWeight,
    limbs: [{ kind: 'measured', limb, occlusionId: 'lying', percentLop: 40 }],
    sets: setsOf('quick-pair', 15_000, 60_000),
  },
);
const planOf = (...exercises: (typeof pressing)[]) =>
  composeSession({ goal: 'size', schoolId: 'research-consensus', exercises }, basis).plan;
const plan = planOf(pressing, raising);

const inflated = (seconds: number, pressureMmHg: number) =>
  [seconds, { type: 'cuff-inflated', limb, pressureMmHg }] as const;
const released = (seconds: number) => [seconds, { type: 'cuff-released', limb }] as const;
const set = (exerciseIndex: number, setIndex: number, seconds: number): Entries => [
  [seconds, { type: 'set-started', exerciseIndex, setIndex }],
  [seconds + 10, { type: 'set-ended', exerciseIndex, setIndex, reps: 5, reason: 'failure' }],
];
const firstDone: Entries = [
  [0, { type: 'session-started' }],
  inflated(5, 138),
  ...set(0, 0, 30),
  ...set(0, 1, 60),
];
const targetAfter = (log: Entries, over = plan) => {
  const target = inHand(over, fold(over, logOf(log)))?.limbs[0];
  return target?.kind === 'measured' ? target.targetMmHg : undefined;
};

describe('what is in hand (RUN-7)', () => {
  it('is the first exercise until its cuff is down, then the second with its own target', () => {
    expect(targetAfter([])).toBe(138);
    expect(targetAfter(firstDone)).toBe(138);
    const second = [...firstDone, released(75)];
    expect(targetAfter(second)).toBe(68);
    const state = fold(plan, logOf([...second, inflated(140, 68)]));
    expect(englishOf(inHand(plan, state))).toMatchObject({
      exerciseIndex: 1,
      limbs: [{ targetMmHg: 68, readMmHg: 68, signed: { occlusion: { value: 170 } } }],
    });
    expect(nextStep(plan, fold(plan, logOf(second)), at(136))).toMatchObject({
      do: 'inflate',
      cuffs: [{ limb, pressureMmHg: 68 }],
    });
  });

  it('is the cycle’s target while priming, and no top up to the set’s is asked for', () => {
    const primed = planOf({ ...pressing, primed: true });
    const up: Entries = [[0, { type: 'session-started' }], inflated(5, 82)];
    expect(measuredTarget(primed).primingMmHg).toEqual([82, 102, 122, 138]);
    expect(targetAfter(up, primed)).toBe(82);
    const next: Entries = [...up, released(35)];
    expect(targetAfter(next, primed)).toBe(102);
    const state = fold(primed, logOf(up));
    expect(settlingWords(primed, state, nextStep(primed, state, at(6)))).toBeNull();
  });

  it('begins the priming of a later exercise again, whatever was up before it', () => {
    const later = planOf(pressing, { ...raising, primed: true });
    const [first, second] = measuredTarget(later, 1).primingMmHg;
    const waiting: Entries = [...firstDone, released(75)];
    expect(targetAfter(waiting, later)).toBe(first);
    expect(targetAfter([...waiting, inflated(140, first ?? 0), released(170)], later)).toBe(second);
  });

  it('keeps a loosening at the next inflation and in the next exercise, until it is taken back', () => {
    const loosened: Entries = [
      ...firstDone,
      [71, { type: 'pressure-read', limb, pressureMmHg: 128, cause: 'loosened' }],
      released(75),
    ];
    expect(targetAfter(loosened)).toBe(58);
    const raised: Entries = [
      ...loosened,
      inflated(140, 58),
      [150, { type: 'pressure-read', limb, pressureMmHg: 68, cause: 'top-up' }],
    ];
    expect(targetAfter(raised)).toBe(68);
  });

  it('takes no drift for a loosening', () => {
    const drifted: Entries = [
      ...firstDone,
      [71, { type: 'pressure-read', limb, pressureMmHg: 120, cause: 'read' }],
    ];
    expect(targetAfter(drifted)).toBe(138);
  });
});

import fc from 'fast-check';
import type { TightnessFact } from '../../cuff/fact';
import { type ExerciseChoice, setsOf } from '../../plan/choices';
import { composeSession } from '../../plan/compose';
import type { Plan } from '../../plan/plan';
import { testBasis, testExercise, testOcclusion } from '../../plan/plan.fixture';
import type { Limb } from '../../quantity/limb';
import type { EventBody, SessionEvent } from '../events';
import type { Intent } from './intent';

// Plans as wide as they come: several exercises, some in turn, one and two limbs, two positions, two gauges, a strap, priming,
// a shared inflation, passive work, work by the clock, sets to failure.

const lop = (value: number) => ({ value, unit: 'mmHg' as const, working: [], rules: [] });
const strap: TightnessFact = {
  limb: 'left-thigh',
  atMs: 0,
  strapId: 'strap',
  strapLabel: 'Strap',
  mark: 6,
  felt: 7,
};

export const wideBasis = testBasis({
  occlusions: [
    testOcclusion({ id: 'l-sit', pressure: lop(174) }),
    testOcclusion({ id: 'r-sit', limb: 'right-thigh', pressure: lop(181.5), divisionMmHg: 5 }),
    testOcclusion({ id: 'l-lie', position: 'lying', pressure: lop(150) }),
    testOcclusion({
      id: 'r-lie',
      limb: 'right-thigh',
      position: 'lying',
      pressure: lop(158),
      divisionMmHg: 5,
    }),
  ],
  tightness: [strap],
});

const bodyWeight = { kind: 'unweighed', with: 'body weight' } as const;
const on = (limb: 'left-thigh' | 'right-thigh', position: 'sitting' | 'lying', percentLop: number) =>
  ({
    kind: 'measured',
    limb,
    occlusionId: `${limb === 'left-thigh' ? 'l' : 'r'}-${position === 'sitting' ? 'sit' : 'lie'}`,
    percentLop,
  }) as const;

const percent = fc.integer({ min: 30, max: 80 });

const moving: fc.Arbitrary<ExerciseChoice> = fc
  .record({
    position: fc.constantFrom('sitting' as const, 'lying' as const),
    limbs: fc.constantFrom(
      ['left-thigh'] as const,
      ['right-thigh'] as const,
      ['left-thigh', 'right-thigh'] as const,
    ),
    percentLop: percent,
    protocolId: fc.constantFrom('standard-75', 'release-75', 'near-failure', 'quick-pair', 'aerobic'),
    primed: fc.boolean(),
    shares: fc.boolean(),
  } as const)
  .map(({ position, limbs, percentLop, protocolId, primed, shares }) => {
    const sets = setsOf(protocolId, 30_000, 60_000);
    return testExercise(
      {
        exerciseId: protocolId === 'aerobic' ? 'leg-press' : 'leg-press',
        position,
        protocolId,
        tempoId: '1-0-1',
      },
      {
        load: bodyWeight,
        limbs: limbs.map((limb) => on(limb, position, percentLop)),
        primed,
        sets: sets.map((set, i) => (shares && i === sets.length - 1 ? { ...set, release: false } : set)),
      },
    );
  });

const weighed: fc.Arbitrary<ExerciseChoice> = percent.map((percentLop) =>
  testExercise({}, { limbs: [on('left-thigh', 'sitting', percentLop)] }),
);

const passive: fc.Arbitrary<ExerciseChoice> = fc.integer({ min: 50, max: 100 }).map((percentLop) =>
  testExercise(
    { exerciseId: 'passive-cuff-leg', position: 'lying', protocolId: 'passive-recovery' },
    {
      load: { kind: 'unweighed', with: 'limb weight only' },
      limbs: [on('right-thigh', 'lying', percentLop)],
      sets: setsOf('passive-recovery', 60_000, 60_000),
    },
  ),
);

const strapped: fc.Arbitrary<ExerciseChoice> = fc.constant(
  testExercise(
    { exerciseId: 'leg-press', protocolId: 'quick-pair' },
    { load: bodyWeight, limbs: [{ kind: 'by-feel', limb: 'left-thigh', strapId: 'strap' }] },
  ),
);

/** Any plan at all; whether it might be signed is another matter, for the limits of a session hold on every one. */
export const anyPlan: fc.Arbitrary<Plan> = fc
  .array(
    fc
      .tuple(fc.oneof(moving, weighed, passive, strapped), fc.boolean())
      .map(([choice, alternates]): ExerciseChoice => (alternates ? { ...choice, alternates: true } : choice)),
    { minLength: 1, maxLength: 4 },
  )
  .map(
    (exercises) =>
      composeSession({ goal: 'size', schoolId: 'research-consensus', exercises }, wideBasis).plan,
  );

const limb = fc.option(fc.constantFrom<Limb>('left-thigh', 'right-thigh'), { nil: undefined });
const withLimb = <D extends string>(what: D) =>
  limb.map((one) => (one === undefined ? { do: what } : { do: what, limb: one }));

/** Any intention of an operator, a pump or a slip of the finger. The next expected thing is the commonest. */
export const anyIntent: fc.Arbitrary<Intent> = fc.oneof(
  { weight: 12, arbitrary: fc.constant<Intent>({ do: 'next' }) },
  { weight: 3, arbitrary: withLimb('top-up') as fc.Arbitrary<Intent> },
  { weight: 3, arbitrary: withLimb('loosen') as fc.Arbitrary<Intent> },
  { weight: 3, arbitrary: withLimb('raise') as fc.Arbitrary<Intent> },
  {
    weight: 2,
    arbitrary: fc.record({
      do: fc.constant('read' as const),
      limb: fc.constantFrom<Limb>('left-thigh', 'right-thigh'),
      pressureMmHg: fc.integer({ min: 0, max: 300 }),
    }),
  },
  {
    weight: 2,
    arbitrary: fc.record({
      do: fc.constant('pump-reports' as const),
      limb: fc.constantFrom<Limb>('left-thigh', 'right-thigh'),
      pressureMmHg: fc.integer({ min: 0, max: 140 }),
    }),
  },
  {
    weight: 4,
    arbitrary: fc.constantFrom<Intent>(
      { do: 'release' },
      { do: 'release', limbs: ['left-thigh'] },
      { do: 're-fit' },
      { do: 'take-back-end' },
      {
        do: 'lay-heart-rate',
        trace: { fromAtMs: 1, everyMs: 60_000, beatsPerMinute: [90, null, 120] },
      },
      { do: 'check-colour', good: true },
      { do: 'check-colour', good: false },
      { do: 'note-set', effort: 9 },
      { do: 'became-hard' },
      { do: 'correct-reps', byReps: -3 },
      { do: 'confirm-reps' },
      { do: 'answer-offer', accepted: true, kits: [] },
      { do: 'answer-offer', accepted: false, kits: [] },
      { do: 'note-beside', what: 'mobility', words: '' },
      { do: 'note-sign', sign: 'burn' },
      { do: 'take-over', runner: 'other' },
    ),
  },
  {
    weight: 1,
    arbitrary: fc.constantFrom<Intent>(
      { do: 'stop', why: 'Stopped' },
      { do: 'note-sign', sign: 'dizzy' },
      { do: 'note-sign', sign: 'numb-or-tingling' },
    ),
  },
);

/** Stamps bodies as a device does, ids from device and sequence. */
export const stampAll = (
  bodies: readonly EventBody[],
  device: string,
  firstSeq: number,
  atMs: number,
): SessionEvent[] =>
  bodies.map(
    (body, i) =>
      ({
        ...body,
        id: `00000000-0000-4000-8000-${(device === 'tablet' ? 1 : 2).toString(16).padStart(4, '0')}${(firstSeq + i).toString(16).padStart(8, '0')}`,
        sessionId: '00000000-0000-4000-8000-000000000000',
        deviceId: device,
        seq: firstSeq + i,
        atMs,
      }) as SessionEvent,
  );

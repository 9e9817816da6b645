import fc from 'fast-check';
import type { TightnessFact } from '../../cuff/fact';
import { msg } from '../../message/message';
import { type ExerciseChoice, setsOf } from '../../plan/choices';
import { composeSession } from '../../plan/compose';
import type { Plan } from '../../plan/plan';
import { testBasis, testExercise, testOcclusion } from '../../plan/plan.fixture';
import type { Limb } from '../../quantity/limb';
import type { EventBody, SessionEvent } from '../events';
import { stamped } from '../stamp';
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

/** A leg press under the strap alone, at mark 6. */
export const strappedPlan: Plan = composeSession(
  {
    goal: 'size',
    schoolId: 'research-consensus',
    exercises: [
      testExercise(
        { exerciseId: 'leg-press', protocolId: 'quick-pair' },
        { load: bodyWeight, limbs: [{ kind: 'by-feel', limb: 'left-thigh', strapId: 'strap' }] },
      ),
    ],
  },
  wideBasis,
).plan;

const limb = fc.constantFrom<Limb>('left-thigh', 'right-thigh');
const optional = { requiredKeys: ['do'] as ['do'] };
const place = fc.record({
  exerciseIndex: fc.integer({ min: 0, max: 4 }),
  setIndex: fc.integer({ min: 0, max: 5 }),
});
const is = <D extends Intent['do']>(what: D) => fc.constant(what);

type OfEach = {
  [D in Intent['do']]: { weight: number; arbitrary: fc.Arbitrary<Extract<Intent, { do: D }>> };
};

/** Every kind of intention there is: one that is missing does not compile. The next expected thing is the commonest. */
const INTENTS: OfEach = {
  next: { weight: 30, arbitrary: fc.record({ do: is('next') }) },
  'top-up': { weight: 6, arbitrary: fc.record({ do: is('top-up'), limb }, optional) },
  loosen: {
    weight: 6,
    arbitrary: fc.record({ do: is('loosen'), limb, byMmHg: fc.integer({ min: -60, max: 60 }) }, optional),
  },
  raise: { weight: 6, arbitrary: fc.record({ do: is('raise'), limb }, optional) },
  read: {
    weight: 5,
    arbitrary: fc.record({ do: is('read'), limb, pressureMmHg: fc.integer({ min: 0, max: 300 }) }),
  },
  'pump-reports': {
    weight: 5,
    arbitrary: fc.record({ do: is('pump-reports'), limb, pressureMmHg: fc.integer({ min: 0, max: 140 }) }),
  },
  release: { weight: 2, arbitrary: fc.record({ do: is('release'), limbs: fc.tuple(limb) }, optional) },
  're-fit': { weight: 1, arbitrary: fc.record({ do: is('re-fit') }) },
  'take-back-end': { weight: 1, arbitrary: fc.record({ do: is('take-back-end') }) },
  stop: {
    weight: 1,
    arbitrary: fc.record({ do: is('stop'), why: fc.constant(msg('Stopped by the operator')) }),
  },
  'take-back-stop': { weight: 1, arbitrary: fc.record({ do: is('take-back-stop') }) },
  'note-sign': {
    weight: 2,
    arbitrary: fc.record(
      {
        do: is('note-sign'),
        sign: fc.constantFrom('burn', 'burn', 'burn', 'dizzy', 'numb-or-tingling'),
        limbs: fc.tuple(limb),
      },
      { requiredKeys: ['do', 'sign'] },
    ),
  },
  'check-colour': { weight: 2, arbitrary: fc.record({ do: is('check-colour'), good: fc.boolean() }) },
  'note-set': {
    weight: 2,
    arbitrary: fc.record(
      {
        do: is('note-set'),
        place,
        effort: fc.integer({ min: 0, max: 10 }),
        jointPain: fc.integer({ min: 0, max: 10 }),
      },
      optional,
    ),
  },
  'became-hard': {
    weight: 1,
    arbitrary: fc.record({ do: is('became-hard'), place, rep: fc.integer({ min: 1, max: 40 }) }, optional),
  },
  'correct-reps': {
    weight: 1,
    arbitrary: fc.record(
      { do: is('correct-reps'), byReps: fc.integer({ min: -9, max: 9 }), place },
      { requiredKeys: ['do', 'byReps'] },
    ),
  },
  'confirm-reps': { weight: 1, arbitrary: fc.record({ do: is('confirm-reps'), place }, optional) },
  'correct-start': {
    weight: 1,
    arbitrary: fc.record({ do: is('correct-start'), byMs: fc.integer({ min: -10_000, max: 10_000 }) }),
  },
  'correct-load': {
    weight: 2,
    arbitrary: fc.record(
      { do: is('correct-load'), loadKg: fc.integer({ min: -5, max: 500 }), place },
      { requiredKeys: ['do', 'loadKg'] },
    ),
  },
  'lay-heart-rate': {
    weight: 1,
    arbitrary: fc.record({
      do: is('lay-heart-rate'),
      trace: fc.constant({ fromAtMs: 1, everyMs: 60_000, beatsPerMinute: [90, null, 120] }),
    }),
  },
  'note-heart-rate': {
    weight: 1,
    arbitrary: fc.record({
      do: is('note-heart-rate'),
      moment: fc.constant('end'),
      beatsPerMinute: fc.integer({ min: 30, max: 220 }),
    }),
  },
  'note-output': {
    weight: 1,
    arbitrary: fc.record({
      do: is('note-output'),
      output: fc.record({ watts: fc.integer({ min: 0, max: 400 }) }),
    }),
  },
  'note-blood-pressure': {
    weight: 1,
    arbitrary: fc.record({
      do: is('note-blood-pressure'),
      moment: fc.constantFrom('before', 'last-rest'),
      reading: fc.record({
        systolicMmHg: fc.integer({ min: 90, max: 230 }),
        diastolicMmHg: fc.integer({ min: 50, max: 110 }),
      }),
    }),
  },
  'note-adjunct': {
    weight: 1,
    arbitrary: fc.record({ do: is('note-adjunct'), what: fc.constant('mobility'), words: fc.constant('') }),
  },
  'rate-session': {
    weight: 1,
    arbitrary: fc.record({ do: is('rate-session'), effort: fc.integer({ min: 0, max: 10 }) }),
  },
  'answer-offer': { weight: 4, arbitrary: fc.record({ do: is('answer-offer'), accepted: fc.boolean() }) },
  undo: { weight: 1, arbitrary: fc.record({ do: is('undo'), eventId: fc.uuid() }) },
  'take-over': {
    weight: 1,
    arbitrary: fc.record({
      do: is('take-over'),
      runner: fc.constant('other'),
      practitionerId: fc.constant('hana'),
    }),
  },
  'hand-over': { weight: 1, arbitrary: fc.record({ do: is('hand-over'), to: fc.constant('hana') }) },
  'answer-review': {
    weight: 1,
    arbitrary: fc.record({
      do: is('answer-review'),
      exerciseIndex: fc.integer({ min: 0, max: 4 }),
      rule: fc.constant('REV-6'),
      answer: fc.constantFrom('accepted', 'edited', 'declined'),
      change: fc.constant({}),
      reason: fc.constant('As it was.'),
    }),
  },
  'follow-up': {
    weight: 1,
    arbitrary: fc.constant({ do: 'follow-up' } as Extract<Intent, { do: 'follow-up' }>),
  },
};

/** Any intention of an operator, a pump or a slip of the finger. */
export const anyIntent: fc.Arbitrary<Intent> = fc.oneof(...Object.values(INTENTS));

/** Stamps bodies as a device does, ids from device and sequence. */
export const stampAll = (
  bodies: readonly EventBody[],
  device: string,
  firstSeq: number,
  atMs: number,
): SessionEvent[] =>
  bodies.map((body, i) =>
    stamped(body, {
      id: `00000000-0000-4000-8000-${(device === 'tablet' ? 1 : 2).toString(16).padStart(4, '0')}${(firstSeq + i).toString(16).padStart(8, '0')}`,
      sessionId: '00000000-0000-4000-8000-000000000000',
      deviceId: device,
      seq: firstSeq + i,
      atMs,
    }),
  );

import { i18n } from '@lingui/core';
import fc from 'fast-check';
import { describe, expect, it, onTestFinished } from 'vitest';
import { composeSession, draftSession } from '#core/plan';
import { testWish } from '#core/plan/draft/draft-wish.fixture';
import {
  testBasis,
  testExercise,
  testOcclusion,
  testSession,
  testStrength,
  trainedWeeks,
} from '#core/plan/plan.fixture';
import { PROTOCOLS, protocolIdSchema, schoolIdSchema } from '#core/protocol';
import { limited } from '#core/screening/clearance.fixture';
import {
  changeSet,
  isComplete,
  mayShare,
  newExercise,
  sideWords,
  trainableLimbs,
  withLimbs,
  withProtocol,
} from './choices';

const basis = testBasis({
  occlusions: [
    testOcclusion(),
    testOcclusion({ id: 'standing', position: 'standing' }),
    testOcclusion({ id: 'lop-right', limb: 'right-thigh' }),
  ],
  strengthTests: [
    testStrength(),
    testStrength({ id: 'right', side: 'right' }),
    testStrength({ id: 'press', exerciseId: 'leg-press', side: 'both' }),
  ],
});
const choice = testExercise();
const SCHOOL = { schoolId: 'research-consensus' } as const;

describe('an exercise as it is edited', () => {
  it('takes another protocol as a copy: its sets, its tempo where the old one does not fit, its own share of LOP', () => {
    const released = withProtocol(choice, 'release-75', SCHOOL, basis);
    expect(released.sets.map(({ release, restMs }) => [release, restMs])).toEqual([
      [true, 65_000],
      [true, 65_000],
      [true, 65_000],
      [true, 60_000],
    ]);
    expect(released.tempoId).toBe('2-0-2');
    expect(released.limbs[0]).toMatchObject({ percentLop: 60 });
    expect(withProtocol(choice, 'passive-recovery', SCHOOL, basis).limbs[0]).toMatchObject({
      percentLop: 80,
    });
    const spell = { kind: 'timed', workMs: 300_000 };
    expect(withProtocol(choice, 'aerobic', SCHOOL, basis).sets.map(({ work }) => work)).toEqual([
      spell,
      spell,
    ]);
  });

  it('proposes of a protocol’s own share what the ramp and the cap allow', () => {
    const newcomer = { ...basis, done: [] };
    const capped = { ...newcomer, limits: limited({ maxPercentLop: 35 }, ['left-thigh']) };
    const share = (protocolId: 'warm-up' | 'aerobic', of: typeof basis) =>
      withProtocol(choice, protocolId, SCHOOL, of).limbs[0];
    expect(share('warm-up', basis)).toMatchObject({ percentLop: 60 });
    expect(share('warm-up', newcomer)).toMatchObject({ percentLop: 40 });
    expect(share('aerobic', newcomer)).toMatchObject({ percentLop: 40 });
    expect(share('warm-up', capped)).toMatchObject({ percentLop: 35 });
  });

  it('proposes no share that its own checks refuse, whichever protocols are picked one after the other (idea 8)', () => {
    const picks = fc.array(fc.constantFrom(...protocolIdSchema.options), { minLength: 1, maxLength: 4 });
    const who = fc.record({
      weeks: fc.constantFrom(0, 1, 3, 12),
      maxPercentLop: fc.option(fc.integer({ min: 10, max: 90 })),
      schoolId: fc.constantFrom(...schoolIdSchema.options),
    });
    fc.assert(
      fc.property(who, picks, ({ weeks, maxPercentLop, schoolId }, protocolIds) => {
        const of = {
          ...basis,
          done: trainedWeeks(weeks),
          limits: limited({ maxPercentLop, capFrom: 'Dr Ash' }, ['left-thigh']),
        };
        const [drafted] = draftSession(testWish({ schoolId }), of).session?.exercises ?? [];
        if (!drafted) return;
        // Passive cycles on an exercise are refused whatever their share.
        if (PROTOCOLS[protocolIds.at(-1) ?? 'standard-75'].mode === 'passive') return;
        const exercise = protocolIds.reduce((now, id) => withProtocol(now, id, { schoolId }, of), drafted);
        const { findings } = composeSession({ goal: 'size', schoolId, exercises: [exercise] }, of);
        const shares = findings.filter(({ subject, level }) => subject === 'percentLop' && level !== 'note');
        expect(shares.map(({ message }) => message)).toEqual([]);
      }),
    );
  });

  it('goes by each limb’s own pressure in the position, and by the test of the side', () => {
    const right = withLimbs(choice, ['right-thigh'], basis);
    expect(right.limbs).toEqual([
      { kind: 'measured', limb: 'right-thigh', occlusionId: 'lop-right', percentLop: 60 },
    ]);
    expect(right.load).toMatchObject({ strengthTestId: 'right' });
    const standing = withLimbs({ ...choice, position: 'standing' }, ['left-thigh'], basis);
    expect(standing.limbs[0]).toMatchObject({ occlusionId: 'standing' });
    // A limb that was never measured is not put under a cuff.
    expect(withLimbs(choice, ['left-arm'], basis)).toEqual(choice);
  });

  it('is added with its own test and kit, without kilograms where there is none, and not on an unmeasured limb', () => {
    expect(newExercise('leg-press', choice, ['left-thigh', 'right-thigh'], SCHOOL, basis)).toMatchObject({
      limbs: [{ occlusionId: 'lop' }, { occlusionId: 'lop-right' }],
      load: { kind: 'weighed', strengthTestId: 'press', weightKitId: 'stack' },
    });
    // Done lying: a pressure measured sitting would be too high for it (LOP-5).
    expect(newExercise('bridge-single', choice, ['left-thigh', 'right-thigh'], SCHOOL, basis)).toBeNull();
    const lying = {
      ...basis,
      occlusions: [...basis.occlusions, testOcclusion({ id: 'lying', position: 'lying' })],
    };
    expect(newExercise('bridge-single', choice, ['left-thigh', 'right-thigh'], SCHOOL, lying)).toMatchObject({
      limbs: [{ limb: 'left-thigh' }],
      load: { kind: 'unweighed' },
    });
    expect(newExercise('passive-cuff-leg', choice, ['left-thigh'], SCHOOL, lying)?.protocolId).toBe(
      'passive-recovery',
    );
    expect(newExercise('elbow-flexion', choice, ['left-arm'], SCHOOL, basis)).toBeNull();
    expect(newExercise('somersault', choice, ['left-thigh'], SCHOOL, basis)).toBeNull();
  });

  it('may share an inflation only with a neighbour on the same limbs', () => {
    expect(mayShare(choice, testExercise())).toBe(true);
    expect(mayShare(choice, testExercise({ limb: 'right-thigh' }))).toBe(false);
    expect(mayShare(choice, undefined)).toBe(false);
  });

  it('is complete when every figure is one, within its range', () => {
    const session = (changes: object) => ({ ...testSession(), exercises: [{ ...choice, ...changes }] });
    expect(isComplete(session({}))).toBe(true);
    expect(isComplete({ ...testSession(), exercises: [] })).toBe(false);
    expect(isComplete(session({ limbs: [{ ...choice.limbs[0], percentLop: Number.NaN }] }))).toBe(false);
    expect(isComplete(session(changeSet(choice, 1, { work: { kind: 'reps', reps: 7.5 } })))).toBe(false);
    expect(isComplete(session(changeSet(choice, 1, { restMs: -1 })))).toBe(false);
    expect(isComplete(session(changeSet(choice, 1, { work: { kind: 'reps', reps: 0 } })))).toBe(false);
    expect(isComplete(session(changeSet(choice, 1, { work: { kind: 'timed', workMs: 60_000 } })))).toBe(true);
  });

  it('says its side in a word, and which limbs were measured', () => {
    expect(sideWords(choice)).toBe('left');
    expect(sideWords(withLimbs(choice, ['left-thigh', 'right-thigh'], basis))).toBe('both');
    expect(trainableLimbs(basis, 'leg')).toEqual(['left-thigh', 'right-thigh']);
    expect(trainableLimbs(basis, 'arm')).toEqual([]);
  });
});

it('stores what resists in one language, whatever the interface speaks: the core finds a heavier step by it', () => {
  i18n.loadAndActivate({ locale: 'de', messages: { 'limb weight only': 'nur das Gewicht der Gliedmaße' } });
  onTestFinished(() => i18n.activate('en'));
  const made = newExercise('leg-press', choice, ['left-thigh'], SCHOOL, { ...basis, strengthTests: [] });
  expect(made?.load).toEqual({ kind: 'unweighed', with: 'limb weight only' });
});

import { describe, expect, it } from 'vitest';
import { englishOf } from '#language/english-of.fixture';
import { setsOf } from '../plan/choices';
import { composeSession } from '../plan/compose';
import { testBasis, testExercise, testKit, testOcclusion, testStrength } from '../plan/plan.fixture';
import type { EventBody, Offer } from './events';
import { inHand, loadInHand, restInHand, signedInHand } from './in-hand';
import { offerAfterSet } from './offer';
import { foldAll, logOf } from './session.fixture';

// Knee extension at 25 % of 40 kg on the left and the right, standard 75 with 30 s rest; then a press without kilograms.
const basis = testBasis({
  occlusions: [testOcclusion(), testOcclusion({ id: 'lop-right', limb: 'right-thigh' })],
  strengthTests: [testStrength(), testStrength({ id: 'right', side: 'right' })],
});
const left = testExercise();
const right = testExercise(
  { limb: 'right-thigh' },
  { load: { kind: 'weighed', strengthTestId: 'right', weightKitId: 'stack', percentOneRepMax: 25 } },
);
const press = testExercise(
  { exerciseId: 'leg-press' },
  { load: { kind: 'unweighed', with: 'body weight' }, sets: setsOf('release-75', 65_000, 60_000) },
);
const planOf = (...exercises: (typeof left)[]) =>
  composeSession({ goal: 'size', schoolId: 'research-consensus', exercises }, basis).plan;
const plan = planOf(left, right, press);

type Entry = readonly [number, EventBody];
const begun: Entry[] = [
  [0, { type: 'session-started' }],
  [5, { type: 'cuff-inflated', limb: 'left-thigh', pressureMmHg: 104 }],
];
const set = (
  exerciseIndex: number,
  setIndex: number,
  seconds: number,
  reps: number,
  effort?: number,
): Entry[] => [
  [seconds, { type: 'set-started', exerciseIndex, setIndex }],
  [
    seconds + 10,
    { type: 'set-ended', exerciseIndex, setIndex, reps, reason: reps < 15 ? 'failure' : 'done' },
  ],
  ...(effort === undefined
    ? []
    : [[seconds + 11, { type: 'set-noted', exerciseIndex, setIndex, effort }] as const]),
];
const answer = (
  seconds: number,
  exerciseIndex: number,
  setIndex: number,
  offer: Offer,
  accepted = true,
): Entry => [seconds, { type: 'offer-answered', exerciseIndex, setIndex, offer, accepted, reason: '' }];
const state = (...entries: Entry[]) => foldAll(plan, logOf([...begun, ...entries]));
const lighter: Offer = { kind: 'lighten', loadKg: 7.5, recipe: 'pin at 7.5 kg' };
const loadOf = (index: number) => plan.exercises[index]?.load ?? expect.unreachable();

describe('load and rest in hand (RUN-7)', () => {
  it('is the plan’s, then what was accepted, on that side only', () => {
    const done = [...set(0, 0, 20, 20)];
    expect(loadInHand(state(), 0, loadOf(0))).toBe(10);
    expect(loadInHand(state(...done, answer(40, 0, 0, lighter)), 0, loadOf(0))).toBe(7.5);
    expect(loadInHand(state(...done, answer(40, 0, 0, lighter, false)), 0, loadOf(0))).toBe(10);
    expect(loadInHand(state(...done, answer(40, 0, 0, lighter)), 1, loadOf(1))).toBe(10);
    expect(loadInHand(state(), 2, loadOf(2))).toBeNull();
  });

  it('goes on in the sets after the one it was lightened for, and as a set was corrected', () => {
    const lightened = [...set(0, 0, 20, 20), answer(40, 0, 0, lighter), ...set(0, 1, 60, 15)];
    expect(loadInHand(state(...lightened), 0, loadOf(0))).toBe(7.5);
    const corrected: Entry[] = [
      ...lightened,
      [80, { type: 'load-corrected', exerciseIndex: 0, setIndex: 1, loadKg: 5 }],
    ];
    expect(loadInHand(state(...corrected), 0, loadOf(0))).toBe(5);
    // A loosening that was accepted is none of the load's.
    const loosened = [...set(0, 0, 20, 20), answer(40, 0, 0, { kind: 'loosen', byMmHg: 10 })];
    expect(loadInHand(state(...loosened), 0, loadOf(0))).toBe(10);
  });

  it('rests as accepted for the exercise on either side, and for no other', () => {
    const longer = [
      ...set(0, 0, 20, 30),
      ...set(0, 1, 60, 10),
      answer(80, 0, 1, { kind: 'rest', restMs: 45_000 }),
    ];
    const rest = (...entries: Entry[]) =>
      [0, 1, 2].map((index) => restInHand(plan, state(...entries), index, 30_000));
    expect(rest()).toEqual([30_000, 30_000, 30_000]);
    expect(rest(...longer)).toEqual([45_000, 45_000, 30_000]);
    expect(rest(...set(0, 0, 20, 30), answer(80, 0, 0, { kind: 'rest', restMs: 45_000 }, false))).toEqual([
      30_000, 30_000, 30_000,
    ]);
    expect(rest(...set(0, 0, 20, 20), answer(40, 0, 0, lighter))).toEqual([30_000, 30_000, 30_000]);
  });

  it('says the set, its rest and whether a cuff is up', () => {
    expect(englishOf(inHand(plan, state()))).toMatchObject({
      exerciseIndex: 0,
      place: { exerciseIndex: 0, setIndex: 0 },
      set: { work: { kind: 'reps', reps: 30 } },
      restMs: 30_000,
      loadKg: 10,
      limbs: [{ limb: 'left-thigh', readMmHg: 104 }],
    });
    const running = state(...set(0, 0, 20, 30), [60, { type: 'set-started', exerciseIndex: 0, setIndex: 1 }]);
    expect(englishOf(inHand(plan, running))).toMatchObject({
      place: { exerciseIndex: 0, setIndex: 1 },
      set: { work: { reps: 15 } },
    });
    // All of it is done and its cuff still up: nothing is left of this exercise, and its last rest counts.
    const through = state(...[0, 1, 2, 3].flatMap((setIndex) => set(0, setIndex, 20 + 40 * setIndex, 15)));
    expect(englishOf(inHand(plan, through))).toMatchObject({
      exerciseIndex: 0,
      place: null,
      set: null,
      restMs: 60_000,
    });
    expect(inHand({ ...plan, exercises: [] }, state())).toBeNull();
  });

  it('has what was signed for a limb of the exercise in hand, else of the first that uses it', () => {
    expect(englishOf(signedInHand(plan, state(), 'left-thigh'))).toMatchObject({ limb: 'left-thigh' });
    expect(englishOf(signedInHand(plan, state(), 'right-thigh'))).toMatchObject({
      limb: 'right-thigh',
      occlusionId: 'lop-right',
    });
    expect(signedInHand(plan, state(), 'left-arm')).toBeUndefined();
  });
});

describe('what is offered after a set (REV-3, REV-4, RUN-4)', () => {
  const offer = (over = plan, ...entries: Entry[]) =>
    offerAfterSet(over, foldAll(over, logOf([...begun, ...entries])), [testKit]);

  it('is a lighter load after a first set that fell short or felt over eight, in words', () => {
    expect(englishOf(offer(plan, ...set(0, 0, 20, 20)))).toMatchObject({
      offer: { kind: 'lighten', loadKg: 7.5 },
      rule: 'REV-3',
      reason: 'Set one ended at 20 of 30: one step lighter.',
      exerciseIndex: 0,
      setIndex: 0,
    });
    expect(offer(plan, ...set(0, 0, 20, 30))).toBeNull();
    expect(offer(plan, ...set(0, 0, 20, 30, 8))).toBeNull();
    expect(englishOf(offer(plan, ...set(0, 0, 20, 30, 9)))).toMatchObject({
      reason: 'Set one felt 9 of 10: one step lighter.',
    });
  });

  it('is a longer rest after a later one, to at most a minute', () => {
    const two = [...set(0, 0, 20, 30), ...set(0, 1, 60, 10)];
    expect(englishOf(offer(plan, ...two))).toMatchObject({
      offer: { kind: 'rest', restMs: 45_000 },
      reason: '10 of 15: rest 45 s instead of 30.',
      rule: 'REV-4',
    });
    expect(offer(plan, ...set(0, 0, 20, 30), ...set(0, 1, 60, 15))).toBeNull();
    const longest = planOf({ ...left, sets: left.sets.map((one) => ({ ...one, restMs: 60_000 })) });
    expect(offer(longest, ...two)).toBeNull();
    const nearly = planOf({ ...left, sets: left.sets.map((one) => ({ ...one, restMs: 50_000 })) });
    expect(englishOf(offer(nearly, ...two))).toMatchObject({ offer: { kind: 'rest', restMs: 60_000 } });
  });

  it('is a looser cuff where nothing is lighter: at 20 % of 1RM, or without kilograms', () => {
    const light = planOf({
      ...left,
      load: { kind: 'weighed', strengthTestId: 'test', weightKitId: 'stack', percentOneRepMax: 20 },
    });
    expect(englishOf(offer(light, ...set(0, 0, 20, 20)))).toMatchObject({
      offer: { kind: 'loosen', byMmHg: 10 },
      rule: 'RUN-4',
      reason: 'Set one ended at 20 of 30, and the load is already low: loosen by 10 mmHg.',
    });
    expect(englishOf(offer(planOf(press), ...set(0, 0, 20, 20)))).toMatchObject({
      offer: { kind: 'loosen' },
    });
    // Weights that are not in the kit any more.
    expect(
      englishOf(offerAfterSet(plan, state(...set(0, 0, 20, 20)), [{ ...testKit, id: 'other' }])),
    ).toMatchObject({
      offer: { kind: 'loosen' },
    });
  });

  it('is asked once a set, not after the last one, not of work to failure, not of one under way or once stopped', () => {
    const short = set(0, 0, 20, 20);
    expect(offer(plan, ...short, answer(40, 0, 0, lighter, false))).toBeNull();
    // An answer to another set is none to this one.
    expect(offer(plan, ...short, answer(40, 0, 0, lighter), ...set(0, 1, 60, 10))).not.toBeNull();
    const all = [0, 1, 2, 3].flatMap((setIndex) => set(0, setIndex, 20 + 40 * setIndex, 10));
    expect(offer(plan, ...all)).toBeNull();
    expect(offer(plan, ...all.slice(0, -2))).not.toBeNull();
    const failure = planOf({
      ...left,
      sets: left.sets.map((one) => ({ ...one, work: { kind: 'to-failure' as const, pacedTo: 30 } })),
    });
    expect(offer(failure, ...short)).toBeNull();
    expect(offer(plan, [20, { type: 'set-started', exerciseIndex: 0, setIndex: 0 }])).toBeNull();
    expect(offer(plan, ...short, [50, { type: 'stopped', why: 'Dizzy' }])).toBeNull();
    expect(offer(plan)).toBeNull();
  });
});

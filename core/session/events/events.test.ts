import { describe, expect, it } from 'vitest';
import { attentionOf, compareAttention } from '../attention';
import { limbClocks, restLeftMs } from '../clocks';
import { foldAll, logOf, START_MS } from '../session.fixture';
import {
  AFTER_SET,
  BEGUN,
  type Entry,
  FINISHED,
  first,
  IN_SET,
  twoLimbs as plan,
  STOPPED,
  UP,
} from '../two-limbs.fixture';

// What single events do to the state, and what they leave alone.

const stateAfter = (...entries: readonly Entry[]) => foldAll(plan, logOf(entries));
const second = { exerciseIndex: 0, setIndex: 1 };

describe('a set that is taken back or done again', () => {
  it('goes on as if it had not ended, within ten seconds, the last one only and never after a stop', () => {
    const back = (seconds: number, place: ReturnType<typeof first>): Entry => [
      seconds,
      { type: 'end-taken-back', ...place },
    ];
    const [set] = stateAfter(...AFTER_SET, back(90, first(0))).sets;
    expect(set).toMatchObject({ endedAtMs: null, countedReps: null, reason: null, endsTakenBack: 1 });
    expect(stateAfter(...AFTER_SET, back(90, first(0))).rest).toBeNull();
    const unmoved = stateAfter(...AFTER_SET);
    for (const late of [
      back(90.001, first(0)),
      back(85, first(1)),
      back(85, { ...first(0), exerciseIndex: 1 }),
    ]) {
      expect(stateAfter(...AFTER_SET, late)).toEqual(unmoved);
    }
    expect(stateAfter(...IN_SET, back(30, first(0)))).toEqual(stateAfter(...IN_SET));
    const stopped: Entry[] = [...AFTER_SET, [82, { type: 'stopped', why: 'Dizzy' }]];
    expect(stateAfter(...stopped, back(84, first(0)))).toEqual(stateAfter(...stopped));
    expect(stateAfter(...BEGUN, back(3, first(0)))).toEqual(stateAfter(...BEGUN));
  });

  it('is left out after a re-fit of it, and is where another one is meant', () => {
    const refit = (place: ReturnType<typeof first>): Entry => [40, { type: 're-fitted', ...place }];
    const done = stateAfter(...IN_SET, refit(first(0)));
    expect([done.sets, done.refits, done.rest]).toEqual([
      [],
      [{ ...first(0), atMs: START_MS + 40_000 }],
      null,
    ]);
    expect(stateAfter(...IN_SET, refit(first(1)))).toEqual(stateAfter(...IN_SET));
    expect(stateAfter(...IN_SET, refit({ ...first(0), exerciseIndex: 1 }))).toEqual(stateAfter(...IN_SET));
    // Of two sets only the one under way is done again.
    const two: Entry[] = [...AFTER_SET, [110, { type: 'set-started', ...second }]];
    expect(
      stateAfter(...two, [120, { type: 're-fitted', ...second }]).sets.map(({ setIndex }) => setIndex),
    ).toEqual([0]);
    // In a rest nothing is under way: the rest ends, the set is.
    const rested = stateAfter(...AFTER_SET, [90, { type: 're-fitted', ...second }]);
    expect([rested.sets.length, rested.rest]).toEqual([1, null]);
  });
});

describe('looser and tighter', () => {
  const LOOSER: Entry = [1, { type: 'loosened', limb: 'left-thigh', byMmHg: 20 }];

  it('adds up, never below nothing, and a step back is a raise', () => {
    expect(stateAfter(...BEGUN, LOOSER).loosenedMmHg).toEqual({ 'left-thigh': 20 });
    expect(stateAfter(...BEGUN, LOOSER).raisedAtMs).toEqual({});
    const raised = stateAfter(...BEGUN, LOOSER, [2, { type: 'loosened', limb: 'left-thigh', byMmHg: -10 }]);
    expect([raised.loosenedMmHg, raised.raisedAtMs]).toEqual([
      { 'left-thigh': 10 },
      { 'left-thigh': START_MS + 2_000 },
    ]);
    const most = stateAfter(...BEGUN, LOOSER, [2, { type: 'loosened', limb: 'left-thigh', byMmHg: -50 }]);
    expect(most.loosenedMmHg).toEqual({ 'left-thigh': 0 });
    const same = stateAfter(...BEGUN, [1, { type: 'loosened', limb: 'left-thigh', byMmHg: 0 }]);
    expect(same.raisedAtMs).toEqual({});
  });

  it('follows a reading that was meant, of the limb it was of, and not one that was only read', () => {
    const reading = (pressureMmHg: number, cause: 'read' | 'loosened' | 'raised' | 'top-up'): Entry => [
      10,
      { type: 'pressure-read', limb: 'right-thigh', pressureMmHg, cause },
    ];
    expect(stateAfter(...UP, reading(90, 'read')).loosenedMmHg).toEqual({});
    expect(
      stateAfter(...UP, reading(90, 'read')).limbs.map(({ inflations }) => inflations[0]?.steps.length),
    ).toEqual([1, 2]);
    expect(stateAfter(...UP, reading(90, 'loosened')).loosenedMmHg).toEqual({ 'right-thigh': 15 });
    expect(stateAfter(...UP, reading(90, 'loosened')).raisedAtMs).toEqual({});
    const raised = stateAfter(...UP, reading(90, 'loosened'), [
      12,
      { type: 'pressure-read', limb: 'right-thigh', pressureMmHg: 100, cause: 'raised' },
    ]);
    expect([raised.loosenedMmHg, raised.raisedAtMs]).toEqual([
      { 'right-thigh': 5 },
      { 'right-thigh': START_MS + 12_000 },
    ]);
    // Of a cuff that is down there is nothing to read.
    expect(stateAfter(...BEGUN, reading(90, 'loosened'))).toEqual(stateAfter(...BEGUN));
    // Loosening answers a colour that was not good; raising and topping up do not.
    const notGood: Entry[] = [...AFTER_SET, [84, { type: 'colour-checked', ...first(0), good: false }]];
    const later = (cause: 'read' | 'loosened' | 'raised' | 'top-up'): Entry => [
      86,
      { type: 'pressure-read', limb: 'right-thigh', pressureMmHg: 90, cause },
    ];
    expect(stateAfter(...notGood).toDecide).not.toBeNull();
    expect(stateAfter(...notGood, later('loosened')).toDecide).toBeNull();
    expect(stateAfter(...notGood, later('top-up')).toDecide).not.toBeNull();
    expect(stateAfter(...notGood, later('raised')).toDecide).not.toBeNull();
  });
});

describe('what is said of a set or of the day after', () => {
  it('is kept of the set it names, and nowhere where there is none', () => {
    expect(
      stateAfter(...AFTER_SET, [85, { type: 'became-hard', ...first(0), rep: 21 }]).sets[0]?.hardAtRep,
    ).toBe(21);
    expect(stateAfter(...AFTER_SET, [85, { type: 'became-hard', ...first(2), rep: 21 }])).toEqual(
      stateAfter(...AFTER_SET),
    );
  });

  it('keeps of the day after what was asked, no more', () => {
    const answer = { soreness: 2, bruising: 'none', pinpointBleeding: false, numbness: false } as const;
    expect(stateAfter(...FINISHED, [90_000, { type: 'followed-up', ...answer }]).followUp).toEqual(answer);
    const more = { ...answer, skinAbrasion: true, urgent: ['dark-urine' as const] };
    expect(stateAfter(...FINISHED, [90_000, { type: 'followed-up', ...more }]).followUp).toEqual(more);
  });
});

describe('the clocks of several cuffs (RUN-1)', () => {
  const clocks = (entries: readonly Entry[], seconds: number) =>
    limbClocks(plan, stateAfter(...entries), START_MS + seconds * 1000);

  it('count each cuff by itself, with what it was last read at and when it came down', () => {
    const oneDown: Entry[] = [
      ...UP,
      [20, { type: 'pressure-read', limb: 'right-thigh', pressureMmHg: 99, cause: 'read' }],
      [30, { type: 'cuff-released', limb: 'left-thigh' }],
    ];
    expect(clocks(oneDown, 40)).toEqual([
      expect.objectContaining({
        limb: 'left-thigh',
        inflated: false,
        downSinceMs: START_MS + 30_000,
        pressureMmHg: null,
        clockMs: 25_000,
        alarm: 'none',
      }),
      expect.objectContaining({
        limb: 'right-thigh',
        inflated: true,
        downSinceMs: null,
        pressureMmHg: 99,
        clockMs: 34_000,
      }),
    ]);
  });

  it('never have more rest left than the rest is long, and go below nothing when it is over', () => {
    const left = (seconds: number) => restLeftMs(stateAfter(...AFTER_SET), START_MS + seconds * 1000);
    expect([79.2, 80, 95.5, 110, 112].map(left)).toEqual([30_000, 30_000, 14_500, 0, -2_000]);
    expect(restLeftMs(stateAfter(...IN_SET), START_MS)).toBeNull();
  });

  it('say which session needs attention most, and when', () => {
    const attention = (entries: readonly Entry[], seconds: number) =>
      attentionOf(plan, stateAfter(...entries), START_MS + seconds * 1000);
    // Ten seconds before the paced end of a set it is soon; before that it runs by itself.
    expect(attention(IN_SET, 69.999)).toEqual({ need: 'runs', inMs: 10_001 });
    expect(attention(IN_SET, 70)).toEqual({ need: 'soon', inMs: 10_000 });
    expect(attention(BEGUN, 3).need).toBe('act');
    expect(attention(STOPPED, 31)).toEqual({ need: 'stopped', inMs: 0 });
    const stoppedAndDown: Entry[] = [
      ...STOPPED,
      [31, { type: 'cuff-released', limb: 'left-thigh' }],
      [31, { type: 'cuff-released', limb: 'right-thigh' }],
    ];
    expect(attention(stoppedAndDown, 32).need).not.toBe('stopped');
    expect(attention([...stoppedAndDown, [40, { type: 'session-finished' }]], 50)).toEqual({
      need: 'over',
      inMs: Number.POSITIVE_INFINITY,
    });
    const looked: Entry[] = [...AFTER_SET, [85, { type: 'colour-checked', ...first(0), good: true }]];
    expect(attention(looked, 90)).toEqual({ need: 'runs', inMs: 20_000 });
    expect(attention(looked, 105)).toEqual({ need: 'soon', inMs: 5_000 });
    expect(attention(looked, 115)).toEqual({ need: 'act', inMs: 0 });
    const [soon, sooner] = [attention(looked, 105), attention(looked, 106)];
    expect([soon, sooner].sort(compareAttention)[0]).toBe(sooner);
    expect([attention(looked, 90), attention(STOPPED, 31)].sort(compareAttention)[0]?.need).toBe('stopped');
  });
});

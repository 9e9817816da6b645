import { describe, expect, it } from 'vitest';
import { englishOf } from '#language/english-of.fixture';
import type { Plan } from '../plan/plan';
import { testPlan } from '../plan/plan.fixture';
import { attentionOf, compareAttention } from './attention';
import { limbClocks } from './clocks';
import { nextStep } from './next-step';
import { foldAll, logOf, START_MS, WHOLE_SESSION } from './session.fixture';
import { settlingWords } from './settling';
import {
  AFTER_SET,
  BEGUN,
  DOWN,
  type Entry,
  FINISHED,
  first,
  IN_SET,
  LEAKED,
  STOPPED,
  twoLimbs,
  UP,
} from './two-limbs.fixture';

const at = (seconds: number) => START_MS + seconds * 1000;
const stateOf = (entries: readonly Entry[], plan: Plan = twoLimbs) => foldAll(plan, logOf(entries));
const step = (entries: readonly Entry[], seconds: number, plan: Plan = twoLimbs) =>
  nextStep(plan, stateOf(entries, plan), at(seconds));
const untilS = (found: ReturnType<typeof step>) =>
  found.do === 'wait' ? (found.untilMs - START_MS) / 1000 : null;

/** Set after set of the first exercise, the cuffs up throughout. */
const sets = (count: number, fromS = 20): Entry[] =>
  Array.from({ length: count }, (_, setIndex): Entry[] => {
    const startS = fromS + setIndex * 60;
    return [
      [startS, { type: 'set-started', ...first(setIndex) }],
      [startS + 30, { type: 'set-ended', ...first(setIndex), reps: 15, reason: 'done' }],
      [startS + 30, { type: 'rest-started', ...first(setIndex), restMs: 30_000 }],
    ];
  }).flat();

describe('what is expected next, of two limbs (RUN-1, RUN-2)', () => {
  it('brings both cuffs to their own targets, and one that is up already is not asked again', () => {
    expect(step(BEGUN, 1)).toEqual({
      do: 'inflate',
      why: 'set',
      place: first(0),
      cuffs: [
        { limb: 'left-thigh', pressureMmHg: 104 },
        { limb: 'right-thigh', pressureMmHg: 105 },
      ],
    });
    expect(step(UP.slice(0, 2), 6)).toMatchObject({
      do: 'inflate',
      cuffs: [{ limb: 'right-thigh', pressureMmHg: 105 }],
    });
    expect(step(UP, 7)).toEqual({ do: 'start-set', place: first(0) });
    expect(step(IN_SET, 30)).toEqual({ do: 'end-set', place: first(0) });
  });

  it('starts the next set while the cuffs are up, whatever is left of the rest', () => {
    expect(step(AFTER_SET, 81)).toEqual({ do: 'start-set', place: first(1) });
    expect(step(AFTER_SET, 200)).toEqual({ do: 'start-set', place: first(1) });
  });

  it('lets a cuff down that the next exercise does not have, and only that one', () => {
    const after = [...UP, ...sets(4)];
    expect(step(after, 245)).toEqual({
      do: 'release',
      why: 'between-exercises',
      limbs: ['right-thigh'],
    });
    const leftUp: Entry[] = [...after, [246, { type: 'cuff-released', limb: 'right-thigh' }]];
    expect(step(leftUp, 247)).toMatchObject({
      do: 'release',
      why: 'between-exercises',
      limbs: ['left-thigh'],
    });
  });

  it('asks for a release at the limit of one limb alone, after a stop, and for nothing once it is over', () => {
    const hardS = 5 + (limbClocks(twoLimbs, stateOf(UP), at(6))[0]?.leftMs ?? 0) / 1000 + 1;
    const one = UP.slice(0, 2);
    expect(step(one, hardS - 2)).toMatchObject({ do: 'inflate' });
    expect(step(one, hardS)).toEqual({ do: 'release', why: 'limit', limbs: ['left-thigh'] });
    expect(step(STOPPED, 31)).toEqual({
      do: 'release',
      why: 'stopped',
      limbs: ['left-thigh', 'right-thigh'],
    });
    const down: Entry[] = [
      ...STOPPED,
      [32, { type: 'cuff-released', limb: 'left-thigh' }],
      [32, { type: 'cuff-released', limb: 'right-thigh' }],
    ];
    expect(step(down, 33)).toEqual({ do: 'finish' });
    expect(step(FINISHED, 91)).toEqual({ do: 'nothing' });
    // Finished with a cuff up: it still has to come down.
    expect(step([...UP, [10, { type: 'session-finished' }]], 11).do).not.toBe('nothing');
  });

  it('brings a cuff up again after it was deflated between sets, at once where no rest was planned for it', () => {
    expect(step(DOWN, 85)).toMatchObject({ do: 'inflate', place: first(1), why: 'set' });
  });

  it('waits for a minute of free flow after the clock ran out, from the release', () => {
    const hardS = 5 + (limbClocks(twoLimbs, stateOf(UP), at(6))[0]?.leftMs ?? 0) / 1000 + 1;
    const released: Entry[] = [
      ...UP,
      [hardS, { type: 'cuff-released', limb: 'left-thigh' }],
      [hardS + 5, { type: 'cuff-released', limb: 'right-thigh' }],
    ];
    const waits = step(released, hardS + 6);
    expect(waits).toMatchObject({ do: 'wait', why: 'free-flow', place: first(0) });
    // Both are to be up: it goes on when the later one is free.
    expect(untilS(waits)).toBe(hardS + 65);
    expect(step(released, hardS + 66)).toMatchObject({ do: 'inflate' });
  });
});

describe('what is expected next, with the cuff deflated in each rest', () => {
  const { plan } = testPlan({ protocolId: 'release-75' });
  const done: Entry[] = [
    [0, { type: 'session-started' }],
    [5, { type: 'cuff-inflated', limb: 'left-thigh', pressureMmHg: 104 }],
    [20, { type: 'set-started', ...first(0) }],
    [50, { type: 'set-ended', ...first(0), reps: 15, reason: 'done' }],
    [50, { type: 'rest-started', ...first(0), restMs: 60_000 }],
  ];

  it('is the release, then the wait for the rest but its lead, then up again', () => {
    expect(step(done, 51, plan)).toEqual({ do: 'release', why: 'rest', limbs: ['left-thigh'] });
    const down: Entry[] = [...done, [53, { type: 'cuff-released', limb: 'left-thigh' }]];
    const leadS = (plan.exercises[0]?.reinflateLeadMs ?? 0) / 1000;
    expect(leadS).toBeGreaterThan(0);
    expect(step(down, 54, plan)).toMatchObject({ do: 'wait', why: 'rest', place: first(1) });
    expect(untilS(step(down, 54, plan))).toBe(110 - leadS);
    expect(step(down, 110 - leadS, plan)).toMatchObject({ do: 'inflate', place: first(1) });
  });
});

describe('settling before the first set (PRS-5)', () => {
  const words = (entries: readonly Entry[], seconds = 15) => {
    const state = stateOf(entries);
    return settlingWords(twoLimbs, state, nextStep(twoLimbs, state, at(seconds)));
  };
  const read = (seconds: number, limb: 'left-thigh' | 'right-thigh', pressureMmHg: number): Entry => [
    seconds,
    { type: 'pressure-read', limb, pressureMmHg, cause: 'read' },
  ];

  it('asks for contractions first, again while one limb is off by more than its division, three times at most', () => {
    expect(words(BEGUN)).toBeNull();
    expect(englishOf(words(UP))).toMatch(/^Settle: 2 contractions of 2 s/);
    // One limb was read, the other not yet.
    expect(englishOf(words([...UP, read(8, 'left-thigh', 104)]))).toMatch(/^Settle/);
    // Divisions of 2 and of 5: 102 and 100 are within, 101 and 99 are not.
    expect(words([...UP, read(8, 'left-thigh', 102), read(9, 'right-thigh', 100)])).toBeNull();
    expect(englishOf(words([...UP, read(8, 'left-thigh', 101), read(9, 'right-thigh', 105)]))).toMatch(
      /^It fell/,
    );
    expect(englishOf(words([...UP, read(8, 'left-thigh', 104), read(9, 'right-thigh', 99)]))).toMatch(
      /^It fell/,
    );
    const often = [8, 9, 10].flatMap((s) => [read(s, 'left-thigh', 90), read(s, 'right-thigh', 90)]);
    expect(englishOf(words([...UP, ...often.slice(0, 4)]))).toMatch(/^It fell/);
    expect(words([...UP, ...often])).toBeNull();
    expect(englishOf(words(LEAKED))).toMatch(/^Settle/);
  });

  it('is for the first set only', () => {
    expect(words(IN_SET, 30)).toBeNull();
    expect(words(AFTER_SET, 81)).toBeNull();
  });
});

describe('which session needs attention (RUN-1)', () => {
  const need = (entries: readonly Entry[], seconds: number) =>
    attentionOf(twoLimbs, stateOf(entries), at(seconds));
  const limitMs = limbClocks(twoLimbs, stateOf(UP), at(6)).map(({ leftMs }) => leftMs);

  it('is by what is nearest to its limit, else by when something is to be done', () => {
    expect(limitMs[0]).toBeLessThan(limitMs[1] ?? 0);
    expect(need(BEGUN, 1)).toEqual({ need: 'act', inMs: 0 });
    expect(need(IN_SET, 21)).toMatchObject({ need: 'runs' });
    const lastsMs = twoLimbs.exercises[0]?.sets[0]?.lastsMs ?? 0;
    expect(need(IN_SET, 21).inMs).toBe(lastsMs - 1_000);
    expect(need(IN_SET, 20 + lastsMs / 1000 - 10)).toEqual({ need: 'soon', inMs: 10_000 });
    expect(need(IN_SET, 20 + lastsMs / 1000)).toEqual({ need: 'act', inMs: 0 });
    // A rest with the cuffs up runs by itself.
    expect(need(AFTER_SET, 81)).toEqual({ need: 'runs', inMs: 29_000 });
    expect(need(AFTER_SET, 105)).toEqual({ need: 'soon', inMs: 5_000 });
    expect(need(AFTER_SET, 130)).toEqual({ need: 'act', inMs: 0 });
    expect(need(STOPPED, 31)).toEqual({ need: 'stopped', inMs: 0 });
    expect(need(FINISHED, 91)).toEqual({ need: 'over', inMs: Number.POSITIVE_INFINITY });
  });

  it('says the limit of the limb that has least left, near it and at it', () => {
    const hardS = 6 + (limitMs[0] ?? 0) / 1000;
    expect(need(IN_SET, hardS - 5)).toMatchObject({ need: 'limit-near', inMs: 5_000 });
    expect(need(IN_SET, hardS).need).toBe('limit');
    expect(need(IN_SET, hardS + 3)).toEqual({ need: 'limit', inMs: expect.any(Number) });
    // One that is down has no limit to near.
    expect(need(DOWN, hardS - 5).need).not.toBe('limit-near');
  });

  it('sorts by need, then by what is sooner', () => {
    const order = [
      { need: 'runs', inMs: 5 },
      { need: 'limit', inMs: 9 },
      { need: 'runs', inMs: 1 },
    ] as const;
    expect([...order].sort(compareAttention)).toEqual([order[1], order[2], order[0]]);
  });
});

describe('a session that is over', () => {
  it('has nothing to do, and had the sets done to release for before', () => {
    const { plan } = testPlan();
    const whole = WHOLE_SESSION as readonly Entry[];
    const before = whole.filter(([seconds]) => seconds < 275);
    expect(step(before, 270, plan)).toEqual({ do: 'release', why: 'sets-done', limbs: ['left-thigh'] });
    expect(step(whole.slice(0, -1), 276, plan)).toEqual({ do: 'finish' });
    expect(step(whole, 301, plan)).toEqual({ do: 'nothing' });
  });
});

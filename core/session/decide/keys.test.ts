import { describe, expect, it } from 'vitest';
import { englishOf } from '#language/english-of.fixture';
import { msg } from '../../message/message';
import type { Plan } from '../../plan/plan';
import { testPlan } from '../../plan/plan.fixture';
import { plannedKg } from '../../plan/planned-load';
import type { EventBody } from '../events';
import { foldAll, logOf, START_MS } from '../session.fixture';
import {
  AFTER_SET,
  BEGUN,
  DOWN,
  type Entry,
  FINISHED,
  first,
  IN_SET,
  LEAKED,
  twoLimbs as plan,
  STOPPED,
  UP,
} from '../two-limbs.fixture';
import { decide } from './decide';
import type { Hands, Intent } from './intent';
import { dueEvents } from './owed';

// What each key does in each situation, worked out by hand.

const at = (entries: readonly Entry[]) => foldAll(plan, logOf(entries));
const press = (
  entries: readonly Entry[],
  seconds: number,
  intent: Intent,
  pumped: Hands['pumped'] = [],
  on: Plan = plan,
) => decide(on, foldAll(on, logOf(entries)), intent, START_MS + seconds * 1000, { pumped });
const said = (entries: readonly Entry[], seconds: number, intent: Intent) =>
  press(entries, seconds, intent).refused;
const events = (entries: readonly Entry[], seconds: number, intent: Intent) =>
  press(entries, seconds, intent).events;
const read = (limb: string, pressureMmHg: number, cause: string) => ({
  type: 'pressure-read',
  limb,
  pressureMmHg,
  cause,
});

describe('up and down (RUN-4, RUN-7)', () => {
  it('tops up only what has leaked, to its own target, before a set', () => {
    const { events: made, effects } = press(LEAKED, 12, { do: 'top-up' }, ['left-thigh']);
    expect(englishOf(made)).toEqual([read('left-thigh', 104, 'top-up')]);
    expect(effects).toEqual([{ do: 'bring', limb: 'left-thigh', pressureMmHg: 104 }]);
    expect(press(LEAKED, 12, { do: 'top-up' }).effects).toEqual([]);
    expect(englishOf(said(UP, 12, { do: 'top-up' }))).toContain('at its target');
    expect(englishOf(said(LEAKED, 12, { do: 'top-up', limb: 'right-thigh' }))).toContain('at its target');
    expect(englishOf(said(LEAKED, 12, { do: 'top-up', limb: 'left-arm' }))).toContain(
      'No cuff of this exercise',
    );
    expect(englishOf(said(BEGUN, 12, { do: 'top-up' }))).toContain('inflate it first');
    expect(englishOf(said(IN_SET, 30, { do: 'top-up' }))).toContain('Not in a set');
    expect(englishOf(said(STOPPED, 31, { do: 'top-up' }))).toContain('nothing goes up');
    expect(said(FINISHED, 95, { do: 'top-up' })).not.toBeNull();
  });

  it('loosens by the step or by what is named, from what is read and never from above the target', () => {
    expect(englishOf(events(UP, 12, { do: 'loosen', limb: 'left-thigh' }))).toEqual([
      read('left-thigh', 94, 'loosened'),
    ]);
    expect(englishOf(events(LEAKED, 12, { do: 'loosen', limb: 'left-thigh' }))).toEqual([
      read('left-thigh', 86, 'loosened'),
    ]);
    expect(englishOf(events(IN_SET, 30, { do: 'loosen' }))).toEqual([
      read('left-thigh', 94, 'loosened'),
      read('right-thigh', 95, 'loosened'),
    ]);
    expect(englishOf(events(UP, 12, { do: 'loosen', limb: 'right-thigh', byMmHg: 3 }))).toEqual([
      read('right-thigh', 100, 'loosened'),
    ]);
    // Read above its target: from the target, not from there.
    const over: Entry[] = [
      ...UP,
      [8, { type: 'pressure-read', limb: 'left-thigh', pressureMmHg: 112, cause: 'read' }],
    ];
    expect(englishOf(events(over, 12, { do: 'loosen', limb: 'left-thigh' }))).toEqual([
      read('left-thigh', 94, 'loosened'),
    ]);
    expect(press(UP, 12, { do: 'loosen' }, ['right-thigh']).effects).toEqual([
      { do: 'bring', limb: 'right-thigh', pressureMmHg: 95 },
    ]);
    for (const byMmHg of [0, -50])
      expect(englishOf(said(UP, 12, { do: 'loosen', byMmHg }))).toContain('above 0');
    expect(englishOf(events(UP, 12, { do: 'loosen', limb: 'left-thigh', byMmHg: 300 }))).toEqual([
      read('left-thigh', 0, 'loosened'),
    ]);
  });

  it('with the cuff down loosens the next inflation, down to nothing and no further', () => {
    expect(englishOf(events(BEGUN, 2, { do: 'loosen', limb: 'left-thigh' }))).toEqual([
      { type: 'loosened', limb: 'left-thigh', byMmHg: 10 },
    ]);
    const atNothing: Entry[] = [...BEGUN, [1, { type: 'loosened', limb: 'left-thigh', byMmHg: 104 }]];
    expect(englishOf(said(atNothing, 2, { do: 'loosen', limb: 'left-thigh' }))).toBe(
      'Left thigh is at nothing already.',
    );
  });

  it('raises once before a set, back to what was signed and never over it', () => {
    expect(englishOf(said(UP, 12, { do: 'raise', limb: 'left-thigh' }))).toContain('104 mmHg was signed');
    const loose: Entry[] = [
      ...UP,
      [8, { type: 'pressure-read', limb: 'left-thigh', pressureMmHg: 88, cause: 'loosened' }],
    ];
    expect(englishOf(events(loose, 12, { do: 'raise', limb: 'left-thigh' }))).toEqual([
      read('left-thigh', 98, 'raised'),
    ]);
    const raised: Entry[] = [
      ...loose,
      [12, { type: 'pressure-read', limb: 'left-thigh', pressureMmHg: 98, cause: 'raised' }],
    ];
    expect(englishOf(said(raised, 14, { do: 'raise', limb: 'left-thigh' }))).toContain('Once before a set');
    // With the cuff down the next inflation is raised instead: 16 looser becomes 6 looser.
    const looseDown: Entry[] = [...BEGUN, [1, { type: 'loosened', limb: 'left-thigh', byMmHg: 16 }]];
    expect(englishOf(events(looseDown, 2, { do: 'raise', limb: 'left-thigh' }))).toEqual([
      { type: 'loosened', limb: 'left-thigh', byMmHg: -10 },
    ]);
    expect(englishOf(said(IN_SET, 30, { do: 'raise' }))).toContain('Not in a set');
    expect(englishOf(said(STOPPED, 31, { do: 'raise' }))).toContain('nothing goes up');
  });

  it('takes a reading of a cuff that is up, and none above the limb’s own LOP (PRS-3)', () => {
    const reading = (pressureMmHg: number) => ({ do: 'read', limb: 'right-thigh', pressureMmHg }) as const;
    expect(englishOf(events(UP, 12, reading(100)))).toEqual([read('right-thigh', 100, 'read')]);
    expect(englishOf(events(UP, 12, reading(181)))).toEqual([read('right-thigh', 181, 'read')]);
    expect(englishOf(said(UP, 12, reading(182)))).toContain('LOP of 181.5');
    expect(englishOf(said(UP, 12, { do: 'read', limb: 'left-thigh', pressureMmHg: 175 }))).toContain(
      'LOP of 174',
    );
    expect(events(UP, 12, { do: 'read', limb: 'left-thigh', pressureMmHg: 174 })).toHaveLength(1);
    expect(englishOf(said(BEGUN, 12, reading(60)))).toContain('down');
    expect(englishOf(said(UP, 12, { do: 'read', limb: 'left-arm', pressureMmHg: 60 }))).toContain('down');
  });

  it('releases what is up, all or what is named, and ends the set that needs it', () => {
    const { events: made, effects } = press(UP, 12, { do: 'release', limbs: ['right-thigh'] });
    expect(englishOf(made)).toEqual([{ type: 'cuff-released', limb: 'right-thigh' }]);
    expect(effects).toEqual([{ do: 'deflate', limb: 'right-thigh' }]);
    // 30 s into a set of two seconds a repetition.
    expect(englishOf(events(IN_SET, 50, { do: 'release' }))).toEqual([
      { type: 'set-ended', ...first(0), reps: 15, reason: 'operator' },
      { type: 'cuff-released', limb: 'left-thigh' },
      { type: 'cuff-released', limb: 'right-thigh' },
    ]);
    expect(englishOf(events(IN_SET, 50, { do: 'release', limbs: ['right-thigh'] })[0])).toMatchObject({
      type: 'set-ended',
    });
    expect(englishOf(said(UP, 12, { do: 'release', limbs: ['left-arm'] }))).toBe('No cuff is up.');
    expect(englishOf(said(DOWN, 86, { do: 'release' }))).toBe('No cuff is up.');
    // Of two cuffs one is down already.
    const oneUp: Entry[] = [...UP, [9, { type: 'cuff-released', limb: 'left-thigh' }]];
    expect(englishOf(events(oneUp, 12, { do: 'release' }))).toEqual([
      { type: 'cuff-released', limb: 'right-thigh' },
    ]);
  });
});

describe('the one thing next, and what is taken back (RUN-2, FIT-4)', () => {
  it('inflates by hand at once and by a pump through the pump', () => {
    const both = press(BEGUN, 2, { do: 'next' });
    expect(englishOf(both.events)).toEqual([
      { type: 'cuff-inflated', limb: 'left-thigh', pressureMmHg: 104 },
      { type: 'cuff-inflated', limb: 'right-thigh', pressureMmHg: 105 },
    ]);
    const pumped = press(BEGUN, 2, { do: 'next' }, ['right-thigh']);
    expect(englishOf(pumped.events)).toEqual([
      { type: 'cuff-inflated', limb: 'left-thigh', pressureMmHg: 104 },
    ]);
    expect(pumped.effects).toEqual([{ do: 'bring', limb: 'right-thigh', pressureMmHg: 105 }]);
  });

  it('ends a set by hand with what the pace has counted, and its rest begins', () => {
    expect(englishOf(events(IN_SET, 50, { do: 'next' }))).toEqual([
      { type: 'set-ended', ...first(0), reps: 15, reason: 'failure' },
      { type: 'rest-started', ...first(0), restMs: 30_000 },
    ]);
    // Between exercises a minute; after the last set of the session nothing is rested for.
    const lastOfOne: Entry[] = [...UP, [20, { type: 'set-started', ...first(3) }]];
    expect(englishOf(events(lastOfOne, 30, { do: 'next' })[1])).toMatchObject({
      type: 'rest-started',
      restMs: 60_000,
    });
    const last: Entry[] = [...UP, [20, { type: 'set-started', exerciseIndex: 2, setIndex: 3 }]];
    expect(englishOf(events(last, 30, { do: 'next' }))).toEqual([
      { type: 'set-ended', exerciseIndex: 2, setIndex: 3, reps: 5, reason: 'failure' },
    ]);
  });

  it('takes an end back for ten seconds while every cuff of it is up', () => {
    const back: Intent = { do: 'take-back-end' };
    expect(englishOf(events(AFTER_SET, 90, back))).toEqual([{ type: 'end-taken-back', ...first(0) }]);
    expect(englishOf(said(AFTER_SET, 90.001, back))).toContain('Only within 10 s');
    expect(englishOf(said(IN_SET, 30, back))).toBe('No set has just ended.');
    expect(englishOf(said(UP, 12, back))).toBe('No set has just ended.');
    expect(englishOf(said(DOWN, 86, back))).toBe('Its cuff is down already.');
    const oneDown: Entry[] = [...AFTER_SET, [82, { type: 'cuff-released', limb: 'left-thigh' }]];
    expect(englishOf(said(oneDown, 84, back))).toBe('Its cuff is down already.');
    const stopped: Entry[] = [...AFTER_SET, [82, { type: 'stopped', why: 'Dizzy' }]];
    expect(englishOf(said(stopped, 84, back))).toBe('No set has just ended.');
  });

  it('re-fits every cuff that is up, and none where none is', () => {
    const { events: made, effects } = press(UP, 12, { do: 're-fit' });
    expect(englishOf(made)).toEqual([
      { type: 're-fitted', ...first(0) },
      { type: 'cuff-released', limb: 'left-thigh' },
      { type: 'cuff-released', limb: 'right-thigh' },
    ]);
    expect(effects).toEqual([
      { do: 'deflate', limb: 'left-thigh' },
      { do: 'deflate', limb: 'right-thigh' },
    ]);
    expect(englishOf(said(BEGUN, 2, { do: 're-fit' }))).toBe('No cuff is up for a set.');
  });
});

describe('what is noted (RUN-2, RUN-3)', () => {
  it('stops once, ends the set, and is refused after that', () => {
    expect(englishOf(events(IN_SET, 40, { do: 'stop', why: msg('Tired') }))).toEqual([
      { type: 'set-ended', ...first(0), reps: 10, reason: 'operator' },
      { type: 'stopped', why: 'Tired' },
    ]);
    expect(englishOf(said(STOPPED, 31, { do: 'stop', why: msg('Again') }))).toBe('It is stopped already.');
  });

  it('notes a sign in the limbs that are up, and stops for a stop sign but never twice or after the end', () => {
    expect(englishOf(events(UP, 12, { do: 'note-sign', sign: 'numb-or-tingling' }))).toEqual([
      { type: 'sign-noted', sign: 'numb-or-tingling', limbs: ['left-thigh', 'right-thigh'] },
      { type: 'stopped', why: expect.stringMatching(/numb/i) },
    ]);
    expect(
      englishOf(
        events(UP, 12, { do: 'note-sign', sign: 'numb-or-tingling', limbs: ['left-thigh'], note: 'toes' })[0],
      ),
    ).toEqual({
      type: 'sign-noted',
      sign: 'numb-or-tingling',
      limbs: ['left-thigh'],
      note: 'toes',
    });
    const noted = [{ type: 'sign-noted', sign: 'numb-or-tingling' }];
    expect(englishOf(events(FINISHED, 95, { do: 'note-sign', sign: 'numb-or-tingling' }))).toEqual(noted);
    expect(events(STOPPED, 33, { do: 'note-sign', sign: 'numb-or-tingling' })).toHaveLength(1);
    expect(events(UP, 12, { do: 'note-sign', sign: 'burn' })).toHaveLength(1);
  });

  it.each([
    [
      { do: 'check-colour', good: false },
      { type: 'colour-checked', ...first(0), good: false },
    ],
    [
      { do: 'note-set', effort: 7 },
      { type: 'set-noted', ...first(0), effort: 7 },
    ],
    [
      { do: 'note-set', jointPain: 2 },
      { type: 'set-noted', ...first(0), jointPain: 2 },
    ],
    [
      { do: 'note-set', reason: 'pain' },
      { type: 'set-noted', ...first(0), reason: 'pain' },
    ],
    [
      { do: 'became-hard', rep: 12 },
      { type: 'became-hard', ...first(0), rep: 12 },
    ],
    [
      { do: 'correct-reps', byReps: -2 },
      { type: 'reps-corrected', ...first(0), byReps: -2 },
    ],
    [{ do: 'confirm-reps' }, { type: 'reps-confirmed', ...first(0) }],
    [
      { do: 'correct-start', byMs: 500 },
      { type: 'start-corrected', ...first(0), byMs: 500 },
    ],
    [
      { do: 'note-heart-rate', moment: 'end', beatsPerMinute: 120 },
      { type: 'heart-rate-noted', ...first(0), moment: 'end', beatsPerMinute: 120 },
    ],
  ] as [Intent, EventBody][])('%j is of the last set, or of the one that is named', (intent, body) => {
    expect(events(AFTER_SET, 85, intent)).toEqual([body]);
    expect(events(AFTER_SET, 85, { ...intent, place: first(2) } as Intent)).toEqual([
      { ...body, ...first(2) },
    ]);
    expect(said(UP, 12, intent)).not.toBeNull();
    expect(events(UP, 12, intent)).toEqual([]);
  });

  it('corrects a load to nothing above the signed one, and to none where there are no kilograms (RUN-7)', () => {
    expect(englishOf(said(AFTER_SET, 85, { do: 'correct-load', loadKg: 5 }))).toBe(
      'This exercise has no kilograms.',
    );
    const weighed = testPlan().plan;
    const signedKg = weighed.exercises[0] && plannedKg(weighed.exercises[0].load);
    if (!signedKg) throw new Error('The plan has a load.');
    const correct = (loadKg: number) => press(AFTER_SET, 85, { do: 'correct-load', loadKg }, [], weighed);
    expect(englishOf(correct(signedKg - 1).events)).toEqual([
      { type: 'load-corrected', ...first(0), loadKg: signedKg - 1 },
    ]);
    expect(englishOf(correct(400).refused)).toContain(`${signedKg} kg was signed`);
    expect(englishOf(correct(-1).refused)).toContain('0 kg or more');
    expect(englishOf(said(UP, 12, { do: 'correct-load', loadKg: 1 }))).toBe('No set has begun yet.');
  });

  it('looks at colour after a set, not in it; takes the repetition it became hard at from the pace', () => {
    expect(englishOf(said(IN_SET, 40, { do: 'check-colour', good: true }))).toContain('after a set');
    // 21 s into the set: the eleventh has begun, ten are done.
    expect(englishOf(events(IN_SET, 41, { do: 'became-hard' }))).toEqual([
      { type: 'became-hard', ...first(0), rep: 10 },
    ]);
    expect(englishOf(said(AFTER_SET, 85, { do: 'became-hard' }))).toContain('Name the repetition');
  });

  it('does a loosening that is offered at once, and only notes one that is left', () => {
    const short: Entry[] = [
      ...IN_SET,
      [60, { type: 'set-ended', ...first(0), reps: 20, reason: 'failure' }],
      [60, { type: 'rest-started', ...first(0), restMs: 30_000 }],
    ];
    const take: Intent = { do: 'answer-offer', accepted: true };
    expect(englishOf(events(short, 65, take))).toEqual([
      expect.objectContaining({ type: 'offer-answered', accepted: true, ...first(0) }),
      read('left-thigh', 94, 'loosened'),
      read('right-thigh', 95, 'loosened'),
    ]);
    expect(englishOf(events(short, 65, { ...take, accepted: false }))).toEqual([
      expect.objectContaining({ type: 'offer-answered', accepted: false }),
    ]);
    expect(englishOf(said(AFTER_SET, 85, take))).toBe('Nothing is offered.');
    // A longer rest after a later set is noted; nothing is done to a cuff.
    const laterShort: Entry[] = [
      ...AFTER_SET,
      [110, { type: 'set-started', ...first(1) }],
      [130, { type: 'set-ended', ...first(1), reps: 9, reason: 'failure' }],
    ];
    expect(englishOf(events(laterShort, 135, take))).toEqual([
      expect.objectContaining({ type: 'offer-answered', offer: expect.objectContaining({ kind: 'rest' }) }),
    ]);
  });
});

describe('what the clock owes (RUN-1, RUN-2)', () => {
  const owed = (entries: readonly Entry[], seconds: number) =>
    dueEvents(plan, at(entries), START_MS + seconds * 1000).map(({ key, atMs, body }) => [
      key,
      (atMs - START_MS) / 1000,
      body.type,
    ]);

  it('is nothing before its time, after a stop or when it is finished', () => {
    expect(owed(IN_SET, 79.999)).toEqual([]);
    expect(owed(IN_SET, 200)).toEqual([
      ['set-ended 0.0', 80, 'set-ended'],
      ['rest-started 0.0', 80, 'rest-started'],
    ]);
    expect(owed([...IN_SET, [30, { type: 'stopped', why: 'Dizzy' }]], 200)).toEqual([]);
    expect(owed([...FINISHED], 200)).toEqual([]);
  });

  it('is another end after one was taken back, and after a re-fit of that set alone', () => {
    const takenBack: Entry[] = [...AFTER_SET, [84, { type: 'end-taken-back', ...first(0) }]];
    expect(owed(takenBack, 90)[0]?.[0]).toBe('set-ended 0.0 1');
    const refitted: Entry[] = [
      ...IN_SET,
      [30, { type: 're-fitted', ...first(0) }],
      [30, { type: 'cuff-released', limb: 'left-thigh' }],
      [30, { type: 'cuff-released', limb: 'right-thigh' }],
      [40, { type: 'cuff-inflated', limb: 'left-thigh', pressureMmHg: 104 }],
      [41, { type: 'cuff-inflated', limb: 'right-thigh', pressureMmHg: 105 }],
      [50, { type: 'set-started', ...first(0) }],
    ];
    expect(owed(refitted, 111)[0]?.[0]).toBe('set-ended 0.0 re-fit 1');
    const nextSet: Entry[] = [
      ...refitted,
      [110, { type: 'set-ended', ...first(0), reps: 30, reason: 'done' }],
      [140, { type: 'set-started', ...first(1) }],
    ];
    expect(owed(nextSet, 171)[0]?.[0]).toBe('set-ended 0.1');
  });

  it('is the next set when the rest is over and it is watched, within five seconds', () => {
    const looked: Entry[] = [...AFTER_SET, [85, { type: 'colour-checked', ...first(0), good: true }]];
    expect(owed(looked, 109.999)).toEqual([]);
    expect(owed(looked, 110)).toEqual([[`set-started 0.1 ${START_MS + 110_000}`, 110, 'set-started']]);
    expect(owed(looked, 115)).toHaveLength(1);
    expect(owed(looked, 115.001)).toEqual([]);
  });

  it('is that an alarm was ignored, once an inflation and for each limb by itself', () => {
    // A thigh’s hard limit is 20 minutes; recorded when it was passed by for a minute.
    const [first] = owed(UP, 2_000);
    expect(first?.[0]).toBe(`alarm-ignored left-thigh ${START_MS + 5_000}`);
    const ignoredAtS = Number(first?.[1]);
    expect(owed(UP, ignoredAtS)).toHaveLength(1);
    expect(owed(UP, ignoredAtS - 0.001)).toEqual([]);
    const noted: Entry[] = [...UP, [ignoredAtS, { type: 'alarm-ignored', limb: 'left-thigh' }]];
    expect(owed(noted, 2_000).map(([key]) => key)).toEqual([`alarm-ignored right-thigh ${START_MS + 6_000}`]);
  });
});

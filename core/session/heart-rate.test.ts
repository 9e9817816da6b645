import { describe, expect, it } from 'vitest';
import { inEnglish } from '#language/render';
import { decide } from './decide/decide';
import { type HeartRateFile, lay, momentsIn, placements, traceAt, wattsIn } from './heart-rate';
import { foldAll, logOf, START_MS } from './session.fixture';
import type { SessionState, SetRecord } from './state';
import { type Entry, twoLimbs as plan } from './two-limbs.fixture';

const MIN = 60_000;
const spell = (fromMin: number, toMin: number | null, more: Partial<SetRecord> = {}): SetRecord =>
  ({
    exerciseIndex: 0,
    setIndex: 0,
    plannedReps: null,
    startedAtMs: START_MS + fromMin * MIN,
    endedAtMs: toMin === null ? null : START_MS + toMin * MIN,
    heartRates: [],
    ...more,
  }) as SetRecord;
const session = (...sets: SetRecord[]) =>
  ({ startedAtMs: START_MS, finishedAtMs: START_MS + 20 * MIN, sets }) as SessionState;
/** A beat a second, rising by one a minute from 100. */
const file = (startMin: number | null, minutes: number): HeartRateFile => ({
  startMs: startMin === null ? null : START_MS + startMin * MIN,
  samples: Array.from({ length: minutes * 60 + 1 }, (_, second) => ({
    afterMs: second * 1_000,
    beatsPerMinute: 100 + Math.floor(second / 60),
  })),
});
const words = (of: HeartRateFile, on = session(spell(2, 10))) =>
  placements(of, on).map(({ words: said, fromAtMs }) => `${inEnglish(said)}: ${(fromAtMs - START_MS) / MIN}`);

describe('where a file is laid on a session', () => {
  it('is known where its own clock covers the session, a little aside', () => {
    expect(words(file(0, 20))).toEqual(['by its own clock: 0']);
    expect(words(file(2, 16))).toEqual(['by its own clock: 2']);
    expect(words(file(-30, 90))).toEqual(['by its own clock: -30']);
  });

  it('is asked where it does not, or has no clock, and never guessed', () => {
    const asked = ['it began when the session did: 0', 'it began with the first set: 2'];
    expect(words(file(3, 17))).toEqual([
      'by its own clock, though it does not cover the session: 3',
      ...asked,
      'it ended when the session did: 3',
    ]);
    expect(words(file(0, 17))).toHaveLength(4);
    expect(words(file(null, 18))).toEqual([...asked, 'it ended when the session did: 2']);
    // Of another day: its clock is of no use.
    expect(words(file(2_000, 18))).toHaveLength(3);
    expect(words(file(null, 18), session())).toHaveLength(2);
    expect(placements(file(0, 20), { ...session(), startedAtMs: null })).toEqual([]);
    expect(placements({ startMs: 0, samples: [] }, session())).toEqual([]);
  });
});

describe('heart rate on a session’s clock', () => {
  it('is the mean about each step, and nothing where nothing was received', () => {
    const of = file(0, 10);
    of.samples = of.samples.filter(({ afterMs }) => afterMs < 3 * MIN || afterMs > 4 * MIN);
    const trace = lay(of, START_MS, session(spell(2, 10)));
    if (!trace) throw new Error('Nothing was laid.');
    expect(trace.everyMs).toBe(5_000);
    expect(trace.fromAtMs).toBe(START_MS - MIN);
    expect(traceAt(trace, START_MS + 30_000)).toBe(100);
    expect(traceAt(trace, START_MS + 2.5 * MIN)).toBe(102);
    expect(traceAt(trace, START_MS + 3.5 * MIN)).toBeNull();
    expect(traceAt(trace, START_MS + 15 * MIN)).toBeNull();
    expect(traceAt(trace, START_MS - 30_000)).toBeNull();
    expect(lay(of, START_MS + 60 * MIN, session(spell(2, 10)))).toBeNull();
    // A day long: coarser steps, no more of them.
    const day = { ...session(spell(2, 10)), finishedAtMs: START_MS + 1_440 * MIN };
    expect(lay(of, START_MS, day)?.beatsPerMinute.length).toBeLessThanOrEqual(722);
  });

  it('fills minute five and the end of work by the clock, where it was not entered', () => {
    const trace = lay(file(0, 20), START_MS, session());
    if (!trace) throw new Error('Nothing was laid.');
    const said = (...sets: SetRecord[]) =>
      momentsIn(trace, sets).map(
        ({ setIndex, moment, beatsPerMinute }) => `${setIndex} ${moment} ${beatsPerMinute}`,
      );
    expect(said(spell(2, 8), spell(10, 12, { setIndex: 1 }))).toEqual([
      '0 minute-5 107',
      '0 end 108',
      '1 end 112',
    ]);
    expect(said(spell(2, 7))).toEqual(['0 minute-5 107', '0 end 107']);
    expect(said(spell(2, 8, { heartRates: [{ moment: 'end', beatsPerMinute: 150 }] }))).toEqual([
      '0 minute-5 107',
    ]);
    expect(said(spell(2, 8, { plannedReps: 15 }), spell(2, null))).toEqual([]);
    expect(said(spell(30, 36))).toEqual([]);
  });

  it('brings the mean watts of each spell, where none were entered', () => {
    const of: HeartRateFile = {
      startMs: START_MS,
      samples: file(0, 20).samples.map((sample, second) => ({
        ...sample,
        // A pause of the bike's computer in the middle; 60 W before minute six, 80 after.
        ...(second > 300 && second < 330 ? {} : { watts: second < 360 ? 60 : 80 }),
      })),
    };
    const spells = session(
      spell(0, 5),
      spell(7, 12, { setIndex: 1 }),
      spell(13, 15, { setIndex: 2, output: { watts: 75 } }),
      spell(16, 18, { setIndex: 3, plannedReps: 30 }),
      spell(19, null, { setIndex: 4 }),
    );
    const trace = lay(of, START_MS, spells);
    if (!trace) throw new Error('Nothing was laid.');
    expect(wattsIn(trace, spells.sets)).toEqual([
      { exerciseIndex: 0, setIndex: 0, watts: 60 },
      { exerciseIndex: 0, setIndex: 1, watts: 80 },
    ]);
    expect(lay(file(0, 20), START_MS, spells)).not.toHaveProperty('watts');
    const notes = decide(
      { ...plan, exercises: plan.exercises.map((one) => ({ ...one, mode: 'aerobic' as const })) },
      { ...foldAll(plan, logOf([[0, { type: 'session-started' }]])), ...spells },
      { do: 'lay-heart-rate', trace },
      START_MS + 21 * MIN,
    ).events.filter(({ type }) => type === 'output-noted');
    expect(notes).toMatchObject([{ output: { watts: 60 } }, { output: { watts: 80 } }]);
  });

  it('goes into the log of a finished session, and can be taken back', () => {
    const begun: Entry[] = [
      [0, { type: 'session-started' }],
      [600, { type: 'session-finished' }],
    ];
    const state = foldAll(plan, logOf(begun));
    const trace = lay(file(0, 10), START_MS, state);
    if (!trace) throw new Error('Nothing was laid.');
    const { events } = decide(plan, state, { do: 'lay-heart-rate', trace }, START_MS + 11 * MIN);
    expect(events.map(({ type }) => type)).toEqual(['heart-rate-laid']);
    const laid = logOf([...begun, [660, { type: 'heart-rate-laid', ...trace }]]);
    expect(foldAll(plan, laid).heartRate).toEqual(trace);
    const event = laid.at(-1);
    const undone = logOf([
      ...begun,
      [660, { type: 'heart-rate-laid', ...trace }],
      [670, { type: 'undone', eventId: event?.id ?? '' }],
    ]);
    expect(foldAll(plan, undone).heartRate).toBeNull();
  });
});

import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { decideMeasuring, type MeasuringIntent } from './decide';
import { type Kit, measuringInHand } from './in-hand';
import { goTo, isUnderWay, type Measuring, measuringAt, type Place, startRound } from './measuring';

const LYING: Place = { limb: 'left-thigh', position: 'lying' };
const SITTING: Place = { limb: 'left-thigh', position: 'sitting' };
const RIGHT: Place = { limb: 'right-thigh', position: 'sitting' };
const kit = (changes: Partial<Kit> = {}): Kit => ({
  cuffId: 'cuff-l',
  method: 'doppler',
  steps: { upMmHg: 10, downMmHg: 4 },
  reads: 'person',
  ...changes,
});
const T = 1_800_000_000_000;
const down = { pressureMmHg: 0, measuring: false };
const at = (pressureMmHg: number) => ({ pressureMmHg, measuring: false });

/** What a session of measuring comes to: each entry is the pressure shown, the intent, and the seconds it comes after T. */
function pressed(
  first: Measuring,
  entries: readonly (readonly [number, MeasuringIntent, number])[],
  using = kit(),
): Measuring {
  return entries.reduce(
    (state, [pressure, intent, seconds]) =>
      decideMeasuring(state, intent, using, at(pressure), T + seconds * 1000).state,
    first,
  );
}
const next: MeasuringIntent = { do: 'next' };
const handAt = (state: Measuring, seconds: number, using = kit()) =>
  measuringInHand(state, using, down, T + seconds * 1000);
const oneTrial = [
  [180, next, 10],
  [172, next, 20],
] as const;

describe('measuring with two keys (LOP-2, LOP-3)', () => {
  it('takes the pulse gone, then back, as a trial with its steps, and asks for the cuff to come down', () => {
    const gone = pressed(measuringAt(LYING), oneTrial.slice(0, 1));
    expect(handAt(gone, 11)).toMatchObject({ phase: 'falling', stepMmHg: 4, trials: [] });
    const { state, effects } = decideMeasuring(gone, next, kit(), at(172), T + 20_000);
    expect(effects).toEqual(['deflate']);
    expect(handAt(state, 20)).toMatchObject({
      phase: 'recovering',
      recoveryLeftMs: 60_000,
      trials: [{ goneMmHg: 180, upMmHg: 10, backMmHg: 172, downMmHg: 4 }],
    });
    expect(handAt(state, 80).phase).toBe('rising');
  });

  it('counts the free flow from when a cuff that the app reads is really down', () => {
    const app = kit({ reads: 'app' });
    const taken = pressed(measuringAt(LYING), oneTrial, app);
    expect(handAt(taken, 20, app).phase).toBe('deflate');
    expect(decideMeasuring(taken, next, app, at(172), T)).toMatchObject({ effects: ['deflate'] });
    const still = pressed(taken, [[40, { do: 'read' }, 25]], app);
    expect(handAt(still, 26, app).phase).toBe('deflate');
    const free = pressed(still, [[3, { do: 'read' }, 30]], app);
    expect(handAt(free, 40, app)).toMatchObject({ phase: 'recovering', recoveryLeftMs: 50_000 });
  });

  it('keeps a limb waiting in its next position too, and no other limb', () => {
    const taken = pressed(measuringAt(LYING), oneTrial);
    expect(handAt(goTo(taken, SITTING), 30)).toMatchObject({ phase: 'recovering', trials: [] });
    expect(handAt(goTo(taken, RIGHT), 30).phase).toBe('rising');
    expect(handAt(pressed(taken, [[0, { do: 'pass-recovery' }, 25]]), 26).phase).toBe('rising');
  });

  it('passes over the recovery of the limb in hand alone', () => {
    const left = pressed(measuringAt(LYING), oneTrial);
    const both = pressed(goTo(left, RIGHT), oneTrial);
    const passed = pressed(both, [[0, { do: 'pass-recovery' }, 25]]);
    expect(handAt(passed, 26).phase).toBe('rising');
    expect(handAt(goTo(passed, LYING), 26).phase).toBe('recovering');
  });

  it('takes only the reading of its own limb for a cuff that came down, and only below 5 mmHg', () => {
    const app = kit({ reads: 'app' });
    const taken = pressed(measuringAt(LYING), oneTrial, app);
    const elsewhere = pressed(goTo(taken, RIGHT), [[0, { do: 'read' }, 25]], app);
    expect(handAt(goTo(elsewhere, LYING), 26, app).phase).toBe('deflate');
    expect(handAt(pressed(taken, [[5, { do: 'read' }, 25]], app), 26, app).phase).toBe('deflate');
    expect(handAt(pressed(taken, [[4, { do: 'read' }, 25]], app), 26, app).phase).toBe('recovering');
    // Without a trial behind it, a cuff that is down begins no recovery.
    expect(pressed(measuringAt(LYING), [[0, { do: 'read' }, 25]], app)).toEqual(measuringAt(LYING));
  });

  it('keeps what is typed in its row, says when it cannot be right, and waits while a pump measures', () => {
    const row = (gone: string, back: string) => ({ gone, back, upMmHg: 20, downMmHg: 6 });
    const typed = pressed(pressed(measuringAt(LYING), oneTrial), [
      [0, { do: 'type', place: 1, row: row('190', '') }, 90],
    ]);
    expect(handAt(typed, 91)).toMatchObject({ phase: 'falling', stepMmHg: 6, wrong: false, current: 1 });
    expect(handAt(typed, 91).rows.map(({ gone }) => gone)).toEqual(['180', '190']);
    const wrong = pressed(typed, [[0, { do: 'type', place: 1, row: row('160', '170') }, 92]]);
    expect(handAt(wrong, 93)).toMatchObject({ wrong: true, trials: [{ goneMmHg: 180 }] });
    const busy = measuringInHand(typed, kit(), { pressureMmHg: 90, measuring: true }, T);
    expect(busy.phase).toBe('measuring');
    expect(decideMeasuring(typed, next, kit(), { pressureMmHg: 90, measuring: true }, T)).toEqual({
      state: typed,
      effects: [],
    });
  });

  it('holds the second press until there is a pressure, and a fourth trial altogether', () => {
    expect(decideMeasuring(measuringAt(LYING), next, kit(), down, T)).toEqual({
      state: measuringAt(LYING),
      effects: [],
    });
    const three = [0, 100, 200].flatMap((s) =>
      oneTrial.map(([mmHg, intent, seconds]) => [mmHg, intent, s + seconds] as const),
    );
    const full = pressed(measuringAt(LYING), three);
    expect(handAt(full, 300)).toMatchObject({ phase: 'full', current: null });
    expect(pressed(full, [[180, next, 301]])).toEqual(full);
  });

  it('takes the figure of an automatic pump as a bracket of its own, once it has found one', () => {
    const pump = kit({ method: 'automatic-pump', reads: 'app' });
    const first = measuringAt(LYING);
    expect(decideMeasuring(first, next, pump, down, T)).toEqual({ state: first, effects: ['measure'] });
    const found = pressed(first, [[0, { do: 'found', pressureMmHg: 170 }, 20]], pump);
    expect(handAt(found, 21, pump).trials).toEqual([
      { goneMmHg: 176, upMmHg: 12, backMmHg: 164, downMmHg: 12 },
    ]);
    expect(pressed(first, [[0, { do: 'found', pressureMmHg: 0 }, 20]], pump)).toEqual(first);
    const typed = kit({ method: 'automatic-pump' });
    expect(handAt(pressed(first, [[170, next, 20]], typed), 21, typed).trials).toHaveLength(1);
  });
});

describe('a round (LOP-4, LOP-5)', () => {
  it('goes to the next place when one is on record, and takes no trial along', () => {
    const begun = startRound(measuringAt(SITTING), [LYING, SITTING, RIGHT]);
    expect(begun.at).toEqual(LYING);
    const recorded = pressed(begun, [...oneTrial, [0, { do: 'recorded' }, 22]]);
    expect(recorded.at).toEqual(SITTING);
    expect(recorded.queue).toEqual([SITTING, RIGHT]);
    expect(handAt(recorded, 30)).toMatchObject({ phase: 'recovering', trials: [] });
    expect(handAt(goTo(recorded, LYING), 90).trials).toEqual([]);
    // The same position of the other limb is another place.
    const other = { ...LYING, limb: RIGHT.limb };
    const both = pressed(startRound(measuringAt(SITTING), [LYING, other, SITTING]), [
      ...oneTrial,
      [0, { do: 'recorded' }, 22],
    ]);
    expect(both.queue).toEqual([other, SITTING]);
  });

  it('leaves what was begun elsewhere where it is, by limb, position and cuff', () => {
    const half = pressed(measuringAt(LYING), oneTrial.slice(0, 1));
    const away = pressed(goTo(half, RIGHT), oneTrial);
    expect(handAt(goTo(away, LYING), 200).rows[0]?.gone).toBe('180');
    expect(handAt(goTo(away, LYING), 200, kit({ cuffId: 'wide' })).rows[0]?.gone).toBe('');
  });
});

it('is all there after a reload at any moment, whatever was pressed', () => {
  const intents = fc.constantFrom<MeasuringIntent>(
    next,
    { do: 'found', pressureMmHg: 170 },
    { do: 'read' },
    { do: 'pass-recovery' },
    { do: 'recorded' },
    { do: 'type', place: 0, row: { gone: 'x', back: '', upMmHg: 10, downMmHg: 4 } },
  );
  const press = fc.tuple(fc.constantFrom(0, 3, 150, 180), intents, fc.integer({ min: 1, max: 90 }));
  const kits = fc.record({
    cuffId: fc.constant('cuff-l'),
    method: fc.constantFrom('doppler', 'automatic-pump') as fc.Arbitrary<Kit['method']>,
    steps: fc.constant({ upMmHg: 10, downMmHg: 4 }),
    reads: fc.constantFrom('app', 'person') as fc.Arbitrary<Kit['reads']>,
  });
  fc.assert(
    fc.property(fc.array(press, { maxLength: 30 }), kits, (presses, using) => {
      let state = startRound(measuringAt(LYING), [LYING, RIGHT]);
      let seconds = 0;
      for (const [pressure, intent, wait] of presses) {
        seconds += wait;
        const kept = JSON.parse(JSON.stringify(state)) as Measuring;
        expect(handAt(kept, seconds, using)).toEqual(handAt(state, seconds, using));
        const { phase } = handAt(state, seconds, using);
        const decision = decideMeasuring(kept, intent, using, at(pressure), T + seconds * 1000);
        // The next trial does not begin within the 60 s, unless the operator says that they are over.
        if (phase === 'recovering' && intent.do === 'next') expect(decision.state).toEqual(kept);
        expect(handAt(decision.state, seconds, using).trials.length).toBeLessThanOrEqual(3);
        state = decision.state;
      }
    }),
  );
});

describe('what is still under way when a person comes back', () => {
  it('is a trial begun, a round, or free flow that lasts; not a place that was only looked at', () => {
    const looked = goTo(measuringAt(LYING), SITTING);
    expect(isUnderWay(looked, T)).toBe(false);
    expect(isUnderWay(pressed(looked, oneTrial.slice(0, 1)), T + 3_600_000)).toBe(true);
    expect(isUnderWay(startRound(looked, [LYING, RIGHT]), T)).toBe(true);
    const recorded = pressed(looked, [...oneTrial, [0, { do: 'recorded' }, 25]]);
    expect([79, 80].map((seconds) => isUnderWay(recorded, T + seconds * 1000))).toEqual([true, false]);
    expect(isUnderWay({ ...looked, toDeflate: 'left-thigh' }, T)).toBe(true);
  });
});

import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { testPlan } from '../plan/plan.fixture';
import type { Limb } from '../quantity/limb';
import type { Intent } from './decide/intent';
import { anyIntent, anyPlan } from './decide/wide.fixture';
import { fold } from './fold';
import { mergeLogs } from './log';
import { practice } from './runtime/devices.fixture';
import { inflatedLimbs } from './state';

const { plan } = testPlan();
const LIMB: Limb = 'left-thigh';
const NEXT: Intent = { do: 'next' };

/** A practice with one tablet, on which the session has begun and its cuff is up. */
function inflated(aheadMs = 0) {
  const room = practice(plan);
  const tablet = room.device('tablet', aheadMs);
  tablet.begin();
  room.passes(5_000);
  tablet.act(NEXT);
  return { room, tablet };
}

describe('one device', () => {
  it('ends sets and begins rests by the pace, each once, however often it ticks (RUN-2)', () => {
    const { room, tablet } = inflated();
    tablet.act(NEXT);
    room.passes(95_000);
    expect(tablet.state().sets).toMatchObject([{ countedReps: 30 }, { endedAtMs: null }]);
    const owed = room.server.log.filter(({ id }) => id.startsWith('owed'));
    expect(owed.map(({ type }) => type)).toEqual(['set-ended', 'rest-started', 'set-started']);
  });

  it('numbers its events one after the other, and never twice, across a crash', () => {
    const { room, tablet } = inflated();
    tablet.act(NEXT);
    room.passes(20_000);
    tablet.crash();
    tablet.act({ do: 'note-set', effort: 7 });
    room.passes(80_000);
    const numbers = room.server.log.map(({ deviceId, seq }) => `${deviceId} ${seq}`);
    expect(new Set(numbers).size).toBe(numbers.length);
  });

  it('alarms once as the limit comes near, and again and again once it is passed (RUN-1)', () => {
    const { room, tablet } = inflated();
    // Ten minutes for a leg: near from the eighth on.
    room.passes(7.9 * 60_000);
    expect(tablet.alarms).toEqual([]);
    room.passes(30_000);
    expect(tablet.alarms).toEqual(['near']);
    room.passes(2 * 60_000);
    const passed = tablet.alarms.slice(1);
    expect(passed.length).toBeGreaterThan(5);
    expect(new Set(passed)).toEqual(new Set(['now']));
    const soFar = tablet.alarms.length;
    tablet.act({ do: 'release' });
    room.passes(10_000);
    expect(tablet.alarms).toHaveLength(soFar);
  });
});

describe('a clock that is wrong (RUN-9)', () => {
  it('loses no release when it was ahead at the inflation and is corrected after it', () => {
    const { room, tablet } = inflated(90_000);
    tablet.learnClock();
    room.passes(10_000);
    tablet.act({ do: 'release' });
    expect(inflatedLimbs(tablet.state())).toEqual([]);
    expect(inflatedLimbs(fold(plan, room.server.log))).toEqual([]);
    expect(room.server.refused).toEqual([]);
  });

  it('goes on by the true clock where it was so far ahead that nothing of it was taken', () => {
    const { room, tablet } = inflated(3_600_000);
    expect(room.server.refused).toHaveLength(2);
    tablet.learnClock();
    room.passes(1_000);
    tablet.act({ do: 'note-sign', sign: 'burn' });
    expect(room.server.log.at(-1)).toMatchObject({ type: 'sign-noted', atMs: room.nowMs() });
  });
});

describe('two devices', () => {
  it('leave what the clock owes to the one that runs it, until another takes it over (RUN-9)', () => {
    const { room, tablet } = inflated();
    const other = room.device('other');
    other.exchange();
    tablet.act(NEXT);
    tablet.online(false);
    tablet.crash();
    // The tablet is gone, and nothing is written for it.
    room.passes(10_000);
    expect(other.state().sets[0]?.endedAtMs).toBeNull();
    other.act({ do: 'take-over', runner: 'other', practitionerId: 'hana' });
    room.passes(60_000);
    expect(other.state().sets[0]).toMatchObject({ countedReps: 30 });
  });

  it('agree once both are back, on what each did without the other', () => {
    const { room, tablet } = inflated();
    const other = room.device('other');
    other.exchange();
    tablet.act(NEXT);
    tablet.online(false);
    room.passes(61_000);
    tablet.act({ do: 'note-set', effort: 8 });
    other.act({ do: 'note-sign', sign: 'burn' });
    tablet.online(true);
    other.exchange();
    expect(other.state()).toEqual(tablet.state());
    expect(other.state()).toMatchObject({
      signs: [{ sign: 'burn' }],
      sets: [{ effort: 8, countedReps: 30 }],
    });
  });
});

describe('pumps', () => {
  const reading = (pressureMmHg: number, more = {}) => ({
    limb: LIMB,
    pressureMmHg,
    isRegulated: true,
    isLost: false,
    commandedAtMs: 0,
    ...more,
  });

  it('are commanded, and report by themselves when the cuff is up and down (PRS-5)', () => {
    const room = practice(plan);
    const tablet = room.device('tablet');
    tablet.begin();
    tablet.report([reading(0)]);
    room.passes(1_000);
    tablet.act(NEXT);
    expect(tablet.effects).toEqual([{ do: 'bring', limb: LIMB, pressureMmHg: 104 }]);
    expect(inflatedLimbs(tablet.state())).toEqual([]);
    tablet.report([reading(104)]);
    room.passes(200);
    expect(inflatedLimbs(tablet.state())).toHaveLength(1);
    tablet.report([reading(2)]);
    room.passes(200);
    expect(inflatedLimbs(tablet.state())).toEqual([]);
  });

  it('come down once where the cuff was released on another device, and say nothing new until they are', () => {
    const room = practice(plan);
    const [tablet, other] = [room.device('tablet'), room.device('other')];
    tablet.begin();
    tablet.report([reading(104)]);
    room.passes(1_000);
    other.act({ do: 'release' });
    tablet.report([reading(80)]);
    room.passes(2_000);
    expect(tablet.effects).toEqual([{ do: 'deflate', limb: LIMB }]);
    expect(inflatedLimbs(tablet.state())).toEqual([]);
  });

  it('alarm once when one is lost', () => {
    const { room, tablet } = inflated();
    tablet.report([reading(104, { isLost: true })]);
    room.passes(3_000);
    expect(tablet.alarms).toEqual(['now']);
  });
});

type Step =
  | { does: 'act'; by: number; intent: Intent }
  | { does: 'passes'; ms: number }
  | { does: 'crash' | 'learnClock' | 'drop' | 'back'; by: number };

const by = fc.nat({ max: 3 });
const anyStep: fc.Arbitrary<Step> = fc.oneof(
  { weight: 8, arbitrary: fc.record({ does: fc.constant('act' as const), by, intent: anyIntent }) },
  {
    weight: 6,
    arbitrary: fc.record({ does: fc.constant('passes' as const), ms: fc.integer({ min: 100, max: 20_000 }) }),
  },
  {
    weight: 3,
    arbitrary: fc.record({ does: fc.constantFrom('crash', 'learnClock', 'drop', 'back'), by }),
  },
);

describe('two to four devices, whatever happens to them (architecture, ideas 1 to 3)', () => {
  it('lose nothing, agree in the end, record what the clock owes once, and get every cuff down', () => {
    fc.assert(
      fc.property(
        anyPlan,
        // Clocks further apart than an event may be ahead of its receipt look like one that is refused.
        fc.array(fc.integer({ min: -59_000, max: 59_000 }), { minLength: 2, maxLength: 4 }),
        fc.array(anyStep, { maxLength: 40 }),
        (anything, clocks, steps) => {
          const room = practice(anything);
          const devices = clocks.map((aheadMs, place) => room.device(`device ${place}`, aheadMs));
          const one = (place: number) => devices[place % devices.length] as (typeof devices)[number];
          one(0).begin();
          const kept = new Set<string>();
          for (const step of steps) {
            if (step.does === 'passes') room.passes(step.ms);
            else if (step.does === 'act') one(step.by).act(step.intent);
            else if (step.does === 'drop' || step.does === 'back') one(step.by).online(step.does === 'back');
            else one(step.by)[step.does]();
            for (const device of devices) for (const { id } of device.kept()) kept.add(id);
          }
          for (const device of devices) device.online(true);
          // All are back, and each has heard of what the others did.
          for (const device of devices) device.exchange();
          one(1).act({ do: 'release' });
          for (const device of devices) device.exchange();
          for (const { id } of room.server.log) kept.delete(id);
          expect([...kept]).toEqual([]);
          const state = fold(anything, room.server.log);
          for (const device of devices) expect(device.state()).toEqual(state);
          expect(inflatedLimbs(state)).toEqual([]);
          expect(fold(anything, mergeLogs([...room.server.log].reverse()))).toEqual(state);
          const numbers = room.server.log.map(({ deviceId, seq }) => `${deviceId} ${seq}`);
          expect(new Set(numbers).size).toBe(numbers.length);
        },
      ),
    );
  });
});

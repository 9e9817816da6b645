import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { estimateOcclusionPressure } from '../occlusion-pressure/estimate';
import { beatPhase, flowShape, makeLimb, occlusionAtMmHg, pulseStrength } from './limb';
import { CAREFUL, simulateTrial } from './operator';
import { advancePump, commandPump, newPump, PUMP_TOP_MMHG, type PumpCommand } from './pumps';
import { normal, seededRandom, seedOf } from './random';
import { oximeterAfter } from './sensors';

const makings = {
  limb: 'left-thigh',
  position: 'sitting',
  girthCm: 56,
  widthCm: 11.5,
  systolicMmHg: 124,
} as const;
const limbOf = (seed: number) => makeLimb({ ...makings, seed });

describe('measuring a simulated limb with two keys', () => {
  it('recovers the true pressure within the stated uncertainty in at least 95 of 100 seeds', () => {
    const held = Array.from({ length: 100 }, (_, seed) => {
      const limb = limbOf(seed);
      // Three different starts of the breath; a person notices a pulse of a tenth of its full strength.
      const operator = { ...CAREFUL, noticesFrom: 0.1 };
      const trials = [0, 61_300, 124_700].map((startMs) => simulateTrial(limb, operator, startMs));
      const estimate = estimateOcclusionPressure(trials, { divisionMmHg: 2 });
      const error = Math.abs((estimate?.pressure.value ?? 0) - limb.occlusionMmHg);
      return error <= (estimate?.uncertaintyMmHg ?? 0);
    });
    expect(held.filter(Boolean).length).toBeGreaterThanOrEqual(95);
  });
});

describe('a simulated limb', () => {
  it('is the same for the same seed, and needs more pressure more upright and under a narrower cuff', () => {
    expect(limbOf(3)).toEqual(limbOf(3));
    const lying = makeLimb({ ...makings, position: 'lying', seed: 3 });
    const narrow = makeLimb({ ...makings, widthCm: 9, seed: 3 });
    expect(lying.occlusionMmHg).toBeLessThan(limbOf(3).occlusionMmHg);
    expect(narrow.occlusionMmHg).toBeGreaterThan(limbOf(3).occlusionMmHg);
  });

  it('has no pulse at and above occlusion, a full one well below, and fades in between', () => {
    const limb = { ...limbOf(1), breathMmHg: 0 };
    expect(pulseStrength(limb, limb.occlusionMmHg, 0)).toBe(0);
    expect(pulseStrength(limb, limb.occlusionMmHg - 40, 0)).toBe(1);
    expect(pulseStrength(limb, limb.occlusionMmHg - 2, 0)).toBeGreaterThan(0);
    expect(pulseStrength(limb, limb.occlusionMmHg - 2, 0)).toBeLessThan(0.6);
  });

  it('moves with the breath by no more than it says', () => {
    const limb = limbOf(5);
    fc.assert(
      fc.property(fc.nat(60_000), (atMs) => {
        expect(Math.abs(occlusionAtMmHg(limb, atMs) - limb.occlusionMmHg)).toBeLessThanOrEqual(
          limb.breathMmHg,
        );
      }),
    );
  });

  it('beats at its heart rate', () => {
    expect(beatPhase({ heartRateBpm: 60 }, 2_250)).toBeCloseTo(0.25);
    expect(flowShape(0.12)).toBe(1);
    expect(flowShape(0.8)).toBe(0);
  });
});

describe('simulated pumps', () => {
  const never = () => 0;
  const wait = (pump: ReturnType<typeof newPump>, ms: number, strength = never) =>
    Array.from({ length: ms / 50 }).reduce<ReturnType<typeof newPump>>(
      (state) => advancePump(state, 50, strength, () => 0.5),
      pump,
    );

  it('by hand: steps up and down, swells slowly, gives a little to contractions, falls when released', () => {
    let pump = commandPump(newPump('by-hand'), { do: 'squeeze', byMmHg: 100 });
    expect(wait(pump, 60_000).pressureMmHg).toBeCloseTo(101);
    pump = commandPump(pump, { do: 'contract' });
    expect(pump.pressureMmHg).toBe(98);
    expect(commandPump(pump, { do: 'contract' }).pressureMmHg).toBe(97);
    expect(wait(commandPump(pump, { do: 'release' }), 2_000).pressureMmHg).toBe(0);
  });

  it('leaks once unplugged', () => {
    const pump = commandPump(commandPump(newPump('by-hand'), { do: 'squeeze', byMmHg: 100 }), {
      do: 'unplug',
    });
    expect(wait(pump, 10_000).pressureMmHg).toBeCloseTo(85);
  });

  it('regulated: reaches its target, holds it against contractions, and measures by itself', () => {
    const commanded = commandPump(newPump('regulated'), { do: 'inflate-to', pressureMmHg: 120 });
    const there = wait(commanded, 5_000);
    expect(there.pressureMmHg).toBe(120);
    expect(wait(commandPump(there, { do: 'contract' }), 1_000).pressureMmHg).toBe(120);
    const limb = { ...limbOf(2), breathMmHg: 0 };
    const measured = wait(commandPump(newPump('regulated'), { do: 'measure' }), 30_000, (cuffMmHg = 0) =>
      pulseStrength(limb, cuffMmHg, 0),
    );
    expect(Math.abs((measured.measuredMmHg ?? 0) - limb.occlusionMmHg)).toBeLessThan(12);
    expect(measured.pressureMmHg).toBe(0);
  });

  it('never leaves 0 to 300 mmHg, whatever it is commanded', () => {
    const command: fc.Arbitrary<PumpCommand> = fc.oneof(
      fc.record({ do: fc.constant('squeeze' as const), byMmHg: fc.integer({ min: 0, max: 200 }) }),
      fc.record({ do: fc.constant('bleed' as const), byMmHg: fc.integer({ min: 0, max: 200 }) }),
      fc.record({ do: fc.constant('inflate-to' as const), pressureMmHg: fc.integer({ min: 0, max: 900 }) }),
      fc.constantFrom<PumpCommand>({ do: 'release' }, { do: 'unplug' }, { do: 'plug' }, { do: 'contract' }),
    );
    fc.assert(
      fc.property(
        fc.constantFrom('by-hand' as const, 'regulated' as const),
        fc.array(command),
        (kind, commands) => {
          let pump = newPump(kind);
          for (const each of commands) {
            pump = wait(commandPump(pump, each), 200);
            expect(pump.pressureMmHg).toBeGreaterThanOrEqual(0);
            expect(pump.pressureMmHg).toBeLessThanOrEqual(PUMP_TOP_MMHG);
          }
        },
      ),
    );
  });
});

it('lets an oximeter trace react late (LOP-1)', () => {
  expect(oximeterAfter(1, 0, 1_000)).toBeGreaterThan(0.6);
  expect(oximeterAfter(1, 0, 12_000)).toBeLessThan(0.05);
});

describe('chance', () => {
  it('is seeded, even and normal enough', () => {
    const random = seededRandom(seedOf('Odalys left thigh'));
    const draws = Array.from({ length: 4_000 }, () => normal(random));
    const mean = draws.reduce((sum, x) => sum + x, 0) / draws.length;
    const spread = Math.sqrt(draws.reduce((sum, x) => sum + (x - mean) ** 2, 0) / draws.length);
    expect(Math.abs(mean)).toBeLessThan(0.06);
    expect(Math.abs(spread - 1)).toBeLessThan(0.06);
    expect(seedOf('a')).not.toBe(seedOf('b'));
  });
});

import { describe, expect, it } from 'vitest';
import { advancePump, commandPump, newPump, type PumpCommand, type PumpState } from './pumps';
import { seededRandom } from './random';

const afterCommands = (pump: PumpState, ...commands: PumpCommand[]) => commands.reduce(commandPump, pump);
const silent = () => 0;
const flowing = () => 1;
const later = (pump: PumpState, ms: number, strength = silent) =>
  advancePump(pump, ms, strength, seededRandom(1));
const hand = newPump('by-hand');
const regulated = newPump('regulated');
const at = (pump: PumpState) => Math.round(pump.pressureMmHg * 1_000) / 1_000;

describe('a pump', () => {
  it('begins empty, shut and plugged', () => {
    expect(hand).toMatchObject({
      pressureMmHg: 0,
      valveOpen: false,
      plugged: true,
      measuring: false,
      measuredMmHg: null,
    });
  });

  it('knows its own commands only, and none while the hose is off', () => {
    const squeeze = { do: 'squeeze', byMmHg: 60 } as const;
    const inflate = { do: 'inflate-to', pressureMmHg: 60 } as const;
    expect(afterCommands(regulated, squeeze)).toEqual(regulated);
    expect(afterCommands(hand, inflate)).toEqual(hand);
    expect(afterCommands(hand, { do: 'measure' })).toEqual(hand);
    const off = { do: 'unplug' } as const;
    expect(afterCommands(hand, off, squeeze)).toEqual(afterCommands(hand, off));
    expect(afterCommands(regulated, off, inflate)).toEqual(afterCommands(regulated, off));
    expect(afterCommands(regulated, off, { do: 'measure' })).toEqual(afterCommands(regulated, off));
    expect(afterCommands(hand, off, { do: 'plug' }, squeeze).pressureMmHg).toBe(60);
    expect(afterCommands(hand, off).plugged).toBe(false);
  });

  it('by hand is bled by what is said; a regulated one is not', () => {
    expect(afterCommands(hand, { do: 'squeeze', byMmHg: 60 }, { do: 'bleed', byMmHg: 4 }).pressureMmHg).toBe(
      56,
    );
    const up = { ...regulated, pressureMmHg: 60 };
    expect(afterCommands(up, { do: 'bleed', byMmHg: 4 })).toEqual(up);
  });

  it('gives away half of what will settle with each contraction', () => {
    const up = afterCommands(hand, { do: 'squeeze', byMmHg: 100 });
    expect(up.settleMmHg).toBe(4);
    expect(afterCommands(up, { do: 'contract' })).toMatchObject({ pressureMmHg: 98, settleMmHg: 2 });
    expect(afterCommands(regulated, { do: 'inflate-to', pressureMmHg: 100 }).settleMmHg).toBe(4);
  });

  it('falls by 90 a second with the valve open, and forgets what it was to reach', () => {
    const open = afterCommands(
      { ...regulated, pressureMmHg: 100, targetMmHg: 100, measuring: true },
      { do: 'release' },
    );
    expect(open).toMatchObject({ valveOpen: true, targetMmHg: 0, measuring: false });
    expect(at(later(open, 500))).toBe(55);
    expect(at(later(open, 2_000))).toBe(0);
  });

  it('leaks by one and a half a second with the hose off', () => {
    expect(at(later({ ...hand, pressureMmHg: 100, plugged: false }, 2_000))).toBe(97);
  });

  it('by hand rises by one a minute as the limb swells; an empty cuff does not', () => {
    expect(at(later({ ...hand, pressureMmHg: 100 }, 60_000))).toBe(101);
    expect(at(later(hand, 60_000))).toBe(0);
  });

  it('regulated goes to its target by 40 a second, either way, and stays', () => {
    const up = { ...regulated, pressureMmHg: 20, targetMmHg: 100 };
    expect(at(later(up, 500))).toBe(40);
    expect(at(later(up, 10_000))).toBe(100);
    expect(at(later({ ...up, pressureMmHg: 120 }, 250))).toBe(110);
    expect(at(later({ ...up, pressureMmHg: 100 }, 1_000))).toBe(100);
  });

  it('measures from where it is by 12 a second until the pulse is gone, says what it found and lets go', () => {
    const begun = afterCommands({ ...regulated, measuredMmHg: 99, valveOpen: true }, { do: 'measure' });
    expect(begun).toMatchObject({ valveOpen: false, measuring: true, measuredMmHg: null });
    const going = later({ ...begun, pressureMmHg: 100 }, 1_000, flowing);
    expect(going).toMatchObject({ pressureMmHg: 112, measuring: true, measuredMmHg: null, valveOpen: false });
    const found = later({ ...begun, pressureMmHg: 138 }, 1_000);
    expect(found).toMatchObject({ measuring: false, valveOpen: true });
    // A gauge that listens is off by some three: over many it is off by nothing.
    const random = seededRandom(5);
    const errors = Array.from({ length: 400 }, () => {
      const end = advancePump({ ...begun, pressureMmHg: 138 }, 1_000, silent, random);
      return (end.measuredMmHg ?? 0) - 150;
    });
    const mean = errors.reduce((sum, one) => sum + one, 0) / errors.length;
    const spread = Math.sqrt(errors.reduce((sum, one) => sum + one ** 2, 0) / errors.length);
    expect(Math.abs(mean)).toBeLessThan(0.6);
    expect(spread).toBeGreaterThan(2.3);
    expect(spread).toBeLessThan(3.7);
    // Nothing ends it but its own top.
    expect(later({ ...begun, pressureMmHg: 290 }, 1_000, flowing)).toMatchObject({
      pressureMmHg: 300,
      measuring: false,
    });
  });
});

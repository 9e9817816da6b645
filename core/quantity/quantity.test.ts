import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { intersect } from './interval';
import { uprightness } from './limb';
import { roundDownToDivision } from './rounding';
import { median, spread } from './statistics';
import { cmToIn, inToCm, kgToLb, lbToKg } from './units';

describe('roundDownToDivision', () => {
  it('rounds a pressure down to what the gauge can show', () => {
    expect(roundDownToDivision(104.4, 2)).toBe(104);
    expect(roundDownToDivision(139.2, 4)).toBe(136);
    expect(roundDownToDivision(0.3, 0.1)).toBe(0.3);
  });

  it('never exceeds the target and stays within one division of it', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 500, noNaN: true }),
        fc.constantFrom(0.5, 1, 1.25, 2, 2.5, 4, 5, 10),
        (value, division) => {
          const rounded = roundDownToDivision(value, division);
          expect(rounded).toBeLessThanOrEqual(value + 1e-6);
          expect(value - rounded).toBeLessThan(division + 1e-6);
        },
      ),
    );
  });

  it('refuses a division of zero', () => {
    expect(() => roundDownToDivision(100, 0)).toThrow(RangeError);
  });
});

describe('intersect', () => {
  it('finds what two ranges share, and nothing when they only touch', () => {
    expect(intersect({ low: 150, high: 200 }, { low: 172, high: 176 })).toEqual({ low: 172, high: 176 });
    expect(intersect({ low: 150, high: 172 }, { low: 172, high: 176 })).toBeNull();
  });

  it('gives a range inside both', () => {
    const range = fc
      .tuple(fc.integer({ min: 0, max: 300 }), fc.integer({ min: 1, max: 100 }))
      .map(([low, width]) => ({ low, high: low + width }));
    fc.assert(
      fc.property(range, range, (a, b) => {
        const shared = intersect(a, b);
        if (!shared) return a.high <= b.low || b.high <= a.low;
        return shared.low >= Math.max(a.low, b.low) && shared.high <= Math.min(a.high, b.high);
      }),
    );
  });
});

describe('statistics', () => {
  it('takes the middle of an odd and an even number of values', () => {
    expect(median([9, 1, 5])).toBe(5);
    expect(median([9, 1, 5, 7])).toBe(6);
    expect(spread([174, 168, 181])).toBe(13);
    expect(spread([174])).toBe(0);
  });

  it('has no median of nothing', () => {
    expect(() => median([])).toThrow(RangeError);
  });
});

describe('units', () => {
  it('converts there and back', () => {
    expect(kgToLb(20)).toBeCloseTo(44.09, 2);
    expect(lbToKg(kgToLb(7.5))).toBeCloseTo(7.5, 9);
    expect(inToCm(cmToIn(54))).toBeCloseTo(54, 9);
    expect(inToCm(20)).toBeCloseTo(50.8, 9);
  });

  it('orders positions from lying to standing', () => {
    expect(uprightness('standing', 'lying')).toBe(2);
    expect(uprightness('lying', 'sitting')).toBe(-1);
  });
});

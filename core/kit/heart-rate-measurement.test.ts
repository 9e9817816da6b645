import fc from 'fast-check';
import { expect, it } from 'vitest';
import { heartRateOf } from './heart-rate-measurement';

const of = (...bytes: number[]) => heartRateOf(new Uint8Array(bytes));

it('reads one byte or two, the lower first', () => {
  expect([of(0x00, 72), of(0x01, 72, 0), of(0x01, 44, 1), of(0x10, 130, 9, 9)]).toEqual([72, 72, 300, 130]);
  fc.assert(
    fc.property(fc.integer({ min: 1, max: 0xffff }), (beats) => {
      expect(of(0x01, beats % 256, Math.floor(beats / 256))).toBe(beats);
    }),
  );
});

it('says nothing without contact, without a count, or of half a message', () => {
  // Contact is known and there (110), known and not there (100), not known (000).
  expect([of(0b110, 80), of(0b100, 80), of(0b000, 80)]).toEqual([80, null, 80]);
  expect([of(0x00, 0), of(0x00), of(), of(0x01, 80)]).toEqual([null, null, null, null]);
});

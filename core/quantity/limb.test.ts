import { expect, it } from 'vitest';
import { limbSide, limbsWords, uprightness } from './limb';

it('names limbs as one says them', () => {
  expect(limbsWords(['left-thigh'])).toBe('left thigh');
  expect(limbsWords(['left-thigh', 'right-thigh'])).toBe('both thighs');
  expect(limbsWords(['right-arm', 'left-arm'])).toBe('both arms');
  expect(limbsWords(['left-arm', 'left-thigh'])).toBe('left arm and left thigh');
  expect(limbsWords(['left-arm', 'left-thigh', 'right-thigh'])).toBe(
    'left arm and left thigh and right thigh',
  );
  expect([limbSide('left-arm'), limbSide('right-thigh')]).toEqual(['left', 'right']);
});

it('orders positions from lying to standing', () => {
  expect([
    uprightness('standing', 'lying'),
    uprightness('lying', 'sitting'),
    uprightness('sitting', 'sitting'),
  ]).toEqual([2, -1, 0]);
});

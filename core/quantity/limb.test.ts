import { expect, it } from 'vitest';
import { englishOf } from '#language/english-of.fixture';
import { limbSide, limbsWords, uprightness } from './limb';

it('names limbs as one says them', () => {
  expect(englishOf(limbsWords(['left-thigh']))).toBe('left thigh');
  expect(englishOf(limbsWords(['left-thigh', 'right-thigh']))).toBe('both thighs');
  expect(englishOf(limbsWords(['right-arm', 'left-arm']))).toBe('both arms');
  expect(englishOf(limbsWords(['left-arm', 'left-thigh']))).toBe('left arm and left thigh');
  expect(englishOf(limbsWords(['left-arm', 'left-thigh', 'right-thigh']))).toBe(
    'left arm, left thigh and right thigh',
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

import { expect, it } from 'vitest';
import { englishOf } from '#language/english-of.fixture';
import { heartRateMomentSchema, minuteInHand, momentWords } from './heart-rate-moment';

it('is a minute of the spell or its end, and nothing else', () => {
  for (const moment of ['end', 'minute-5', 'minute-15', 'minute-7'])
    expect(heartRateMomentSchema.parse(moment)).toBe(moment);
  for (const none of ['minute-0', 'minute-5.5', 'minute-', 'minute-100', 'later'])
    expect(heartRateMomentSchema.safeParse(none).success).toBe(false);
  expect(englishOf([momentWords('end'), momentWords('minute-15')])).toEqual(['at the end', 'at minute 15']);
});

it('is minute five until that is noted, then fifteen once it is due, else the minute it is', () => {
  const at = (minutes: number, ...noted: Parameters<typeof minuteInHand>[1]) =>
    minuteInHand(minutes * 60_000, noted);
  expect([at(0.5), at(6), at(16)]).toEqual(['minute-5', 'minute-5', 'minute-5']);
  expect(at(8.9, 'minute-5')).toBe('minute-8');
  expect(at(16, 'minute-5')).toBe('minute-15');
  expect(at(16, 'minute-5', 'minute-15')).toBe('minute-16');
});

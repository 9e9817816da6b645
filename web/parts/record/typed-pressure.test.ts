import { expect, it } from 'vitest';
import { NO_PRESSURE, readPressure } from './typed-pressure';

it('is nothing until both readings are there', () => {
  expect(readPressure(NO_PRESSURE)).toEqual({ reading: null, wrong: {} });
  expect(readPressure({ upper: '124', lower: '' }).reading).toBeNull();
});

it('is a reading once both make sense', () => {
  expect(readPressure({ upper: '124', lower: '78' }).reading).toEqual({
    systolicMmHg: 124,
    diastolicMmHg: 78,
  });
});

it.each([
  [{ upper: '78', lower: '124' }, 'lower', /not below the upper/],
  [{ upper: '400', lower: '80' }, 'upper', /Above 280/],
  [{ upper: 'abc', lower: '80' }, 'upper', /Enter the upper reading/],
  [{ upper: '124', lower: '5' }, 'lower', /Below 30/],
] as const)('says what is wrong with %j at the field it concerns', (typed, field, words) => {
  const { reading, wrong } = readPressure(typed);
  expect(reading).toBeNull();
  expect(wrong[field]).toMatch(words);
});

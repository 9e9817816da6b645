import { expect, it } from 'vitest';
import { inEnglish } from '#language/render';
import { testKit, testPlan } from '../plan/plan.fixture';
import { comesTo } from './comes-to';

const [exercise] = testPlan().plan.exercises;

it('says what a bound comes to in mmHg and in what the kit makes, and nothing of what is no share', () => {
  if (!exercise) throw new RangeError('It has an exercise.');
  const words = (figure: 'percent-lop' | 'percent-1rm' | 'sets', to: number, kits = [testKit]) => {
    const said = comesTo({ figure, to }, exercise, kits);
    return said && inEnglish(said);
  };
  expect(words('percent-lop', 60)).toBe('104 mmHg');
  // 14 kg of 40, and the stack goes by 2.5.
  expect(words('percent-1rm', 35)).toBe('12.5 kg');
  expect(words('percent-1rm', 35, [])).toBeNull();
  expect(words('sets', 5)).toBeNull();
});

import { expect, it } from 'vitest';
import { seededRandom } from './random';
import { nextHeartRate } from './strap';

it('rises in work, falls at rest, and stays a heart', () => {
  const random = seededRandom(3);
  let rate: number | null = null;
  const minutes = (count: number, isWorking: boolean): number => {
    for (let second = 0; second < 60 * count; second += 1) {
      rate = nextHeartRate(rate, isWorking, 1, random);
      expect(rate).toBeGreaterThan(40);
      expect(rate).toBeLessThan(180);
    }
    return rate ?? Number.NaN;
  };
  const resting = minutes(2, false);
  const working = minutes(5, true);
  expect(working).toBeGreaterThan(resting + 25);
  expect(minutes(5, false)).toBeLessThan(working - 25);
});

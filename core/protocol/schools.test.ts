import { expect, it } from 'vitest';
import { RULES } from '../rules/catalogue';
import { SCHOOLS } from './data/schools';

it('lets no school start below what is noted or top above the hard limit (PRS-2, PRS-3)', () => {
  const { gradedStartArm, most } = RULES['PRS-3'].figures.exercisePercentLop;
  for (const { percentLop } of Object.values(SCHOOLS)) {
    for (const { start, usual, top } of Object.values(percentLop)) {
      expect(start).toBeGreaterThanOrEqual(gradedStartArm);
      expect([start, usual, top]).toEqual([start, usual, top].sort((a, b) => a - b));
      expect(top).toBeLessThanOrEqual(most);
    }
  }
});

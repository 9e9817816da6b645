import { describe, expect, it } from 'vitest';
import { CAREFUL, simulateTrial } from './operator';

describe('an operator', () => {
  const still = { occlusionMmHg: 150, heartRateBpm: 60, fadeMmHg: 10, breathMmHg: 0 };

  it('reads the first step without a pulse, and the first with one again', () => {
    expect(simulateTrial(still, CAREFUL)).toEqual({ goneMmHg: 150, upMmHg: 10, backMmHg: 146, downMmHg: 4 });
    expect(simulateTrial({ ...still, occlusionMmHg: 151 }, CAREFUL)).toMatchObject({
      goneMmHg: 160,
      backMmHg: 148,
    });
    // One who hears only a strong pulse is early going up and late coming down, and never below nothing.
    expect(simulateTrial(still, { ...CAREFUL, noticesFrom: 0.5 })).toMatchObject({
      goneMmHg: 150,
      backMmHg: 142,
    });
    expect(simulateTrial(still, { ...CAREFUL, noticesFrom: 1 })).toMatchObject({ goneMmHg: 0, backMmHg: 0 });
  });
});

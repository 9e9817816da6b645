import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { englishOf } from '#language/english-of.fixture';
import { type PressorReadings, pressorResponse } from './pressor';

const bp = (systolicMmHg: number, diastolicMmHg: number) => ({ systolicMmHg, diastolicMmHg });
const LIMIT = bp(220, 105);
const readings = (changes: Partial<PressorReadings> = {}): PressorReadings => ({
  percentLop: 40,
  before: bp(140, 84),
  minute1: bp(172, 92),
  minute2: bp(180, 95),
  after: bp(144, 86),
  ...changes,
});

describe('how the blood pressure rises in work (RUN-8)', () => {
  it('proposes the share at which it would stay under the limit, the lower of the two pressures', () => {
    // Upper: 80 of 40, twice. Lower: 21 of 11. 40 × 1.909 = 76.4, down to a step of five.
    expect(englishOf(pressorResponse(readings(), LIMIT))).toMatchObject({ kind: 'cap', capPercentLop: 75 });
    // 40 × 80 ÷ 64 = 50.
    expect(englishOf(pressorResponse(readings({ minute2: bp(204, 90) }), LIMIT))).toMatchObject({
      capPercentLop: 50,
    });
    expect(
      englishOf(pressorResponse(readings({ minute1: bp(150, 86), minute2: bp(152, 86) }), LIMIT)),
    ).toMatchObject({
      kind: 'none-needed',
    });
  });

  it('goes lower than what was held where it was over the limit, or is not back at five minutes', () => {
    expect(englishOf(pressorResponse(readings({ after: bp(151, 84) }), LIMIT))).toMatchObject({
      capPercentLop: 30,
    });
    expect(englishOf(pressorResponse(readings({ after: bp(150, 94) }), LIMIT))).toMatchObject({
      capPercentLop: 75,
    });
    expect(englishOf(pressorResponse(readings({ minute2: bp(222, 96) }), LIMIT))).toMatchObject({
      capPercentLop: 30,
    });
    expect(
      englishOf(pressorResponse(readings({ before: bp(218, 100), minute2: bp(260, 118) }), LIMIT)),
    ).toMatchObject({
      kind: 'not-under-a-cuff',
    });
  });

  it('never takes a limit of the practice for higher than the rule’s, and never proposes over 80', () => {
    const systolic = fc.integer({ min: 90, max: 260 });
    const diastolic = fc.integer({ min: 50, max: 120 });
    const any = fc.record({ systolicMmHg: systolic, diastolicMmHg: diastolic });
    fc.assert(
      fc.property(
        fc.record({
          percentLop: fc.integer({ min: 10, max: 80 }),
          before: any,
          minute1: any,
          minute2: any,
          after: any,
        }),
        (seen) => {
          const loose = pressorResponse(seen, bp(400, 300));
          expect(loose).toEqual(pressorResponse(seen, bp(250, 115)));
          if (loose.kind === 'cap') {
            expect(loose.capPercentLop).toBeGreaterThanOrEqual(10);
            expect(loose.capPercentLop).toBeLessThan(80);
          }
        },
      ),
    );
  });
});

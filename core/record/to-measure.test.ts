import { describe, expect, it } from 'vitest';
import { englishOf } from '#language/english-of.fixture';
import { testOcclusion } from '../plan/plan.fixture';
import { MS_PER_DAY } from '../quantity/units';
import { strangerFacts, testCoursePlan, testPrescription } from './record.fixture';
import { toMeasure } from './to-measure';

const fitted = (limb: 'left-thigh' | 'right-thigh') =>
  ({
    limb,
    atMs: 0,
    girthCm: 54,
    kind: 'cuff',
    cuffId: 'cuff-l',
    label: 'L thigh 11.5',
    widthCm: 11.5,
  }) as const;
const planned = testPrescription();

describe('what is to be measured (LOP-5, LOP-6)', () => {
  it('is nothing without a cuff, and lying before sitting where nothing is known', () => {
    expect(toMeasure(strangerFacts, 0)).toEqual([]);
    const facts = { ...strangerFacts, fits: [fitted('left-thigh'), fitted('right-thigh')] };
    expect(toMeasure(facts, 0).map(({ limb, position }) => `${limb} ${position}`)).toEqual([
      'left-thigh lying',
      'right-thigh lying',
      'left-thigh sitting',
      'right-thigh sitting',
    ]);
  });

  it('is what fell due where it was measured before, while there is no plan', () => {
    const facts = {
      ...strangerFacts,
      fits: [fitted('left-thigh')],
      occlusions: [testOcclusion({ position: 'standing' })],
    };
    expect(toMeasure(facts, 0)).toEqual([]);
    expect(englishOf(toMeasure(facts, 29 * MS_PER_DAY))).toMatchObject([
      { limb: 'left-thigh', position: 'standing' },
    ]);
  });

  it('is what the plan in force trains in and does not have, or has no longer', () => {
    const facts = {
      ...strangerFacts,
      fits: [fitted('left-thigh'), fitted('right-thigh')],
      coursePlans: [testCoursePlan()],
      prescriptions: [planned],
    };
    const left = (atMs: number, occlusions: Parameters<typeof testOcclusion>[0][]) =>
      toMeasure({ ...facts, occlusions: occlusions.map(testOcclusion) }, atMs).filter(
        ({ limb }) => limb === 'left-thigh',
      );
    expect(englishOf(left(0, []))).toEqual([{ limb: 'left-thigh', position: 'sitting', why: 'none yet' }]);
    expect(left(0, [{}])).toEqual([]);
    expect(left(0, [{ position: 'lying' }])).toEqual([]);
    expect(left(0, [{ position: 'standing' }])).toHaveLength(1);
    expect(englishOf(left(29 * MS_PER_DAY, [{}])[0]?.why)).toMatch(/^29 days old/);
  });
});

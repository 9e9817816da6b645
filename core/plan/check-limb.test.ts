import { describe, expect, it } from 'vitest';
import { inEnglish } from '#language/render';
import type { FitFact } from '../cuff/fact';
import { msg } from '../message/message';
import type { Basis } from './basis';
import { type TestChoices, testCuff, testOcclusion, testPlan } from './plan.fixture';

/** Findings of a rule on one exercise, as level and words. */
const found = (rule: string, changes: TestChoices = {}, basis: Partial<Basis> = {}) =>
  testPlan(changes, basis)
    .findings.filter((finding) => finding.rule === rule)
    .map(({ level, message }) => `${level}: ${inEnglish(message)}`);
const worn = (changes: object): FitFact =>
  ({
    kind: 'cuff',
    id: 'fit',
    atMs: 1,
    limb: 'left-thigh',
    cuffId: 'cuff-l',
    label: 'L thigh 11.5',
    widthCm: 11.5,
    girthCm: 54,
    ...changes,
  }) as FitFact;
const withCuff = (changes: object) => ({ cuffs: [{ ...testCuff, ...changes }] });

it('is no work where the gauge rounds the share down to nothing (PRS-1)', () => {
  expect(found('PRS-1', { percentLop: 2 })).toEqual([]);
  expect(found('PRS-1', { percentLop: 1 })).toEqual([
    'hard: 1 % of 174 mmHg comes to 0 mmHg on a gauge of 2.',
  ]);
});

describe('the cuff as it is now (FIT-2, FIT-3, FIT-5)', () => {
  it('is as wide as it was measured with, on the limb and in the cupboard', () => {
    expect(found('FIT-3', {}, { fits: [worn({})] })).toEqual([]);
    expect(found('FIT-3', {}, { fits: [worn({ widthCm: 9 })] })).toEqual([
      'hard: L thigh 11.5 is 9 cm wide; the pressure was measured with 11.5 cm and never carries over.',
    ]);
    expect(found('FIT-3', {}, withCuff({ widthCm: 10 }))).toEqual([
      'hard: L thigh 11.5 is 10 cm wide; the pressure was measured with 11.5 cm and never carries over.',
    ]);
    const strap = worn({ kind: 'strap', strapId: 's' });
    expect(found('FIT-5', {}, { fits: [strap] })).toEqual(['hard: Left thigh was last fitted with a strap.']);
    expect(found('FIT-5', {}, { fits: [worn({})] })).toEqual([]);
  });

  it('can stop the flow, goes round the limb, and holds the pressure', () => {
    expect(found('FIT-2')).toEqual([]);
    expect(found('FIT-2', {}, withCuff({ canOcclude: false }))).toEqual([
      'hard: L thigh 11.5 cannot stop the flow.',
    ]);
    // A girth of 54 cm when it was measured; bounds belong to the range.
    expect(found('FIT-2', {}, withCuff({ girthLowCm: 54, girthHighCm: 54 }))).toEqual([]);
    expect(found('FIT-2', {}, withCuff({ girthLowCm: 55 }))).toEqual([
      'hard: L thigh 11.5 is for 55–75 cm; this limb is 54 cm.',
    ]);
    expect(found('FIT-2', {}, withCuff({ girthHighCm: 53 }))).toEqual([
      'hard: L thigh 11.5 is for 50–53 cm; this limb is 54 cm.',
    ]);
    expect(found('FIT-2', {}, withCuff({ limbKind: 'arm' }))).toHaveLength(1);
    // The girth of now counts, not that of when it was measured.
    expect(found('FIT-2', {}, { fits: [worn({ girthCm: 80 })] })).toEqual([
      'hard: L thigh 11.5 is for 50–75 cm; this limb is 80 cm.',
    ]);
    // 60 % of 174 is 104.4.
    expect(found('FIT-2', {}, withCuff({ maxPressureMmHg: 104.4 }))).toEqual([]);
    expect(found('FIT-2', {}, withCuff({ maxPressureMmHg: 104 }))).toEqual([
      'hard: 104 mmHg is above the 104 mmHg that L thigh 11.5 can hold.',
    ]);
  });
});

describe('the pressure it goes by (START-2, LOP-3, LOP-4, LOP-6)', () => {
  it('is the one in force, of this limb', () => {
    expect(found('START-2')).toEqual([]);
    const again = testOcclusion({
      id: 'again',
      atMs: 9,
      pressure: { value: 160, unit: 'mmHg', working: [], rules: [] },
    });
    expect(found('START-2', {}, { occlusions: [testOcclusion(), again] })).toEqual([
      'hard: Left thigh: 174 mmHg, sitting, is not in force any more; 160 mmHg, sitting, is.',
    ]);
    const [finding] = testPlan({}, { occlusions: [testOcclusion(), again] }).findings.filter(
      ({ rule }) => rule === 'START-2',
    );
    expect(finding?.fix).toEqual({ set: 'inForce', to: 'pressure' });
    const copied = { occlusions: [testOcclusion({ limb: 'right-thigh' })] };
    expect(found('LOP-4', {}, copied)).toContain(
      'hard: The pressure was measured on the right thigh; it is never copied to another limb.',
    );
  });

  it('is said to be unsteady or due, which is no reason not to sign', () => {
    expect(found('LOP-3', {}, { occlusions: [testOcclusion({ steady: false })] })).toEqual([
      'note: The occlusion pressure is unsteady: its trials ranged over more than 10 mmHg.',
    ]);
    expect(found('LOP-6', {}, { due: new Map([['lop', msg('30 days old')]]) })).toEqual([
      'note: The pressure of the left thigh is due: 30 days old.',
    ]);
    expect(found('LOP-6', {}, { due: new Map([['lop-right', msg('30 days old')]]) })).toEqual([]);
  });

  it('is of a limb that the exercise works', () => {
    expect(found('FIT-1')).toEqual([]);
    expect(found('FIT-1', { exerciseId: 'elbow-flexion' })).toEqual([
      'hard: Elbow flexion works the arm, and the cuff is on the other kind of limb.',
    ]);
  });
});

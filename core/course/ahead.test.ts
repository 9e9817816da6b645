import { describe, expect, it } from 'vitest';
import type { LimbChoice } from '../plan/choices';
import { composeSession } from '../plan/compose';
import { testBasis, testCuff, testExercise } from '../plan/plan.fixture';
import { daysAhead } from './ahead';

/** So narrow that it cannot stop the flow: at 54 cm a LOP of about 247 mmHg is to be expected (LOP-7). */
const NARROW = { ...testCuff, widthCm: 5, canOcclude: false };
const limb: LimbChoice = { kind: 'arbitrary', limb: 'left-thigh', cuffId: testCuff.id, pressureMmHg: 120 };

describe('days to come without a LOP (PRS-4, PRS-7, CRS-2)', () => {
  it('climb ten a week, since each is taken for done at the pressure before', () => {
    const basis = testBasis({
      occlusions: [],
      fits: [
        {
          kind: 'cuff',
          limb: 'left-thigh',
          atMs: 0,
          girthCm: 54,
          cuffId: testCuff.id,
          label: testCuff.label,
          widthCm: NARROW.widthCm,
        },
      ],
      cuffs: [NARROW],
      arbitraryUpToMmHg: 170,
      done: [],
    });
    const walk = testExercise(
      { exerciseId: 'walking', protocolId: 'aerobic', position: 'standing' },
      {
        limbs: [limb],
        load: { kind: 'unweighed', with: 'body weight' },
        movements: [{ by: 'ramp', figure: 'mmHg', to: 140 }],
      },
    );
    const { plan } = composeSession(
      { goal: 'aerobic', schoolId: 'research-consensus', exercises: [walk] },
      basis,
    );
    const record = { basis, opened: [], advices: [], trainedDays: [], deload: null, passed: [] };
    const pressures = daysAhead(plan, record, [0, 7, 14, 21]).map(({ plan: of }) => {
      const [target] = of.exercises[0]?.limbs ?? [];
      return target?.kind === 'arbitrary' ? target.pressure.value : null;
    });
    expect(pressures).toEqual([120, 130, 140, 140]);
  });
});

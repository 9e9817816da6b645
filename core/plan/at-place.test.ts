import { describe, expect, it } from 'vitest';
import { englishOf } from '#language/english-of.fixture';
import { inEnglish } from '#language/render';
import type { Cuff } from '../cuff/cuff';
import type { WeightKit } from '../load/weight-kit';
import { msg } from '../message/message';
import { type PlaceKind, placesOf } from '../quantity/place';
import { atPlace } from './at-place';
import { composeSession } from './compose';
import { testBasis, testCuff, testExercise, testKit, testOcclusion } from './plan.fixture';

const narrow: Cuff = { ...testCuff, id: 'cuff-road', label: 'Road cuff', widthCm: 9, places: ['travelling'] };
const kit = {
  cuffs: [{ ...testCuff, places: ['clinic', 'gym'] } satisfies Cuff as Cuff, narrow],
  weightKits: [
    { ...testKit, places: ['clinic'] } as WeightKit,
    {
      ...testKit,
      id: 'gym-stack',
      label: 'Gym stack',
      lightestKg: 8,
      stepKg: 8,
      places: ['gym'],
    } as WeightKit,
  ],
  straps: [],
};
const road = testOcclusion({
  id: 'lop-road',
  cuffId: 'cuff-road',
  cuffLabel: 'Road cuff',
  widthCm: 9,
  pressure: { value: 196, unit: 'mmHg', working: [], rules: ['LOP-3'] },
});
const basis = testBasis({
  cuffs: kit.cuffs,
  weightKits: kit.weightKits,
  occlusions: [testOcclusion(), road],
  due: new Map([['lop-road', msg('It is 40 days old.')]]),
});
const session = {
  goal: 'size' as const,
  schoolId: 'research-consensus' as const,
  exercises: [testExercise()],
};
const { plan } = composeSession(session, basis);
const at = (kind: PlaceKind) =>
  atPlace(
    session,
    plan,
    basis,
    kit,
    placesOf([]).find((place) => place.kind === kind) ?? expect.unreachable(),
  );

describe('a session at another place', () => {
  it('changes nothing where all of its kit is', () => {
    expect(englishOf(at('clinic'))).toMatchObject({ changes: [], missing: [] });
  });

  it('has its load made from what is there, never above the share asked for', () => {
    const { session: there, changes, missing } = at('gym');
    expect(there?.exercises[0]?.load).toMatchObject({ kind: 'weighed', weightKitId: 'gym-stack' });
    expect(englishOf(changes)).toEqual([expect.stringMatching(/^Knee extension: load 10 kg → 8 kg\.$/)]);
    expect(missing).toEqual([]);
  });

  it('goes by the cuff that was measured there, and names a pressure that is stale', () => {
    const { session: there, changes, missing } = at('travelling');
    expect(there?.exercises[0]?.limbs).toMatchObject([{ kind: 'measured', occlusionId: 'lop-road' }]);
    expect(englishOf(changes)).toContain('Left thigh: L thigh 11.5 → Road cuff.');
    expect(englishOf(changes[0])).toMatch(/104 → 116 mmHg/);
    expect(englishOf(missing)).toEqual([
      'Knee extension: nothing travelling makes its load; it goes by the limb alone.',
      'Left thigh, Road cuff: measure again. It is 40 days old.',
    ]);
  });

  it('cannot be done where no cuff of it is', () => {
    const { session: there, missing } = at('home');
    expect(there).toBeNull();
    expect(missing.map(inEnglish).join(' ')).toMatch(/no pressure measured on the left thigh/);
  });
});

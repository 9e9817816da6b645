import { expect, it } from 'vitest';
import { inEnglish } from '#language/render';
import { shortOf, wornAtOnce } from './kit-in-use';
import { testPlan } from './plan.fixture';

const { plan } = testPlan();
const [exercise] = plan.exercises;
const [target] = exercise?.limbs ?? [];
if (!exercise || target?.kind !== 'measured') throw new Error('The plan for tests has a measured limb.');
const other = { ...target, limb: 'right-thigh' as const };
const legs = { exercises: [exercise, { ...exercise, limbs: [target, other] }] };
const cuff = { id: target.cuffId, label: 'Thigh medium' };
const short = (howMany: number | undefined, ...plans: Parameters<typeof wornAtOnce>[0][]) =>
  shortOf({ cuffs: [howMany === undefined ? cuff : { ...cuff, howMany }], straps: [], pumps: [] }, plans).map(
    inEnglish,
  );

it('counts what one exercise wears at once, not what follows', () => {
  expect(wornAtOnce({ exercises: [exercise, exercise] }).get(target.cuffId)).toBe(1);
  expect(wornAtOnce(legs).get(target.cuffId)).toBe(2);
});

it('says what is short over all that run at the same time', () => {
  expect(short(3, legs, plan)).toEqual([]);
  expect(short(2, legs, plan)).toEqual(['Thigh medium: 3 are worn at once, and there are 2.']);
  expect(short(1, plan, plan)).toEqual(['Thigh medium: 2 are worn at once, and there is 1.']);
});

it('counts nothing whose number is not known', () => {
  expect(short(undefined, legs, legs, legs)).toEqual([]);
});

it('counts pumps that stay on their cuff, and none where one can be unplugged and go round', () => {
  const pumped = (...pumps: { keepsPressure: boolean }[]) =>
    shortOf({ cuffs: [], straps: [], pumps }, [legs, plan]).map(inEnglish);
  const stays = { keepsPressure: false };
  expect(pumped(stays, stays, stays)).toEqual([]);
  expect(pumped(stays, stays)).toEqual([
    '3 cuffs are up at once, each stays on its pump, and there are 2 pumps.',
  ]);
  expect(pumped(stays, { keepsPressure: true })).toEqual([]);
  expect(pumped()).toEqual([]);
});

import { expect, it } from 'vitest';
import { englishOf } from '#language/english-of.fixture';
import { calledIn } from './called';

const of = (label: string, ...limbs: ('left-thigh' | 'right-thigh')[]) => ({
  exerciseId: label,
  label,
  limbs: limbs.map((limb) => ({ limb })),
});

it('names two of the same exercise by their side, and leaves a name that is alone as it is', () => {
  const press = of('Leg press', 'left-thigh', 'right-thigh');
  const left = of('Knee extension', 'left-thigh');
  expect(englishOf(calledIn([press, left, of('Knee extension', 'right-thigh')]))).toEqual([
    'Leg press',
    'Knee extension, left',
    'Knee extension, right',
  ]);
  expect(englishOf(calledIn([press, left]))).toEqual(['Leg press', 'Knee extension']);
  expect(englishOf(calledIn([of('Leg press', 'left-thigh'), press]))).toEqual([
    'Leg press, left',
    'Leg press, both',
  ]);
});

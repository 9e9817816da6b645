import { expect, it } from 'vitest';
import { calledIn } from './called';

const of = (label: string, ...limbs: ('left-thigh' | 'right-thigh')[]) => ({
  label,
  limbs: limbs.map((limb) => ({ limb })),
});

it('tells two of the same exercise by their side, and leaves a name that is alone as it is', () => {
  const press = of('Leg press', 'left-thigh', 'right-thigh');
  const left = of('Knee extension', 'left-thigh');
  expect(calledIn([press, left, of('Knee extension', 'right-thigh')])).toEqual([
    'Leg press',
    'Knee extension, left',
    'Knee extension, right',
  ]);
  expect(calledIn([press, left])).toEqual(['Leg press', 'Knee extension']);
  expect(calledIn([of('Leg press', 'left-thigh'), press])).toEqual(['Leg press, left', 'Leg press, both']);
});

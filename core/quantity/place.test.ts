import { describe, expect, it } from 'vitest';
import { isAt, type OwnPlace, ownPlaceSchema, placesOf } from './place';

const HARBOUR: OwnPlace = {
  id: 'h',
  kind: 'gym',
  name: 'Harbour hall',
  hours: 'Mon 7–20',
  emergencyPhone: '144',
};
const MILL: OwnPlace = { id: 'm', kind: 'gym', name: 'The mill', hours: '', emergencyPhone: '' };

describe('where one trains', () => {
  it('is a place of the practice, or of a kind it has none of', () => {
    expect(placesOf([HARBOUR, MILL]).map(({ id }) => id)).toEqual(['h', 'm', 'clinic', 'home', 'travelling']);
  });

  it('has the kit that is there, that is at every place of its kind, and that is nowhere in particular', () => {
    const [harbour, mill, clinic] = placesOf([HARBOUR, MILL]);
    const at = (places?: string[]) =>
      [harbour, mill, clinic].map((place) => (place ? isAt({ places }, place) : null));
    expect(at()).toEqual([true, true, true]);
    expect(at([])).toEqual([true, true, true]);
    expect(at(['gym'])).toEqual([true, true, false]);
    expect(at(['h', 'clinic'])).toEqual([true, false, true]);
    expect(at(['gone'])).toEqual([false, false, false]);
  });

  it('has an emergency number of its own or none, and not a part of one', () => {
    const read = (emergencyPhone: string) => ownPlaceSchema.safeParse({ ...MILL, emergencyPhone }).success;
    expect(['', '1', '112'].map(read)).toEqual([true, false, true]);
  });
});

import { describe, expect, it } from 'vitest';
import { englishOf } from '#language/english-of.fixture';
import { placesOf } from '../quantity/place';
import { basisAt } from './at-place';
import { choicesOf } from './choices-of';
import { composeSession } from './compose';
import { draftSession } from './draft/draft-session';
import { testWish } from './draft/draft-wish.fixture';
import { testBasis, testCuff, testExercise, testKit } from './plan.fixture';
import { planChanges } from './plan-changes';

const HALL = {
  id: 'hall',
  kind: 'gym',
  name: 'Harbour hall',
  hours: 'Mon 6–22',
  emergencyPhone: '144',
} as const;
const ROOM = { id: 'room', kind: 'clinic', name: 'The room', hours: '', emergencyPhone: '' } as const;
const places = placesOf([HALL, ROOM]);
const basis = testBasis({
  places,
  cuffs: [{ ...testCuff, places: ['room'] }],
  weightKits: [{ ...testKit, places: ['gym'] }],
});
const session = (place?: string) => ({
  goal: 'size' as const,
  schoolId: 'research-consensus' as const,
  exercises: [testExercise()],
  ...(place === undefined ? {} : { place }),
});
const ofPlace = (place?: string) =>
  composeSession(session(place), basis)
    .findings.filter(({ subject }) => subject === 'place')
    .map(({ rule, level, message }) => [rule, level, englishOf(message)]);

describe('a plan that is done somewhere', () => {
  it('keeps the place with its hours and its emergency number, and is composed again with it', () => {
    const { plan } = composeSession(session('hall'), basis);
    expect(plan.place).toMatchObject({ id: 'hall', hours: 'Mon 6–22', emergencyPhone: '144' });
    expect(choicesOf(plan).place).toBe('hall');
    expect(composeSession(session(), basis).plan).not.toHaveProperty('place');
  });

  it('says what of it is not there: kit of every gym is in this gym', () => {
    expect(ofPlace('hall')).toEqual([['FIT-3', 'note', expect.stringMatching(/is not at Harbour hall\.$/)]]);
    expect(ofPlace('room')).toEqual([['LOAD-4', 'note', expect.stringMatching(/is not at The room\.$/)]]);
    expect(ofPlace()).toEqual([]);
  });

  it('says so where the practice does not have the place any more, and keeps none', () => {
    expect(ofPlace('sold')).toEqual([['LOAD-4', 'note', expect.stringMatching(/does not have the place/)]]);
    expect(composeSession(session('sold'), basis).plan).not.toHaveProperty('place');
  });

  it('has its change of place among the changes of a version', () => {
    const [before, after] = [session('room'), session('hall')].map((one) => composeSession(one, basis).plan);
    if (!before || !after) return expect.unreachable();
    expect(englishOf(planChanges(before, after))).toEqual(['Place: at The room → at Harbour hall.']);
  });

  it('is drafted with the kit that is there, for the place that is wished for', () => {
    const gym = places.find(({ id }) => id === 'hall') ?? expect.unreachable();
    const everywhere = testBasis({ places, weightKits: [{ ...testKit, places: ['gym'] }] });
    const there = basisAt(
      everywhere,
      { cuffs: everywhere.cuffs, weightKits: everywhere.weightKits, straps: [] },
      gym,
    );
    const { session: drafted } = draftSession(testWish({ place: 'hall' }), there);
    expect(drafted?.place).toBe('hall');
    if (!drafted) return;
    const { findings } = composeSession(drafted, everywhere);
    expect(findings.filter(({ subject }) => subject === 'place')).toEqual([]);
  });
});

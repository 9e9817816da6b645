import { describe, expect, it } from 'vitest';
import { libraryOf } from '../../protocol/exercises';
import type { SetChoice } from '../choices';
import { setsOf } from '../choices';
import { testBasis, testExercise, trainedWeeks } from '../plan.fixture';
import { boundBy, boundsOf, inflatedMs, repsByMuscle, withinBounds } from './bounds';

const library = libraryOf({});
const BOUNDS = { reps: 75, inflatedMs: 15 * 60_000 };
const pacedTo = ({ work }: SetChoice) =>
  work.kind === 'timed' ? work.workMs / 60_000 : 'reps' in work ? work.reps : work.pacedTo;

describe('what a draft is bounded by (PRO-6)', () => {
  it('is an age from 65, else the first two weeks under a cuff, else nothing', () => {
    expect(boundBy(testBasis({ from65: true }))).toBe('age');
    expect(boundBy(testBasis({ done: [] }))).toBe('first-weeks');
    const [week] = trainedWeeks(1);
    const since = (days: number) => testBasis({ done: week ? [{ ...week, day: -days }] : [] });
    expect(boundBy(since(13))).toBe('first-weeks');
    expect(boundBy(since(14))).toBeNull();
    expect(boundsOf(since(14))).toBeNull();
    expect(boundsOf(since(13))).toEqual(BOUNDS);
  });
});

describe('repetitions of a muscle', () => {
  it('are counted for each muscle of a group and each limb, to failure as far as it is paced', () => {
    const press = testExercise({ exerciseId: 'leg-press' });
    const extension = testExercise({ protocolId: 'near-failure' });
    expect([...repsByMuscle([press, extension], library)]).toEqual([
      ['left-thigh quadriceps', 75 + 90],
      ['left-thigh buttock', 75],
    ]);
  });
});

describe('a session brought within its bounds', () => {
  const within = (...choices: ReturnType<typeof testExercise>[]) =>
    withinBounds(choices, BOUNDS, library)?.map(({ sets }) => sets.map(pacedTo));

  it('stays as it is where it is within them, and where there are none', () => {
    expect(within(testExercise())).toEqual([[30, 15, 15, 15]]);
    const much = [testExercise(), testExercise({ exerciseId: 'leg-press' })];
    expect(withinBounds(much, null, library)).toEqual(much);
  });

  it('loses sets of the largest exercise for a muscle that has too much, and no others', () => {
    expect(
      within(
        testExercise(),
        testExercise({ exerciseId: 'leg-press' }),
        testExercise({ exerciseId: 'leg-curl-seated' }),
      ),
    ).toEqual([[30], [30, 15], [30, 15, 15, 15]]);
    expect(within(testExercise({ protocolId: 'near-failure' }))).toEqual([[30, 30]]);
  });

  it('ends with the cuff down and a rest that frees the limb', () => {
    const [made] = withinBounds([testExercise({ protocolId: 'near-failure' })], BOUNDS, library) ?? [];
    expect(made?.sets.at(-1)).toMatchObject({ release: true, restMs: 60_000 });
  });

  it('has shorter spells before fewer than three of them', () => {
    const passive = (protocolId: 'passive-recovery' | 'passive-rehab') =>
      testExercise(
        { exerciseId: 'passive-cuff-leg', protocolId },
        { sets: setsOf(protocolId, 60_000, 60_000) },
      );
    // 3 × 5 min and the time to settle is over 15 min.
    expect(within(passive('passive-recovery'))).toEqual([[4.5, 4.5, 4.5]]);
    expect(within(passive('passive-rehab'))).toEqual([[4.5, 4.5, 4.5]]);
  });

  it('is none where one set of each is too much', () => {
    const few = { reps: 20, inflatedMs: 15 * 60_000 };
    expect(withinBounds([testExercise()], few, library)).toBeNull();
  });

  it('counts the rests with the cuff up, and the priming', () => {
    // 75 repetitions of 2 s, three rests of 30 s, 20 s to settle.
    expect(inflatedMs(testExercise())).toBe(150_000 + 90_000 + 20_000);
    expect(inflatedMs({ ...testExercise(), primed: true }) - inflatedMs(testExercise())).toBe(120_000);
    const released = testExercise({ protocolId: 'release-75', restMs: 65_000, tempoId: '1-0-1' });
    expect(inflatedMs(released)).toBe(150_000 + 20_000);
  });
});

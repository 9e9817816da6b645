import { type Message, msg } from '../../message/message';
import { type Exercise, isWeighed, needsKilograms } from '../../protocol/exercise';
import type { ExerciseId } from '../../protocol/exercises';
import { limbKind } from '../../quantity/limb';
import type { Basis } from '../basis';
import { GOALS, RUNG_EXERCISES, RUNG_NAMES } from '../goals';
import { rangesCrossed, rungPassed } from '../letter-work';
import { boundBy } from './bounds';
import type { Nothing } from './nothing';
import type { DraftWish, Lead } from './wish';

/** What a rung is drafted with before anything else. */
export const namedOn = ({ goal, rung }: DraftWish): readonly ExerciseId[] =>
  GOALS[goal].from === 'rung' ? (RUNG_EXERCISES[rung] ?? []) : [];

/** An exercise of the library with its id. */
export type Entry = readonly [ExerciseId, Exercise];

/** A condition that every drafted exercise meets, and what is to be said where it leaves nothing. */
type Condition = {
  meets: (entry: Entry, wish: DraftWish, basis: Basis) => boolean;
  nothing: (wish: DraftWish, basis: Basis) => Message;
  /** Where one goes on then. */
  lead: (wish: DraftWish, basis: Basis) => Lead[];
};

/** In the order in which they are asked. */
const CONDITIONS: readonly Condition[] = [
  {
    meets: ([id, exercise], wish) =>
      exercise.limbKind === (wish.limbs[0] && limbKind(wish.limbs[0])) &&
      (namedOn(wish).includes(id) || suits(exercise, wish)),
    nothing: () => msg('Nothing in the library fits: add an exercise by hand.'),
    lead: () => [{ to: 'exercises' }],
  },
  {
    meets: ([id, exercise], { limbs }, { limits }) =>
      limbs.every(
        (limb) =>
          rungPassed(limits[limb], exercise.rung) === null &&
          rangesCrossed(limits[limb], id, exercise, exercise.rung).length === 0,
      ),
    nothing: ({ limbs }, { limits }) => {
      const [highest] = limbs.flatMap((limb) => limits[limb].highestRung ?? []);
      return highest
        ? msg('The letter allows work up to {highest} only, and nothing for this goal is (SCR-2).', {
            highest: RUNG_NAMES[highest],
          })
        : msg('All that fits goes through a range that the letter forbids (SCR-2).');
    },
    lead: ({ limbs }, { limits }) => [
      ...limbs.flatMap((limb): Lead[] => {
        const rung = limits[limb].highestRung;
        return rung ? [{ to: 'rung', rung }] : [];
      }),
      { to: 'screen' },
    ],
  },
  {
    meets: ([, { sides, kind }], { limbs }) => limbs.length > 1 || sides !== 'both' || kind === 'aerobic',
    nothing: () => msg('All that fits is done with both limbs at once: choose both.'),
    lead: () => [{ to: 'both-limbs' }],
  },
  {
    meets: ([, { equipment }], wish, basis) => equipment !== 'machine' || hasMachines(wish, basis),
    nothing: () => msg('All that fits needs a machine, and there is none: choose another place.'),
    lead: () => [{ to: 'any-place' }],
  },
  {
    meets: ([id, exercise], wish, basis) => hasKit(id, exercise, wish, basis),
    nothing: () => msg('All that fits needs kilograms: test a 1RM, or add bands to the kit (LOAD-5).'),
    lead: () => [{ to: 'test' }, { to: 'kit' }],
  },
  {
    meets: ([id, { isDemanding }], _, basis) =>
      !isDemanding || boundBy(basis) === null || isTested(id, basis),
    nothing: () => msg('All that fits asks for much balance or strength: choose it by hand (PRO-6).'),
    lead: () => [{ to: 'test' }],
  },
];

/** Whether there is a machine where it is done. */
function hasMachines({ place }: DraftWish, { places }: Basis): boolean {
  const kind = places.find(({ id }) => id === place)?.kind;
  return kind === undefined || kind === 'clinic' || kind === 'gym';
}

/**
 * The exercises that may be drafted for a wish: of its kind of work, allowed by the letters, with the kit that is there, and possible
 * for these limbs (rules SCR-2, LOAD-4, PRO-5, PRO-6). In the order of the library.
 * @returns why there is none and where one goes on, where a condition leaves nothing
 */
export function poolOf(wish: DraftWish, basis: Basis): Entry[] | Nothing {
  let left: Entry[] = Object.entries(basis.library);
  for (const { meets, nothing, lead } of CONDITIONS) {
    left = left.filter((entry) => meets(entry, wish, basis));
    if (left.length === 0) return { why: nothing(wish, basis), leads: lead(wish, basis) };
  }
  return left;
}

export const isTested = (id: ExerciseId, { strengthTests }: Basis): boolean =>
  strengthTests.some(({ exerciseId }) => exerciseId === id);

function suits(exercise: Exercise, { goal, rung, isolatedOnly }: DraftWish): boolean {
  const { from, kinds } = GOALS[goal];
  if (exercise.isManual || exercise.inWater || (isolatedOnly && exercise.kind !== 'isolated')) return false;
  const moves = exercise.rung !== 'isometric' && exercise.rung !== 'passive' && exercise.kind !== 'aerobic';
  switch (from) {
    case 'tested':
      return moves && kinds[exercise.kind] !== undefined;
    case 'rung':
      return exercise.rung === rung && exercise.kind !== 'aerobic';
    case 'body-weight':
      return moves && !isWeighed(exercise) && exercise.equipment !== 'machine';
    case 'functional':
      return exercise.kind === 'functional';
    case 'aerobic':
    case 'passive':
      return exercise.kind === from;
  }
}

/** Whether there are bands to pull, and a test for what is nothing without kilograms (rules LOAD-4, LOAD-5). */
function hasKit(id: ExerciseId, exercise: Exercise, { carried }: DraftWish, basis: Basis): boolean {
  if (exercise.equipment === 'bands') return basis.weightKits.some(({ kind }) => kind === 'bands');
  return (
    !needsKilograms(exercise) || isTested(id, basis) || carried.some(({ exerciseId }) => exerciseId === id)
  );
}

import type { Exercise } from '../../protocol/exercise';
import { MS_PER_MINUTE } from '../../quantity/units';
import type { Basis } from '../basis';
import type { ExerciseChoice } from '../choices';
import { GOALS } from '../goals';
import { boundBy, lastsMs } from './bounds';
import { namedOn } from './pool';
import type { DraftWish } from './wish';
import type { Work } from './work';

/** A session that could be drafted: works in their order, as long as they are here. */
export type Tried = readonly Work[];

/** What is asked for, and what is on record; with the most exercises there may be, where others come after them. */
export type For = { wish: DraftWish; basis: Basis; most?: number | undefined };

/** How many exercises a session is to have: fewer where it is bounded, and one where each is done twice. */
export function exercisesAsked({ wish, basis, most = Number.POSITIVE_INFINITY }: For): number {
  const exercises = Math.min(most, GOALS[wish.goal].exercises);
  const named = namedOn(wish).length;
  if (named > 0 || boundBy(basis) === null) return Math.max(named, exercises);
  return Math.min(exercises, wish.limbs.length > 1 && !wish.together ? 1 : 2);
}

export const isCarried = (id: string, { carried }: DraftWish): boolean =>
  carried.some(({ exerciseId }) => exerciseId === id);

/** Whether work goes by a share of a 1RM where there is one; of a goal that has functional work in it, that does not. */
export function asksForTest({ rung, kind }: Exercise, { goal }: DraftWish): boolean {
  const { from, functional, percentOneRepMax } = GOALS[goal];
  if (percentOneRepMax === null) return false;
  return rung === 'loaded' || (from === 'tested' && (kind !== 'functional' || functional === undefined));
}

/** In the first weeks, and where the goal says so (rule PRO-6). */
export const isolates = ({ wish, basis }: For): boolean =>
  GOALS[wish.goal].isolates === true ||
  (GOALS[wish.goal].from === 'tested' && boundBy(basis) === 'first-weeks');

export const groupsOf = (tried: Tried): Set<string> => new Set(tried.map(({ exercise }) => exercise.muscle));

export const limbPositions = (tried: Tried) =>
  tried.flatMap(({ choices }) =>
    choices.flatMap(({ limbs, position }) => limbs.map(({ limb }) => ({ limb, position }))),
  );

export const minutesOf = (tried: Tried): number =>
  sum(tried.map(({ choices }) => lasts(choices))) / MS_PER_MINUTE;

const lasts = (choices: readonly ExerciseChoice[]): number => {
  const before = lasting.get(choices);
  if (before !== undefined) return before;
  const ms = sum(choices.map(lastsMs));
  lasting.set(choices, ms);
  return ms;
};
// Choices are never changed where they are.
const lasting = new WeakMap<readonly ExerciseChoice[], number>();

/** From one exercise to the next: another position, another thing that resists. */
export function changesIn(tried: Tried): number {
  return tried.reduce((changes, { exercise, choices: [first] }, place) => {
    const before = tried[place - 1];
    if (!before || !first) return changes;
    const position = before.choices[0]?.position !== first.position;
    const kit = before.exercise.equipment !== exercise.equipment;
    return changes + Number(position) + Number(kit);
  }, 0);
}

export const sum = (values: readonly number[]): number => values.reduce((total, value) => total + value, 0);
export const mean = (values: readonly number[]): number =>
  values.length === 0 ? 1 : sum(values) / values.length;
export const clamp = (value: number): number => Math.min(1, Math.max(0, value));

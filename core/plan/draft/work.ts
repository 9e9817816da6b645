import { targetLoad } from '../../load/target-load';
import {
  BODY_WEIGHT,
  EQUIPMENT_KITS,
  LIMB_WEIGHT,
  makeableLoads,
  type WeightKit,
} from '../../load/weight-kit';
import { msg } from '../../message/message';
import { PROTOCOLS } from '../../protocol/data/protocols';
import { type Equipment, type Exercise, isWeighed, needsKilograms } from '../../protocol/exercise';
import type { ExerciseId } from '../../protocol/exercises';
import { INTENSITIES } from '../../protocol/intensity';
import { type Limb, POSITION_NAMES } from '../../quantity/limb';
import { RULES } from '../../rules/catalogue';
import { testInForce } from '../../strength/in-force';
import type { Basis } from '../basis';
import { type ExerciseChoice, type LoadChoice, setsOf } from '../choices';
import { draftLimb, measuredPosition } from '../draft-limb';
import { GOALS, type GoalId, protocolFor } from '../goals';
import { isNothing, type Nothing, nothing } from './nothing';
import type { Carried, DraftWish, Lead } from './wish';

const BETWEEN_MS = RULES['PRO-1'].figures.continuousOcclusionMs.freeFlowToRestart;

/** A pair lifts together only by a test of both: one side's never loads two (rule LOAD-3). */
const mayLiftTogether = (id: ExerciseId, exercise: Exercise, { limbs }: DraftWish, basis: Basis): boolean =>
  !isWeighed(exercise) ||
  testInForce(basis, id, limbs) !== undefined ||
  !basis.strengthTests.some(({ exerciseId }) => exerciseId === id);

/** An exercise as it would be done: for all limbs, one after the other or at once. */
export type Work = {
  id: ExerciseId;
  exercise: Exercise;
  choices: ExerciseChoice[];
  /** The share of the 1RM that the kit truly makes, in %; `null` without kilograms. */
  truePercent: number | null;
};

/** One exercise for the limbs of a wish, or why it is left out. */
export function workOf(
  [id, exercise]: readonly [ExerciseId, Exercise],
  wish: DraftWish,
  basis: Basis,
): Work | Nothing {
  const choices = choicesFor(id, exercise, wish, basis);
  return isNothing(choices) ? choices : { id, exercise, choices, truePercent: truePercentOf(choices, basis) };
}

function truePercentOf(choices: readonly ExerciseChoice[], basis: Basis): number | null {
  const [first] = choices;
  if (first?.load.kind !== 'weighed') return null;
  const { weightKitId, percentOneRepMax } = first.load;
  const kit = basis.weightKits.find(({ id }) => id === weightKitId);
  const test = testInForce(
    basis,
    first.exerciseId,
    first.limbs.map(({ limb }) => limb),
  );
  return kit && test ? targetLoad(test.oneRepMax.value, percentOneRepMax, kit).truePercent : null;
}

function choicesFor(
  id: ExerciseId,
  exercise: Exercise,
  wish: DraftWish,
  basis: Basis,
): ExerciseChoice[] | Nothing {
  const protocolId =
    exercise.kind === 'aerobic' ? 'aerobic' : protocolFor(wish.goal, wish.rung, wish.schoolId);
  const together =
    wish.limbs.length > 1 &&
    exercise.sides !== 'one' &&
    (exercise.sides === 'both' || (wish.together && mayLiftTogether(id, exercise, wish, basis)));
  const groups = together ? [wish.limbs] : wish.limbs.map((limb) => [limb]);
  const made: ExerciseChoice[] = [];
  for (const limbs of groups) {
    const carried = carriedBy(wish, id, limbs);
    const load = loadFor(id, exercise, limbs, wish.goal, carried, basis);
    if (isNothing(load)) return load;
    const position = measuredPosition(exercise, limbs, basis);
    const choices = limbs.map((limb) =>
      draftLimb(limb, position, protocolId, wish.schoolId, basis, {
        carried: carried && carriedPercent(carried, limb),
        lowered: wish.lowered.get(limb),
      }),
    );
    if (choices.some((choice) => choice === null)) {
      return nothing(
        msg('{exercise}: measure {position}, with a cuff of the kit, first (LOP-5).', {
          exercise: exercise.label,
          position: POSITION_NAMES[position],
        }),
        ...limbs.map((limb): Lead => ({ to: 'measure', limb })),
      );
    }
    const { tempos, restMs } = PROTOCOLS[protocolId];
    made.push({
      exerciseId: id,
      position,
      limbs: choices.filter((choice) => choice !== null),
      load,
      protocolId,
      tempoId: (exercise.rung === 'isometric' ? '1-5-1' : tempos[0]) ?? '2-0-2',
      sets:
        carried?.protocolId === protocolId
          ? [...carried.sets]
          : setsOf(protocolId, carried?.restMs ?? restMs, BETWEEN_MS),
      primed: false,
      ...(exercise.kind === 'aerobic' ? { intensity: carried?.intensity ?? INTENSITIES.talking.first } : {}),
    });
  }
  return made;
}

/** What these limbs did of an exercise; the other side's serves where they did none of it. */
function carriedBy({ carried }: DraftWish, id: ExerciseId, limbs: readonly Limb[]): Carried | undefined {
  const entries = carried.filter(({ exerciseId }) => exerciseId === id);
  const same = (one: Carried) =>
    one.limbs.length === limbs.length && one.limbs.every((limb) => limbs.includes(limb));
  return entries.find(same) ?? entries[0];
}

/** The share that is carried to a limb: its own, else the least that another limb had. */
function carriedPercent({ percentLop }: Carried, limb: Limb): number | undefined {
  const others = Object.values(percentLop);
  return percentLop[limb] ?? (others.length > 0 ? Math.min(...others) : undefined);
}

/** The load of an exercise, or why the kit cannot make one light enough. */
function loadFor(
  id: ExerciseId,
  exercise: Exercise,
  limbs: readonly Limb[],
  goal: GoalId,
  carried: Carried | undefined,
  basis: Basis,
): LoadChoice | Nothing {
  const percent = GOALS[goal].percentOneRepMax;
  if (!isWeighed(exercise)) return { kind: 'unweighed', with: resistanceOf(exercise, basis.weightKits) };
  const test = percent === null ? undefined : testInForce(basis, id, limbs);
  if (percent === null || !test)
    // What was trained so already goes on so.
    return needsKilograms(exercise) && carried?.percentOneRepMax !== null
      ? nothing(
          msg('{exercise}: test it, or check 30 repetitions, first (LOAD-5).', { exercise: exercise.label }),
          { to: 'test', exerciseId: id },
        )
      : { kind: 'unweighed', with: LIMB_WEIGHT };
  const percentOneRepMax = carried?.percentOneRepMax ?? percent;
  const kit = bestKit(exercise.equipment, test.oneRepMax.value, percentOneRepMax, basis.weightKits);
  if (!kit)
    return nothing(
      msg('{exercise}: nothing in the kit makes a load light enough (LOAD-4).', { exercise: exercise.label }),
      { to: 'kit' },
    );
  return { kind: 'weighed', strengthTestId: test.fact.id, weightKitId: kit.id, percentOneRepMax };
}

/** The kit of the right kind that comes closest under the target; none when all are above the guard. */
export function bestKit(
  equipment: Equipment,
  oneRepMaxKg: number,
  percent: number,
  kits: readonly WeightKit[],
): WeightKit | undefined {
  const fitting = kits
    .filter((kit) => kit.kind === EQUIPMENT_KITS[equipment] && makeableLoads(kit).length > 0)
    .map((kit) => ({ kit, ...targetLoad(oneRepMaxKg, percent, kit) }))
    .filter(({ truePercent }) => (truePercent ?? 0) <= RULES['LOAD-3'].figures.percentOneRepMax.usualHigh)
    .sort((a, b) => Math.abs((a.truePercent ?? 0) - percent) - Math.abs((b.truePercent ?? 0) - percent));
  return fitting[0]?.kit;
}

function resistanceOf({ equipment }: Exercise, kits: readonly WeightKit[]): string {
  const bands = kits.find(({ kind }) => kind === 'bands');
  if (equipment === 'bands' && bands?.kind === 'bands') return bands.names[0] ?? BODY_WEIGHT;
  return equipment === 'body-weight' ? BODY_WEIGHT : LIMB_WEIGHT;
}

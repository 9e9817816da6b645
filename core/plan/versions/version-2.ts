import type { Derived } from '../../derivation/derived';
import type { SetWork } from '../../protocol/set-work';
import type { Limb, Position } from '../../quantity/limb';
import type { Side } from '../../strength/side';
import type { LoadChoice, SessionChoice } from '../choices';
import { PLAN_VERSION, type Plan, type PlannedExercise } from '../plan';
import type { PlannedLoad } from '../planned-load';
import type { LimbTarget } from '../target';

// Plans and kept sessions as they were written before they carried a version. Here 0, '' and null stood for "none".

type OldTarget = {
  limb: Limb;
  occlusionId: string;
  cuffId: string;
  cuffLabel: string;
  occlusion: Derived;
  uncertaintyMmHg: number;
  measuredPosition: Position;
  percentLop: number;
  pressure: Derived;
  trueRange: Derived;
  byFeel: { strapId: string; mark: number; felt: number } | null;
  primingMmHg: number[];
};
type OldSet = { reps: number; workMs: number; restMs: number; release: boolean; untilFailure: boolean };
type OldExercise = Omit<PlannedExercise, 'limbs' | 'load' | 'sets'> & {
  limbs: OldTarget[];
  strength: {
    testId: string;
    side: Side;
    oneRepMax: Derived;
    percentOneRepMax: number;
    weightKitId: string;
  } | null;
  load: Derived;
  loadRecipe: string;
  trueLoadPercent: number | null;
  sets: OldSet[];
};
export type PlanVersion2 = Pick<Plan, 'goal' | 'schoolId'> & {
  gaugeDivisionMmHg: number;
  exercises: OldExercise[];
};

/** A plan of version 2 in the shape of now. Its figures are those it was signed with. */
export const fromVersion2 = ({ goal, schoolId, gaugeDivisionMmHg, exercises }: PlanVersion2): Plan => ({
  version: PLAN_VERSION,
  goal,
  schoolId,
  exercises: exercises.map(
    ({ limbs, strength, load, loadRecipe, trueLoadPercent, sets, ...same }): PlannedExercise => ({
      ...same,
      limbs: limbs.map((target) => targetFrom(target, gaugeDivisionMmHg)),
      load: loadFrom(strength, load, loadRecipe, trueLoadPercent),
      sets: sets.map(({ restMs, release, ...work }) => ({
        work: workFrom(work),
        lastsMs: work.workMs,
        restMs,
        release,
      })),
    }),
  ),
});

function targetFrom({ byFeel, ...target }: OldTarget, divisionMmHg: number): LimbTarget {
  const { limb, cuffLabel } = target;
  return byFeel
    ? { kind: 'by-feel', limb, strapLabel: cuffLabel, ...byFeel }
    : { kind: 'measured', divisionMmHg, ...target };
}

function loadFrom(
  strength: OldExercise['strength'],
  load: Derived,
  recipe: string,
  truePercent: number | null,
): PlannedLoad {
  if (!strength || truePercent === null) return { kind: 'unweighed', recipe };
  const { testId, side, oneRepMax, percentOneRepMax, weightKitId } = strength;
  return {
    kind: 'weighed',
    load,
    recipe,
    truePercent,
    testId,
    testedSide: side,
    oneRepMax,
    percentOneRepMax,
    weightKitId: weightKitId || null,
  };
}

const workFrom = ({
  reps,
  workMs,
  untilFailure,
}: Pick<OldSet, 'reps' | 'untilFailure'> & { workMs: number | null }): SetWork =>
  reps === 0
    ? { kind: 'timed', workMs: workMs ?? 0 }
    : untilFailure
      ? { kind: 'to-failure', pacedTo: reps }
      : { kind: 'reps', reps };

type OldChoice = Pick<SessionChoice, 'goal' | 'schoolId'> & {
  exercises: (Omit<SessionChoice['exercises'][number], 'limbs' | 'sets' | 'load'> & {
    limbs: { limb: Limb; occlusionId: string; percentLop: number; strapId?: string }[];
    load: LoadChoice;
    sets: {
      reps: number;
      workMs: number | null;
      restMs: number;
      release: boolean;
      untilFailure: boolean;
    }[];
  })[];
};

/** A kept session as it was written before limbs and sets said of what kind they are. */
export const choiceFromVersion2 = ({ exercises, ...same }: OldChoice): SessionChoice => ({
  ...same,
  exercises: exercises.map((exercise) => ({
    ...exercise,
    limbs: exercise.limbs.map(({ limb, occlusionId, percentLop, strapId }) =>
      strapId ? { kind: 'by-feel', limb, strapId } : { kind: 'measured', limb, occlusionId, percentLop },
    ),
    sets: exercise.sets.map(({ restMs, release, ...work }) => ({ work: workFrom(work), restMs, release })),
  })),
});

import { LIMB_WEIGHT } from '#core/load';
import {
  type Basis,
  bestKit,
  choiceFor,
  draftLimb,
  type ExerciseChoice,
  type MeasuredChoice,
  measuredChoices,
  type SessionChoice,
  type SetChoice,
  sessionChoiceSchema,
  setsOf,
} from '#core/plan';
import { type ExerciseId, INTENSITIES, isWeighed, PROTOCOLS, type ProtocolId } from '#core/protocol';
import { type Limb, limbKind, SIDE_NAMES } from '#core/quantity';
import { RULES } from '#core/rules';
import { sideOf, testInForce } from '#core/strength';
import { translate } from '../../../../language/translate';

const USUAL_LOAD_PERCENT = 25;
const USUAL_PERCENT_LOP = 50;

/** Whether every figure in the choices is one; a half-typed number is NaN. */
export const isComplete = (session: SessionChoice): boolean => sessionChoiceSchema.safeParse(session).success;

/**
 * An exercise with another protocol, as an editable copy of it. Each limb has the protocol's own share where it has one, else keeps
 * its own; never past what the ramp, the cap and the school allow now.
 */
export function withProtocol(
  choice: ExerciseChoice,
  protocolId: ProtocolId,
  { schoolId }: Pick<SessionChoice, 'schoolId'>,
  basis: Basis,
): ExerciseChoice {
  const { mode, tempos, restMs } = PROTOCOLS[protocolId];
  const proposed = (limb: MeasuredChoice): MeasuredChoice => {
    const drafted = draftLimb(limb.limb, choice.position, protocolId, schoolId, basis, {
      carried: limb.percentLop,
      lowered: undefined,
    });
    return drafted?.kind === 'measured' ? { ...limb, percentLop: drafted.percentLop } : limb;
  };
  return {
    ...choice,
    protocolId,
    primed: choice.primed && mode !== 'preparation',
    tempoId: tempos.includes(choice.tempoId) ? choice.tempoId : (tempos[0] ?? choice.tempoId),
    sets: setsOf(protocolId, restMs, RULES['PRO-1'].figures.continuousOcclusionMs.freeFlowToRestart),
    limbs: choice.limbs.map((limb) => (limb.kind === 'measured' ? proposed(limb) : limb)),
  };
}

/** An exercise on other limbs, each by its own measured pressure; limbs never measured are left out. */
export function withLimbs(choice: ExerciseChoice, limbs: readonly Limb[], basis: Basis): ExerciseChoice {
  const percentLop =
    measuredChoices(choice)[0]?.percentLop ?? RULES['PRS-3'].figures.exercisePercentLop.noteBelow;
  const kept = limbs
    .map((limb) => choiceFor(limb, choice.position, choice.protocolId, percentLop, basis))
    .filter((worn) => worn !== null);
  if (kept.length === 0) return choice;
  const test = choice.load.kind === 'weighed' ? testInForce(basis, choice.exerciseId, limbs) : undefined;
  return {
    ...choice,
    limbs: kept,
    load:
      choice.load.kind === 'weighed' && test ? { ...choice.load, strengthTestId: test.fact.id } : choice.load,
  };
}

/** Another exercise added like the last one, on the same limbs, loaded from its own test if there is one. */
export function newExercise(
  id: ExerciseId,
  like: ExerciseChoice | undefined,
  limbs: readonly Limb[],
  session: Pick<SessionChoice, 'schoolId'>,
  basis: Basis,
): ExerciseChoice | null {
  const exercise = basis.library[id];
  if (!exercise) return null;
  const protocolId: ProtocolId =
    exercise.kind === 'passive'
      ? 'passive-recovery'
      : exercise.kind === 'aerobic'
        ? 'aerobic'
        : 'standard-75';
  const test = isWeighed(exercise) ? testInForce(basis, id, limbs) : undefined;
  const kit = test && bestKit(exercise.equipment, test.oneRepMax.value, USUAL_LOAD_PERCENT, basis.weightKits);
  const onLimbs = exercise.sides === 'one' ? limbs.slice(0, 1) : limbs;
  const percentLop = (like && measuredChoices(like)[0]?.percentLop) ?? USUAL_PERCENT_LOP;
  const worn = onLimbs
    .map((limb) => choiceFor(limb, exercise.position, protocolId, percentLop, basis))
    .filter((choice) => choice !== null);
  if (worn.length === 0) return null;
  return withProtocol(
    {
      exerciseId: id,
      position: exercise.position,
      limbs: worn,
      load:
        test && kit
          ? {
              kind: 'weighed',
              strengthTestId: test.fact.id,
              weightKitId: kit.id,
              percentOneRepMax: USUAL_LOAD_PERCENT,
            }
          : { kind: 'unweighed', with: LIMB_WEIGHT },
      protocolId,
      tempoId: like?.tempoId ?? '1.5-0-1.5',
      sets: [],
      primed: false,
      ...(exercise.kind === 'aerobic' ? { intensity: INTENSITIES.talking.first } : {}),
    },
    protocolId,
    session,
    basis,
  );
}

/** Whether two neighbours could share an inflation by their limbs; the rules judge the rest. */
export const mayShare = (a: ExerciseChoice, b: ExerciseChoice | undefined): boolean =>
  b !== undefined &&
  a.limbs.length === b.limbs.length &&
  a.limbs.every(({ limb }) => b.limbs.some((other) => other.limb === limb));

export const changeSet = (choice: ExerciseChoice, at: number, part: Partial<SetChoice>): ExerciseChoice => ({
  ...choice,
  sets: choice.sets.map((set, place) => (place === at ? { ...set, ...part } : set)),
});

/** "left", "right" or "both", as sides are written in lists. */
export function sideWords({ limbs }: ExerciseChoice): string {
  const side = sideOf(limbs.map(({ limb }) => limb));
  return side === undefined ? '' : translate(SIDE_NAMES[side]);
}

/** Limbs of one kind that were measured, strapped by feel, or wear a cuff where the practice works without a LOP. */
export const trainableLimbs = (
  {
    occlusions,
    tightness,
    fits,
    arbitraryUpToMmHg,
  }: Pick<Basis, 'occlusions' | 'tightness' | 'fits' | 'arbitraryUpToMmHg'>,
  kind: 'arm' | 'leg',
): Limb[] =>
  [
    ...new Set(
      [...occlusions, ...tightness, ...(arbitraryUpToMmHg !== null && kind === 'leg' ? fits : [])].map(
        ({ limb }) => limb,
      ),
    ),
  ]
    .filter((limb) => limbKind(limb) === kind)
    .sort();

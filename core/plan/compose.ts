import { type AerobicEstimate, estimateOf } from '../aerobic/estimate';
import { paceWords } from '../aerobic/estimate-words';
import type { Cuff } from '../cuff/cuff';
import { countedAs } from '../cuff/mark-words';
import type { Finding } from '../findings/finding';
import { type TargetLoad, targetLoad, withoutKilograms } from '../load/target-load';
import { type Message, msg } from '../message/message';
import { MessageError } from '../message/message-error';
import type { OcclusionFact } from '../occlusion-pressure/fact';
import { fitInForce } from '../occlusion-pressure/in-force';
import { ARBITRARY_DIVISION_MMHG, arbitraryPressure } from '../pressure/arbitrary';
import { primingMarks, primingPressures } from '../pressure/priming';
import { targetPressure, UPRIGHT_ADDS_MMHG } from '../pressure/target-pressure';
import { PROTOCOLS } from '../protocol/data/protocols';
import type { Rung } from '../protocol/exercise';
import { workMsOf } from '../protocol/set-work';
import { TEMPOS } from '../protocol/tempo';
import { trains } from '../protocol/work-mode';
import { type Limb, limbKind, uprightness } from '../quantity/limb';
import { newest } from '../quantity/newest';
import { roundDownToDivision } from '../quantity/rounding';
import { type ServingTest, serve, sideOf } from '../strength/in-force';
import type { Basis, Resolved } from './basis';
import { checkExercise } from './check-exercise';
import { checkPlace } from './check-place';
import { checkSession } from './check-session';
import { checkTimeline } from './check-timeline';
import { atShare, type ExerciseChoice, type SessionChoice } from './choices';
import { compile } from './compile';
import { PLAN_VERSION, type Plan, type PlannedExercise, type PlannedRungs } from './plan';
import type { PlannedLoad } from './planned-load';
import type { ArbitraryTarget, FeltTarget, MeasuredTarget } from './target';

/** A composed session: the plan, the load of each exercise with its neighbours, and what the rules find. */
export type Composed = { plan: Plan; loads: TargetLoad[]; findings: Finding[] };

/** A choice that points to nothing on record: the path of it in the choices, and what to do. */
export class UnknownChoice extends MessageError {
  readonly code = 'unknown-choice';

  constructor(
    readonly path: string,
    says: Message,
    readonly remedy: Message,
  ) {
    super(says);
  }
}

/** What is composed, or what stands in for it where choices point to what is not on record any more. */
export function unlessUnknown<Made, Otherwise>(compose: () => Made, otherwise: Otherwise): Made | Otherwise {
  try {
    return compose();
  } catch (error) {
    if (error instanceof UnknownChoice) return otherwise;
    throw error;
  }
}

/**
 * A session from choices and what is on record, with everything the rules find about it (rules SCR-2, SCR-4, FIT-1,
 * FIT-2, LOP-3, LOP-4, LOP-5, PRS-1 to PRS-6, LOAD-1 to LOAD-5, PRO-1, PRO-2).
 * A plan with a hard finding is for showing why, never for running.
 * @throws UnknownChoice when a choice points to a measurement, a test or kit that is not there
 */
export function composeSession(session: SessionChoice, basis: Basis): Composed {
  const resolved = session.exercises.map((choice, place) => resolve(choice, place, basis));
  const place = basis.places.find(({ id }) => id === session.place);
  const plan: Plan = {
    version: PLAN_VERSION,
    goal: session.goal,
    schoolId: session.schoolId,
    exercises: resolved.map(plannedExercise),
    ...(session.rungs ? { rungs: composeRungs(session.rungs, session, basis) } : {}),
    ...(session.sitting ? { sitting: session.sitting } : {}),
    ...(session.deload ? { deload: session.deload } : {}),
    ...(place ? { place } : {}),
  };
  const findings = [
    ...resolved.flatMap((one, exerciseIndex) =>
      checkExercise(one, session.schoolId, basis).map((finding) => ({ ...finding, exerciseIndex })),
    ),
    ...checkSession(resolved, plan, basis),
    ...checkTimeline(compile(plan), plan),
    ...checkPlace(resolved, session, place),
  ];
  return { plan, loads: resolved.map(({ load }) => load), findings };
}

/** The work of the other rungs; what the rules find of it, `composeCourse` says. */
const composeRungs = (
  { limb, rung, others }: NonNullable<SessionChoice['rungs']>,
  session: SessionChoice,
  basis: Basis,
): PlannedRungs => ({
  limb,
  rung,
  signedOn: rung,
  others: others.map((other) => ({
    rung: other.rung,
    exercises: composeSession(workOfRung(session, other), basisOnRung(basis, limb, other.rung)).plan
      .exercises,
  })),
});

/** The work of another rung as a session of its own. */
export const workOfRung = (
  { rungs: _, ...session }: SessionChoice,
  { exercises }: Pick<SessionChoice, 'exercises'>,
): SessionChoice => ({ ...session, exercises });

/** What is on record, once the limb is on a rung. */
export const basisOnRung = (basis: Basis, limb: Limb, rung: Rung): Basis => ({
  ...basis,
  rungs: new Map([...basis.rungs, [limb, rung]]),
});

function resolve(choice: ExerciseChoice, place: number, basis: Basis): Resolved {
  const at = (field: string) => `exercises.${place}.${field}`;
  const exercise = basis.library[choice.exerciseId];
  if (!exercise) {
    throw new UnknownChoice(
      at('exerciseId'),
      msg('This exercise is not in the library.'),
      msg('Choose another.'),
    );
  }
  const straps = choice.limbs.flatMap((worn, index) => {
    if (worn.kind !== 'by-feel') return [];
    const { limb, strapId } = worn;
    const felt = newest(basis.tightness.filter((fact) => fact.limb === limb && fact.strapId === strapId));
    if (felt) return [{ choice: worn, felt }];
    throw new UnknownChoice(
      at(`limbs.${index}.strapId`),
      msg('This strap was not tightened on this limb yet.'),
      msg('Tighten it by feel first.'),
    );
  });
  const limbs = choice.limbs.flatMap((limb, index) => {
    if (limb.kind !== 'measured') return [];
    const occlusion = basis.occlusions.find(({ id }) => id === limb.occlusionId);
    const cuff = occlusion && cuffFor(occlusion, basis);
    if (!occlusion || !cuff) {
      throw new UnknownChoice(
        at(`limbs.${index}.occlusionId`),
        msg('This occlusion pressure is not on record, or its cuff is gone.'),
        msg('Measure the limb.'),
      );
    }
    return [{ choice: limb, occlusion, cuff }];
  });
  const unmeasured = choice.limbs.flatMap((limb, index) => {
    if (limb.kind !== 'arbitrary') return [];
    const cuff = basis.cuffs.find(({ id }) => id === limb.cuffId);
    if (cuff) return [{ choice: limb, cuff }];
    throw new UnknownChoice(
      at(`limbs.${index}.cuffId`),
      msg('This cuff is not in the kit any more.'),
      msg('Fit another first.'),
    );
  });
  const estimate = choice.intensity
    ? estimateOf({ ergometry: exercise.ergometry, intensity: choice.intensity }, basis.fitness)
    : {};
  const { load } = choice;
  if (load.kind === 'unweighed') {
    return {
      choice,
      exercise,
      limbs,
      unmeasured,
      straps,
      test: null,
      kit: null,
      load: withoutKilograms(load.with, basis.weightKits),
      estimate,
    };
  }
  const test = basis.strengthTests.find(({ id }) => id === load.strengthTestId);
  if (!test) {
    throw new UnknownChoice(
      at('load.strengthTestId'),
      msg('This strength test is not on record.'),
      msg('Test first.'),
    );
  }
  const kit = basis.weightKits.find(({ id }) => id === load.weightKitId);
  if (!kit || kit.kind === 'bands') {
    throw new UnknownChoice(
      at('load.weightKitId'),
      kit ? msg('{kit} has no load in kg.', { kit: kit.label }) : msg('These weights are not in the kit.'),
      msg('Choose weights that have.'),
    );
  }
  const serving = serve(test, sideOf(choice.limbs.map(({ limb }) => limb)));
  const target = targetLoad(serving.oneRepMax.value, load.percentOneRepMax, kit);
  return { choice, exercise, limbs, unmeasured, straps, test: serving, kit, load: target, estimate };
}

/** The cuff a pressure is used with: the one that is worn now, if it is as wide as the one it was measured with (FIT-3). */
export function cuffFor(
  occlusion: OcclusionFact,
  { cuffs, fits }: Pick<Basis, 'cuffs' | 'fits'>,
): Cuff | undefined {
  const worn = fitInForce(fits, occlusion.limb);
  const wornCuff = worn?.kind === 'cuff' ? cuffs.find(({ id }) => id === worn.cuffId) : undefined;
  return wornCuff?.widthCm === occlusion.widthCm ? wornCuff : cuffs.find(({ id }) => id === occlusion.cuffId);
}

function plannedExercise({
  choice,
  exercise,
  limbs,
  unmeasured,
  straps,
  test,
  load,
  estimate,
}: Resolved): PlannedExercise {
  const protocol = PROTOCOLS[choice.protocolId];
  return {
    exerciseId: choice.exerciseId,
    label: exercise.label,
    cue: exercise.cue,
    position: choice.position,
    mode: protocol.mode,
    limbs: [
      ...limbs.map((limb) => limbTarget(limb, choice)),
      ...unmeasured.map((limb) => arbitraryTarget(limb, choice)),
      ...straps.map((strap) => strapTarget(strap, choice)),
    ],
    load: plannedLoad(choice, test, load, estimate),
    protocolId: choice.protocolId,
    protocolLabel: protocol.label,
    sets: choice.sets.map(({ work, restMs, release, ofTarget }) => ({
      work,
      lastsMs: workMsOf(work, TEMPOS[choice.tempoId]),
      restMs,
      release,
      ...atShare(ofTarget),
    })),
    ...(choice.intensity ? { intensity: choice.intensity } : {}),
    ...(Object.keys(estimate).length > 0 ? { estimate } : {}),
    ...(choice.primed && choice.priming ? { priming: choice.priming } : {}),
    reinflateLeadMs: protocol.reinflateLeadMs,
    tempoId: choice.tempoId,
    tempo: TEMPOS[choice.tempoId],
    ...(choice.alternates ? { alternates: true as const } : {}),
    ...(choice.movements && choice.movements.length > 0 ? { movements: choice.movements } : {}),
  };
}

function plannedLoad(
  { load: choice, intensity, protocolId }: ExerciseChoice,
  test: ServingTest | null,
  made: TargetLoad,
  estimate: AerobicEstimate,
): PlannedLoad {
  if (choice.kind !== 'weighed' || !test || made.truePercent === null) {
    const works = intensity ? paceWords(intensity, estimate) : made.recipe;
    return {
      kind: 'unweighed',
      recipe: trains(PROTOCOLS[protocolId]) ? works : msg('at rest'),
      ...(choice.kind === 'unweighed' ? { with: choice.with } : {}),
    };
  }
  return {
    kind: 'weighed',
    load: made.load,
    recipe: made.recipe,
    truePercent: made.truePercent,
    testId: test.fact.id,
    testedSide: test.fact.side,
    oneRepMax: test.oneRepMax,
    percentOneRepMax: choice.percentOneRepMax,
    weightKitId: choice.weightKitId,
  };
}

function limbTarget(
  { choice, occlusion, cuff }: Resolved['limbs'][number],
  { position, primed, priming }: Pick<ExerciseChoice, 'position' | 'primed' | 'priming'>,
): MeasuredTarget {
  const moreUpright = uprightness(position, occlusion.position) > 0;
  const { target, trueRange } = targetPressure(
    {
      value: occlusion.pressure.value,
      uncertainty: occlusion.uncertaintyMmHg,
      ...(moreUpright ? { uprightAddsMmHg: UPRIGHT_ADDS_MMHG[limbKind(choice.limb)] } : {}),
    },
    choice.percentLop,
    occlusion.divisionMmHg,
  );
  return {
    kind: 'measured',
    limb: choice.limb,
    occlusionId: occlusion.id,
    cuffId: cuff.id,
    cuffLabel: cuff.label,
    occlusion: occlusion.pressure,
    uncertaintyMmHg: occlusion.uncertaintyMmHg,
    divisionMmHg: occlusion.divisionMmHg,
    measuredPosition: occlusion.position,
    percentLop: choice.percentLop,
    pressure: target,
    trueRange,
    primingMmHg: primed ? primingPressures(target.value, occlusion.divisionMmHg, priming) : [],
  };
}

function arbitraryTarget(
  { choice, cuff }: Resolved['unmeasured'][number],
  { primed, priming }: Pick<ExerciseChoice, 'primed' | 'priming'>,
): ArbitraryTarget {
  const pressureMmHg = roundDownToDivision(choice.pressureMmHg, ARBITRARY_DIVISION_MMHG);
  return {
    kind: 'arbitrary',
    limb: choice.limb,
    cuffId: cuff.id,
    cuffLabel: cuff.label,
    divisionMmHg: ARBITRARY_DIVISION_MMHG,
    pressure: arbitraryPressure(pressureMmHg),
    primingMmHg: primed ? primingPressures(pressureMmHg, ARBITRARY_DIVISION_MMHG, priming) : [],
  };
}

function strapTarget(
  {
    choice,
    felt: { limb, strapId, strapLabel, mark: felt, felt: tightness, ...at },
  }: Resolved['straps'][number],
  { primed }: Pick<ExerciseChoice, 'primed'>,
): FeltTarget {
  const mark = choice.mark ?? felt;
  return {
    kind: 'by-feel',
    limb,
    strapId,
    strapLabel,
    mark,
    felt: tightness,
    ...countedAs({ mark, ...at }),
    ...(choice.mark === undefined ? {} : { isMarkChosen: true as const }),
    ...(primed ? { primingMarks: primingMarks(mark) } : {}),
  };
}

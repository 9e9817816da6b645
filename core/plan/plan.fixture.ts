import { NO_FITNESS } from '../aerobic/fitness';
import type { Cuff } from '../cuff/cuff';
import type { WeightKit } from '../load/weight-kit';
import type { OcclusionFact } from '../occlusion-pressure/fact';
import { libraryOf } from '../protocol/exercises';
import type { ProtocolId } from '../protocol/protocols';
import type { SchoolId } from '../protocol/schools';
import type { TempoId } from '../protocol/tempo';
import type { Limb, Position } from '../quantity/limb';
import { placesOf } from '../quantity/place';
import { MS_PER_DAY } from '../quantity/units';
import { NO_LIMITS } from '../screening/clearance.fixture';
import type { StrengthFact } from '../strength/fact';
import type { Basis, SessionDone } from './basis';
import { type ExerciseChoice, type SessionChoice, setsOf } from './choices';
import { composeSession } from './compose';
import type { Plan } from './plan';
import type { PlannedLoad } from './planned-load';
import type { MeasuredTarget } from './target';

// A person for tests: thighs with an LOP of 174 ± 5, knee extension with a 1RM of 40 kg on the left.

export const testCuff: Cuff = {
  id: 'cuff-l',
  label: 'L thigh 11.5',
  limbKind: 'leg',
  widthCm: 11.5,
  girthLowCm: 50,
  girthHighCm: 75,
  shape: 'contoured',
  bladder: 'single',
  canOcclude: true,
  maxPressureMmHg: 300,
};

export const testKit: WeightKit = {
  kind: 'stack',
  id: 'stack',
  label: 'Leg extension stack',
  lightestKg: 5,
  stepKg: 2.5,
  heaviestKg: 60,
};

export const testOcclusion = (changes: Partial<OcclusionFact> = {}): OcclusionFact => ({
  id: 'lop',
  limb: 'left-thigh',
  position: 'sitting',
  cuffId: 'cuff-l',
  cuffLabel: 'L thigh 11.5',
  widthCm: 11.5,
  girthCm: 54,
  atMs: 0,
  method: 'doppler',
  site: 'posterior-tibial',
  pressure: { value: 174, unit: 'mmHg', working: [], rules: ['LOP-3'] },
  uncertaintyMmHg: 5,
  steady: true,
  trialsUsed: 2,
  trials: [
    { goneMmHg: 180, upMmHg: 10, backMmHg: 172, downMmHg: 4 },
    { goneMmHg: 180, upMmHg: 10, backMmHg: 172, downMmHg: 4 },
  ],
  readingSchool: 'bracket',
  divisionMmHg: 2,
  gaugeErrorMmHg: null,
  quickChecks: [],
  ...changes,
});

export const testStrength = (changes: Partial<StrengthFact> = {}): StrengthFact => ({
  id: 'test',
  exerciseId: 'knee-extension',
  side: 'left',
  atMs: 0,
  oneRepMax: { value: 40, unit: 'kg', working: [], rules: ['LOAD-1'] },
  ...changes,
});

export const testBasis = (changes: Partial<Basis> = {}): Basis => ({
  occlusions: [testOcclusion(), testOcclusion({ id: 'lop-right', limb: 'right-thigh' })],
  strengthTests: [testStrength()],
  nowMs: 0,
  today: Math.floor((changes.nowMs ?? 0) / MS_PER_DAY),
  places: placesOf([]),
  arbitraryUpToMmHg: null,
  fits: [],
  tightness: [],
  cuffs: [testCuff],
  weightKits: [testKit],
  library: libraryOf({}),
  limits: NO_LIMITS,
  due: new Map(),
  procedures: [],
  rungs: new Map(),
  prescriber: 'clinician',
  resting: null,
  oneLimbFirst: [],
  from65: false,
  fitness: NO_FITNESS,
  // Twelve weeks of tolerated training, so that the ramp is over.
  done: trainedWeeks(12),
  ...changes,
});

/** What tests change about the one exercise, said flatly. */
export type TestChoices = {
  limb?: Limb;
  position?: Position;
  exerciseId?: string;
  schoolId?: SchoolId;
  protocolId?: ProtocolId;
  tempoId?: TempoId;
  restMs?: number;
  percentLop?: number;
  percentOneRepMax?: number;
};

export function testExercise(changes: TestChoices = {}, more: Partial<ExerciseChoice> = {}): ExerciseChoice {
  const { protocolId = 'standard-75', restMs = 30_000, limb = 'left-thigh' } = changes;
  return {
    exerciseId: changes.exerciseId ?? 'knee-extension',
    position: changes.position ?? 'sitting',
    limbs: [
      {
        kind: 'measured',
        limb,
        occlusionId: limb === 'right-thigh' ? 'lop-right' : 'lop',
        percentLop: changes.percentLop ?? 60,
      },
    ],
    load: {
      kind: 'weighed',
      strengthTestId: 'test',
      weightKitId: 'stack',
      percentOneRepMax: changes.percentOneRepMax ?? 25,
    },
    protocolId,
    tempoId: changes.tempoId ?? '1-0-1',
    sets: setsOf(protocolId, restMs, 60_000),
    primed: false,
    ...more,
  };
}

export const testSession = (changes: TestChoices = {}): SessionChoice => ({
  goal: 'size',
  schoolId: changes.schoolId ?? 'research-consensus',
  exercises: [testExercise(changes)],
});

export const testPlan = (changes: TestChoices = {}, basis: Partial<Basis> = {}) =>
  composeSession(testSession(changes), testBasis(basis));

/** A measured limb of a plan, by the place of its exercise and its own. @throws where there is none */
export function measuredTarget(plan: Plan, exerciseIndex = 0, limbIndex = 0): MeasuredTarget {
  const target = plan.exercises[exerciseIndex]?.limbs[limbIndex];
  if (target?.kind !== 'measured') throw new Error('The plan has no measured limb there.');
  return target;
}

/** A load in kilograms of a plan. @throws where there is none */
export function weighedLoad(plan: Plan, exerciseIndex = 0): Extract<PlannedLoad, { kind: 'weighed' }> {
  const load = plan.exercises[exerciseIndex]?.load;
  if (load?.kind !== 'weighed') throw new Error('The plan has no load in kilograms there.');
  return load;
}

/** A copy of a plan whose first load counts as another share of 1RM, in %. */
export const withTruePercent = (plan: Plan, truePercent: number): Plan => ({
  ...plan,
  exercises: plan.exercises.map((exercise) =>
    exercise.load.kind === 'weighed' ? { ...exercise, load: { ...exercise.load, truePercent } } : exercise,
  ),
});

/** Weeks of tolerated training of arms and legs up to now (0), one session each. */
export const trainedWeeks = (weeks: number): SessionDone[] =>
  Array.from({ length: weeks }, (_, week) => ({
    atMs: -(week + 1) * 7 * MS_PER_DAY,
    day: -(week + 1) * 7,
    kinds: ['arm', 'leg'],
    tolerated: true,
    worked: [],
  }));

import type { Cuff } from '../cuff/cuff';
import type { WeightKit } from '../load/weight-kit';
import { type Choices, composePlan, type Measurements } from './compose';

// A plan for tests: left thigh, LOP 174 ± 5, knee extension with a 1RM of 40 kg.

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

export const testMeasurements: Measurements = {
  cuff: testCuff,
  occlusion: { value: 174, unit: 'mmHg', working: [], rules: ['LOP-3'] },
  uncertaintyMmHg: 5,
  steady: true,
  measuredPosition: 'sitting',
  oneRepMax: { value: 40, unit: 'kg', working: [], rules: ['LOAD-1'] },
  testedSide: 'left',
  weightKit: testKit,
  massUnit: 'kg',
  gaugeDivisionMmHg: 2,
  limits: { maxPercentLop: null, limbs: null, modes: null, capFrom: null },
};

export const testChoices: Choices = {
  limb: 'left-thigh',
  position: 'sitting',
  exerciseId: 'knee-extension',
  schoolId: 'research-consensus',
  protocolId: 'standard-75',
  tempoId: '1-0-1',
  restMs: 30_000,
  percentLop: 60,
  percentOneRepMax: 25,
};

export const testPlan = (changes: Partial<Choices> = {}, measured: Partial<Measurements> = {}) =>
  composePlan({ ...testChoices, ...changes }, { ...testMeasurements, ...measured });

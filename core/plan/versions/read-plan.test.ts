import { describe, expect, it } from 'vitest';
import { englishOf } from '#language/english-of.fixture';
import { compile } from '../compile';
import { testPlan } from '../plan.fixture';
import { readPlan, readSessionChoice } from './read-plan';

const derived = (value: number, unit: string) => ({ value, unit, working: [], rules: [] });
const target = {
  limb: 'left-thigh',
  occlusionId: 'lop',
  cuffId: 'cuff',
  cuffLabel: 'Cuff',
  occlusion: derived(174, 'mmHg'),
  uncertaintyMmHg: 5,
  measuredPosition: 'sitting',
  percentLop: 60,
  pressure: derived(104, 'mmHg'),
  trueRange: derived(59.8, '%LOP'),
  byFeel: null,
  primingMmHg: [62, 104],
};
const set = { reps: 15, workMs: 30_000, restMs: 30_000, release: false, untilFailure: false };
const exercise = {
  exerciseId: 'knee-extension',
  label: 'Knee extension',
  cue: '',
  position: 'sitting',
  mode: 'resistance',
  protocolId: 'standard-75',
  protocolLabel: 'Standard 75',
  reinflateLeadMs: 0,
  tempoId: '1-0-1',
  tempo: { upMs: 1000, holdMs: 0, downMs: 1000 },
};
// A weighed exercise, one to failure under a strap, and one by the clock without kilograms.
const old = {
  goal: 'size',
  schoolId: 'clinic',
  gaugeDivisionMmHg: 2,
  exercises: [
    {
      ...exercise,
      limbs: [target],
      strength: {
        testId: 'test',
        side: 'left',
        oneRepMax: derived(40, 'kg'),
        percentOneRepMax: 25,
        weightKitId: '',
      },
      load: derived(10, 'kg'),
      loadRecipe: 'pin at 10 kg',
      trueLoadPercent: 25,
      sets: [set, { ...set, untilFailure: true }],
    },
    {
      ...exercise,
      limbs: [{ ...target, occlusionId: '', cuffLabel: 'Strap', byFeel: { strapId: 's', mark: 6, felt: 7 } }],
      strength: null,
      load: derived(0, 'kg'),
      loadRecipe: 'body weight',
      trueLoadPercent: null,
      sets: [{ ...set, reps: 0, workMs: 300_000 }],
    },
  ],
};

describe('plans of older versions', () => {
  it('are read in the shape of now, with nothing standing for none', () => {
    const plan = readPlan(old);
    expect(plan.version).toBe(4);
    expect(englishOf(plan.exercises[0])).toMatchObject({
      limbs: [{ kind: 'measured', divisionMmHg: 2, primingMmHg: [62, 104], pressure: { value: 104 } }],
      load: { kind: 'weighed', truePercent: 25, testedSide: 'left', weightKitId: null },
      sets: [
        { work: { kind: 'reps', reps: 15 } },
        { work: { kind: 'to-failure', pacedTo: 15 }, lastsMs: 30_000 },
      ],
    });
    expect(englishOf(plan.exercises[1])).toMatchObject({
      limbs: [{ kind: 'by-feel', strapId: 's', strapLabel: 'Strap', mark: 6, felt: 7 }],
      load: { kind: 'unweighed', recipe: 'body weight' },
      sets: [{ work: { kind: 'timed', workMs: 300_000 } }],
    });
    expect(compile(plan).sets).toHaveLength(3);
  });

  it('of now are taken as they are, and of a newer release refused in words', () => {
    const { plan } = testPlan();
    expect(readPlan(plan)).toStrictEqual(plan);
    expect(() => readPlan({ ...plan, version: 9 })).toThrow(/newer release: update/);
  });

  it('leave kept sessions usable, and say so when they are not', () => {
    const kept = {
      goal: 'size',
      schoolId: 'clinic',
      exercises: [
        {
          exerciseId: 'knee-extension',
          position: 'sitting',
          limbs: [
            { limb: 'left-thigh', occlusionId: 'lop', percentLop: 60 },
            { limb: 'right-thigh', occlusionId: '', percentLop: 0, strapId: 's' },
          ],
          load: { kind: 'unweighed', with: 'body weight' },
          protocolId: 'standard-75',
          tempoId: '1-0-1',
          sets: [{ ...set, workMs: null }],
          primed: false,
        },
      ],
    };
    expect(readSessionChoice(kept)?.exercises[0]).toMatchObject({
      limbs: [
        { kind: 'measured', percentLop: 60 },
        { kind: 'by-feel', strapId: 's' },
      ],
      sets: [{ work: { kind: 'reps', reps: 15 } }],
    });
    expect(readSessionChoice({ exercises: 'none' })).toBeNull();
    expect(readSessionChoice(null)).toBeNull();
  });
});

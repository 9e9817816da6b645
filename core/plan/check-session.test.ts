import { describe, expect, it } from 'vitest';
import { englishOf } from '#language/english-of.fixture';
import { inEnglish } from '#language/render';
import { type Exercise, exerciseSchema } from '../protocol/exercise';
import { EXERCISES } from '../protocol/exercises';
import type { Limb } from '../quantity/limb';
import { applyFix } from './apply-fix';
import type { Basis, Resolved } from './basis';
import { checkSession, orderRank } from './check-session';
import type { SessionChoice } from './choices';
import { composeSession } from './compose';
import type { Plan, PlannedExercise } from './plan';
import { measuredTarget, testBasis, testExercise, testPlan } from './plan.fixture';
import type { LimbTarget } from './target';

const BASE = testPlan().plan as Plan;
const [PLANNED] = BASE.exercises as [PlannedExercise];
const TARGET = measuredTarget(BASE);

type Passage = {
  restMs?: number;
  release?: boolean;
  limbs?: LimbTarget[];
  label?: string;
  alternates?: true;
};

/** An exercise of two sets, the last of which ends as is said. */
const exercise = ({
  restMs = 60_000,
  release = true,
  limbs = [TARGET],
  label = 'One',
  ...more
}: Passage) => ({
  ...PLANNED,
  label,
  limbs,
  sets: [
    { ...(PLANNED.sets[0] as PlannedExercise['sets'][number]), release: false },
    { ...(PLANNED.sets[0] as PlannedExercise['sets'][number]), restMs, release },
  ],
  ...more,
});
const passages = (...of: Passage[]) => {
  const exercises = of.map((one, place) => exercise({ label: `Exercise ${place + 1}`, ...one }));
  return checkSession([], { ...BASE, exercises }, { oneLimbFirst: [] }).map(
    ({ level, exerciseIndex, message, remedy, fix }) =>
      `${level} ${exerciseIndex}: ${inEnglish(message)} ${inEnglish(remedy)} ${JSON.stringify(fix)}`,
  );
};
const SHARED = /^hard 0: Exercise 1 and Exercise 2 cannot share an inflation/;
const FLOW =
  'note 0: 30 s of free flow before Exercise 2: the occlusion clock goes on counting below 60 s. Let it flow for 60 s. {"set":"release","to":"after-exercise"}';
const other = (changes: object): LimbTarget => ({ ...TARGET, ...changes }) as LimbTarget;
const strap = (limb: Limb): LimbTarget => ({
  kind: 'by-feel',
  limb,
  strapId: 's',
  strapLabel: 'Strap',
  mark: 6,
  felt: 7,
});

describe('passages from one exercise to the next (PRO-1)', () => {
  it('share an inflation only with the same limbs at the same pressure of the same LOP', () => {
    const upInto = (limbs: LimbTarget[], from: LimbTarget[] = [TARGET]) =>
      passages({ release: false, limbs: from }, { limbs });
    expect(upInto([TARGET])).toEqual([]);
    expect(upInto([strap('left-thigh')], [strap('left-thigh')])).toEqual([]);
    const right = other({ limb: 'right-thigh' });
    expect(upInto([TARGET, right], [TARGET, right])).toEqual([]);
    const refused: [LimbTarget[], LimbTarget[]?][] = [
      [[other({ pressure: { ...TARGET.pressure, value: 90 } })]],
      [[other({ occlusionId: 'another' })]],
      [[right]],
      [[TARGET, right]],
      [[TARGET], [TARGET, right]],
      [
        [TARGET, other({ limb: 'right-thigh', occlusionId: 'another' })],
        [TARGET, right],
      ],
      [[strap('left-thigh')]],
      [[TARGET], [strap('left-thigh')]],
      [[other({ primingMmHg: [80] })]],
    ];
    for (const [into, from] of refused) expect(upInto(into, from)).toEqual([expect.stringMatching(SHARED)]);
    expect(upInto([right])[0]).toContain(
      'need the same limbs at the same pressure of the same LOP, and no priming between. Let the cuff down between them. {"set":"release","to":"after-exercise"}',
    );
  });

  it('tell of less free flow than stops the clock, for a limb that goes on', () => {
    expect(passages({ restMs: 60_000 }, {})).toEqual([]);
    expect(passages({ restMs: 30_000 }, {})).toEqual([FLOW]);
    expect(passages({ restMs: 30_000 }, { limbs: [other({ limb: 'right-thigh' })] })).toEqual([]);
    const both = [TARGET, other({ limb: 'right-thigh' })];
    expect(passages({ restMs: 30_000, limbs: both }, {})).toEqual([FLOW]);
    // A rest of a superset is one within an exercise.
    expect(passages({ restMs: 30_000 }, { restMs: 60_000, alternates: true })).toEqual([]);
  });

  it('tell it once for each exercise, each by its place', () => {
    const found = passages({ restMs: 30_000 }, { restMs: 20_000 }, {});
    expect(found.map((words) => words.slice(0, 12))).toEqual(['note 0: 30 s', 'note 1: 20 s']);
  });
});

/** A choice of one exercise, as far as order and number go. */
const chosen = (id: keyof typeof EXERCISES, limbs: Limb[] = ['left-thigh']): Resolved =>
  ({ choice: { limbs: limbs.map((limb) => ({ limb })) }, exercise: EXERCISES[id] }) as unknown as Resolved;
const together = (...resolved: Resolved[]) =>
  checkSession(resolved, { ...BASE, exercises: [] }, { oneLimbFirst: [] }).map(
    ({ subject, exerciseIndex, message, remedy, fix }) =>
      `${subject} ${exerciseIndex}: ${inEnglish(message)} ${inEnglish(remedy)} ${JSON.stringify(fix)}`,
  );
const ofKind = (kind: Exercise['kind'], limbKind: Exercise['limbKind'], muscle?: Exercise['muscle']) => {
  const found = Object.entries(EXERCISES).find(
    ([, one]) =>
      one.kind === kind && one.limbKind === limbKind && (muscle === undefined || one.muscle === muscle),
  );
  if (!found) throw new Error(`No ${kind} exercise of an ${limbKind} is in the library.`);
  return found[0] as keyof typeof EXERCISES;
};

describe('exercises together (PRO)', () => {
  const compound = ofKind('compound', 'leg');
  const isolated = ofKind('isolated', 'leg');
  const armCompound = ofKind('compound', 'arm');

  it('puts compound work of a kind of limb before isolated work of it', () => {
    const label = EXERCISES[compound]?.label;
    const late = `order 1: ${inEnglish(label)} is compound and comes after isolated work. Put compound exercises first. {"set":"order","to":"compound-first"}`;
    expect(together(chosen(isolated), chosen(compound))).toEqual([late]);
    expect(together(chosen(compound), chosen(isolated))).toEqual([]);
    expect(together(chosen(isolated), chosen(armCompound, ['left-arm']))).toEqual([]);
    expect(together(chosen(compound), chosen(compound))).toEqual([]);
    expect(together(chosen(isolated), chosen(isolated))).toEqual([]);
    expect(together(chosen(isolated), chosen(isolated), chosen(compound))[0]).toMatch(/^order 2: /);
  });

  it('ranks compound work first, and more joints before fewer', () => {
    const rank = (kind: Exercise['kind'], joints: number) =>
      orderRank({ ...exerciseSchema.parse(EXERCISES[compound]), kind, joints: Array(joints).fill('knee') });
    expect([rank('compound', 3), rank('compound', 1), rank('functional', 2), rank('isolated', 1)]).toEqual([
      -3, -1, 8, 19,
    ]);
  });

  it('notes more than three for a muscle of one limb, functional ones aside', () => {
    const { muscle } = EXERCISES[isolated] as Exercise;
    const over = `exerciseId 3: More than 3 exercises for the ${muscle} of one leg. One to three and one functional are enough. {"set":"exercise","to":"remove"}`;
    const times = (count: number, limbs?: Limb[]) =>
      Array.from({ length: count }, () => chosen(isolated, limbs));
    expect(together(...times(3))).toEqual([]);
    expect(together(...times(4))).toEqual([over]);
    // A left and a right one are of two limbs; both legs at once are of each.
    expect(together(...times(2), ...times(2, ['right-thigh']))).toEqual([]);
    expect(together(...times(3), ...times(1, ['left-thigh', 'right-thigh']))).toEqual([over]);
    const functional = ofKind('functional', 'leg');
    expect(together(...Array.from({ length: 5 }, () => chosen(functional)))).toEqual([]);
  });
});

describe('one limb first (RUN-8)', () => {
  const limbs = (['lop', 'lop-right'] as const).map((occlusionId, right) => ({
    kind: 'measured' as const,
    limb: right ? ('right-thigh' as const) : ('left-thigh' as const),
    occlusionId,
    percentLop: 60,
  }));
  const session: SessionChoice = {
    goal: 'recovery',
    schoolId: 'research-consensus',
    exercises: [{ ...testExercise(), limbs, load: { kind: 'unweighed', with: 'body weight' } }],
  };
  const found = (choices: SessionChoice, basis: Basis) =>
    composeSession(choices, basis).findings.filter(({ rule }) => rule === 'RUN-8');

  it('is a guard for two legs at once while the blood pressure is watched, and one remedy fixes it', () => {
    const watched = testBasis({ oneLimbFirst: ['leg'] });
    const [finding] = found(session, watched);
    expect(englishOf(finding)).toMatchObject({ level: 'guard', subject: 'limbs', exerciseIndex: 0 });
    if (!finding) throw new Error('No finding.');
    const fixed = applyFix(session, finding, watched);
    expect(fixed.exercises[0]?.limbs).toHaveLength(1);
    expect(found(fixed, watched)).toEqual([]);
    expect(found(session, testBasis({ oneLimbFirst: ['arm'] }))).toEqual([]);
  });
});

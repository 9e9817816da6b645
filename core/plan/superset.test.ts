import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { englishOf } from '#language/english-of.fixture';
import { inEnglish } from '#language/render';
import { applyFix } from './apply-fix';
import { type ExerciseChoice, type SessionChoice, setsOf } from './choices';
import { choicesOf } from './choices-of';
import { compile } from './compile';
import { composeSession } from './compose';
import { doseOf } from './dose';
import { testBasis, testExercise } from './plan.fixture';
import { planChanges } from './plan-changes';
import { isInSuperset, setOrder } from './set-order';
import { alternate, keepSupersets } from './superset';
import { fitTemplate } from './template';

const S = 1000;
const basis = testBasis();
const quick = setsOf('quick-pair', 30_000, 60_000);
const knee = testExercise({}, { sets: quick });
const press = testExercise(
  { exerciseId: 'leg-press' },
  { sets: quick, load: { kind: 'unweighed', with: 'body weight' } },
);
const right = testExercise(
  { exerciseId: 'leg-press', limb: 'right-thigh' },
  { sets: quick, load: { kind: 'unweighed', with: 'body weight' } },
);

const session = (...exercises: ExerciseChoice[]): SessionChoice => ({
  goal: 'size',
  schoolId: 'research-consensus',
  exercises,
});
const superset = (...exercises: ExerciseChoice[]) => alternate(session(...exercises), 1, true);
const orderOf = (one: SessionChoice) =>
  compile(composeSession(one, basis).plan).sets.map(
    ({ exerciseIndex, setIndex }) => `${'AB C'[exerciseIndex]}${setIndex + 1}`,
  );
const inflated = (one: SessionChoice) =>
  compile(composeSession(one, basis).plan).lanes.map(({ limb, inflations }) => [
    limb,
    ...inflations.map(({ fromMs, toMs }) => [fromMs / S, toMs / S]),
  ]);

describe('a superset', () => {
  it('are done set by set, the longer one going on alone', () => {
    expect(orderOf(session(press, knee))).toEqual(['A1', 'A2', 'B1', 'B2']);
    expect(orderOf(superset(press, knee))).toEqual(['A1', 'B1', 'A2', 'B2']);
    const longer = { ...press, sets: [...quick, ...quick] };
    expect(orderOf(superset(longer, knee))).toEqual(['A1', 'B1', 'A2', 'B2', 'A3', 'A4']);
  });

  it('share one inflation on one limb: the clock counts on through both, as worked by hand', () => {
    const one = superset(press, knee);
    const { plan, findings } = composeSession(one, basis);
    expect(findings.filter(({ level }) => level === 'hard')).toEqual([]);
    // 20 s settling; 30 and 20 repetitions of 2 s of each, 30 s between the sets: 20 + 60+30 + 60+30 + 40+30 + 40.
    expect(inflated(one)).toEqual([['left-thigh', [0, 310]]]);
    expect(doseOf(compile(plan)).occludedMs).toBe(310 * S);
    expect(isInSuperset(plan, 0)).toBe(true);
  });

  it('let each cuff down for the set of the other limb, both never up at once', () => {
    const one = superset(press, right);
    expect(composeSession(one, basis).findings.filter(({ level }) => level === 'hard')).toEqual([]);
    // A settles 20 s, works 60, rests 30; B settles 20, works 60, rests 30; then A is brought up as its rest ends.
    expect(inflated(one)).toEqual([
      ['left-thigh', [0, 80], [220, 260]],
      ['right-thigh', [110, 190], [290, 330]],
    ]);
  });

  it('are refused where a cuff stays up and cannot serve both, and one remedy lets it down', () => {
    const one = superset(press, { ...right, sets: quick });
    const up = {
      ...one,
      exercises: one.exercises.map((choice) => ({
        ...choice,
        sets: choice.sets.map((set) => ({ ...set, release: false })),
      })),
    };
    const [finding, ...more] = composeSession(up, basis).findings.filter(({ level }) => level === 'hard');
    expect(englishOf(finding)).toMatchObject({ rule: 'PRO-1', subject: 'release' });
    expect(more.map(({ exerciseIndex }) => exerciseIndex)).toEqual([1]);
    const fixed = composeSession(applyFix(up, finding ?? expect.unreachable(), basis), basis);
    expect(fixed.findings.filter(({ level }) => level === 'hard')).toEqual([]);
  });

  it('lead out of the first one again when they no longer alternate', () => {
    const back = alternate(superset(press, knee), 1, false);
    expect(orderOf(back)).toEqual(['A1', 'A2', 'B1', 'B2']);
    expect(back.exercises[0]?.sets.at(-1)).toMatchObject({ release: true, restMs: 60_000 });
    expect(back.exercises.some((choice) => 'alternates' in choice)).toBe(false);
  });

  it('go on alternating only with the one they were with, when others are moved or left out', () => {
    const one = alternate(session(right, press, knee), 2, true);
    const [a, b, c] = one.exercises as [ExerciseChoice, ExerciseChoice, ExerciseChoice];
    const supersets = (...exercises: ExerciseChoice[]) =>
      keepSupersets(one.exercises, { ...one, exercises }).exercises.map(
        (choice) => choice.alternates ?? false,
      );
    expect(supersets(b, c, a)).toEqual([false, true, false]);
    expect(supersets(a, c)).toEqual([false, false]);
    expect(supersets(b, a, c)).toEqual([false, false, false]);
  });

  it('come back from a signed plan and from a template, and a version says so', () => {
    const plan = composeSession(superset(press, knee), basis).plan;
    expect(choicesOf(plan).exercises[1]?.alternates).toBe(true);
    expect(fitTemplate(choicesOf(plan), basis).session?.exercises[1]?.alternates).toBe(true);
    const unmeasured = testBasis({
      occlusions: basis.occlusions.filter(({ limb }) => limb === 'left-thigh'),
    });
    expect(
      fitTemplate(alternate(session(right, knee), 1, true), unmeasured).session?.exercises,
    ).toMatchObject([{ exerciseId: 'knee-extension' }]);
    expect(
      planChanges(composeSession(session(press, knee), basis).plan, plan)
        .map(inEnglish)
        .join(),
    ).toContain('after the one before → alternating');
  });

  it('lose no set and double none, however many alternate', () => {
    const shape = fc.record({
      alternates: fc.constantFrom(true as const, undefined),
      sets: fc.array(fc.nat(), { minLength: 1, maxLength: 5 }),
    });
    fc.assert(
      fc.property(fc.array(shape, { minLength: 1, maxLength: 6 }), (exercises) => {
        const order = setOrder({ exercises });
        const keys = order.map(({ exerciseIndex, setIndex }) => `${exerciseIndex}.${setIndex}`);
        expect(new Set(keys).size).toBe(keys.length);
        expect(keys.length).toBe(exercises.reduce((sum, { sets }) => sum + sets.length, 0));
        for (const [index, { sets }] of exercises.entries()) {
          const own = order
            .filter(({ exerciseIndex }) => exerciseIndex === index)
            .map(({ setIndex }) => setIndex);
          expect(own).toEqual([...sets.keys()]);
        }
      }),
    );
  });
});

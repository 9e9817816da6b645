import { describe, expect, it } from 'vitest';
import { englishOf } from '#language/english-of.fixture';
import { inEnglish } from '#language/render';
import type { WeightKit } from '../../load/weight-kit';
import { PROTOCOLS } from '../../protocol/data/protocols';
import { EXERCISES, type Library } from '../../protocol/exercises';
import { clearedAlone, limited } from '../../screening/clearance.fixture';
import type { Basis } from '../basis';
import type { SessionChoice } from '../choices';
import { testBasis, testExercise, testKit, testOcclusion, testSession, testStrength } from '../plan.fixture';
import { draftSession } from './draft-session';
import { testWish as wish } from './draft-wish.fixture';
import { fixAll } from './fix-all';
import type { DraftWish } from './wish';
import { bestKit } from './work';

const draft = (changes: Partial<DraftWish> = {}, basis: Partial<Basis> = {}) =>
  draftSession(wish(changes), testBasis(basis));
const names = (changes: Partial<DraftWish> = {}, basis: Partial<Basis> = {}) =>
  draft(changes, basis).session?.exercises.map(({ exerciseId }) => exerciseId) ?? [];
const why = (changes: Partial<DraftWish> = {}, basis: Partial<Basis> = {}) => {
  const { session, notes } = draft(changes, basis);
  expect(session).toBeNull();
  return notes.at(-1);
};
const everyPosition = {
  occlusions: (['lying', 'sitting', 'standing'] as const).map((position) =>
    testOcclusion({ id: position, position }),
  ),
};
const strapped: Partial<Basis> = {
  occlusions: [],
  tightness: [{ id: 't', atMs: 0, limb: 'left-thigh', strapId: 's', strapLabel: 'Strap', mark: 5, felt: 7 }],
} as unknown as Partial<Basis>;

describe('why there can be no draft', () => {
  it('is said before anything is chosen', () => {
    expect(englishOf(why({ limbs: [] }))).toBe('Choose a limb.');
    expect(englishOf(why({ limbs: ['left-arm'] }))).toBe(
      'Left arm: measure its occlusion pressure first (LOP-4).',
    );
    expect(englishOf(why({}, { limits: clearedAlone('right-thigh') }))).toBe(
      'Left thigh is not cleared (SCR-2).',
    );
    expect(draft({}, { limits: clearedAlone('left-thigh') }).session).not.toBeNull();
    expect(englishOf(why({}, { limits: limited({ modes: ['passive'] }, ['left-thigh']) }))).toBe(
      'The clearance does not allow resistance work (SCR-2).',
    );
    expect(englishOf(why({ goal: 'rehab', rung: 'passive' }, strapped))).toBe(
      'Passive cycles need a pressure, and a strap has none (TIGHT).',
    );
    expect(
      englishOf(
        why({}, { ...strapped, limits: limited({ maxPercentLop: 50, capFrom: 'Dr Ash' }, ['left-thigh']) }),
      ),
    ).toBe('A cap on the pressure cannot be kept by a strap (SCR-2).');
    const coach = { prescriber: 'coach' } as const;
    expect(englishOf(why({ goal: 'rehab', rung: 'passive' }, coach))).toBe(
      'Passive work is prescribed by a clinician (SCR-4).',
    );
    expect(englishOf(why({}, { ...coach, procedures: [{ limb: 'left-thigh', atMs: 0 }] }))).toBe(
      'Post-operative work is prescribed by a clinician (SCR-4).',
    );
    expect(draft({}, coach).session).not.toBeNull();
    // A strap on one of two limbs is enough.
    const mixed = { ...strapped, occlusions: [testOcclusion({ limb: 'right-thigh' })] };
    expect(
      englishOf(
        why(
          { limbs: ['left-thigh', 'right-thigh'] },
          { ...mixed, limits: limited({ maxPercentLop: 50 }, ['left-thigh']) },
        ),
      ),
    ).toMatch(/cannot be kept by a strap/);
  });
});

describe('which exercises are drafted', () => {
  const tests = (...ids: string[]) => ({
    strengthTests: ids.map((exerciseId, at) => testStrength({ id: `t${at}`, exerciseId, side: 'left' })),
  });
  const kits = { weightKits: [testKit, { ...testKit, id: 'other', label: 'Other stack' }] };

  it('of those that were tested for a goal of tests, compound first; of the others where none was', () => {
    expect(names({}, { ...kits, ...tests('knee-extension', 'leg-curl-seated') })).toEqual([
      'knee-extension',
      'leg-curl-seated',
    ]);
    expect(names({}, { ...kits, ...tests() }).length).toBeGreaterThan(0);
    // What was carried over goes on, where nothing was tested.
    const carried = [
      {
        exerciseId: 'leg-curl-standing',
        limbs: ['left-thigh'],
        percentLop: { 'left-thigh': 55 },
        percentOneRepMax: 25,
        restMs: 45_000,
      },
    ] as unknown as DraftWish['carried'];
    const goesOn = draft({ carried }, { ...kits, ...tests() }).session?.exercises;
    expect(goesOn?.find(({ exerciseId }) => exerciseId === 'leg-curl-standing')).toMatchObject({
      exerciseId: 'leg-curl-standing',
      limbs: [{ percentLop: 55 }],
      sets: [{ restMs: 45_000 }, {}, {}, {}],
    });
  });

  it('prefer the position that was measured', () => {
    const lying = { occlusions: [testOcclusion({ position: 'lying' })], strengthTests: [] };
    const { session } = draft({}, lying);
    expect(session?.exercises.map(({ position }) => position)).toContain('lying');
  });

  it('are isolated alone where that is asked, of the rung for rehabilitation, and of the kind of limb', () => {
    const kindsOf = (ids: string[]) => new Set(ids.map((id) => (EXERCISES as Library)[id]?.kind));
    expect(kindsOf(names({ isolatedOnly: true }, tests()))).toEqual(new Set(['isolated']));
    for (const rung of ['isometric', 'unloaded', 'loaded'] as const) {
      const drafted = names({ goal: 'rehab', rung }, { ...tests(), ...everyPosition });
      expect(new Set(drafted.map((id) => (EXERCISES as Library)[id]?.rung))).toEqual(new Set([rung]));
      expect(drafted.every((id) => (EXERCISES as Library)[id]?.limbKind === 'leg')).toBe(true);
    }
    expect(new Set(names({ goal: 'rehab', rung: 'passive' }, tests()))).toEqual(
      new Set(['passive-cuff-leg']),
    );
  });

  it('an isometric hold is paced by its own tempo', () => {
    const { session } = draft({ goal: 'rehab', rung: 'isometric' }, { ...tests(), ...everyPosition });
    expect(new Set(session?.exercises.map(({ tempoId }) => tempoId))).toEqual(new Set(['1-5-1']));
    const usual = draft({}, tests()).session?.exercises[0];
    expect(usual?.tempoId).toBe(PROTOCOLS[usual?.protocolId ?? 'standard-75'].tempos[0]);
    expect(usual?.primed).toBe(false);
  });
});

describe('two limbs', () => {
  const both = (changes: Partial<DraftWish>, side: 'left' | 'both') =>
    draft(
      { limbs: ['left-thigh', 'right-thigh'], ...changes },
      { strengthTests: [testStrength({ side, exerciseId: 'knee-extension' })] },
    )
      .session?.exercises.filter(({ exerciseId }) => exerciseId === 'knee-extension')
      .map(({ limbs }) => limbs.length);

  it('lift together where that is wished and both were tested together, else one after the other', () => {
    expect(both({ together: true }, 'both')).toEqual([2]);
    expect(both({ together: false }, 'both')).toEqual([1, 1]);
    expect(both({ together: true }, 'left')).toEqual([1, 1]);
  });

  it('carry over what they did themselves, and the other side’s where they did none', () => {
    const carried = [
      {
        exerciseId: 'knee-extension',
        limbs: ['left-thigh'],
        percentLop: { 'left-thigh': 50 },
        percentOneRepMax: 25,
        restMs: 30_000,
      },
      {
        exerciseId: 'knee-extension',
        limbs: ['right-thigh'],
        percentLop: { 'right-thigh': 55 },
        percentOneRepMax: 25,
        restMs: 30_000,
      },
    ] as unknown as DraftWish['carried'];
    const shares = (of: DraftWish['carried']) =>
      draft({ limbs: ['left-thigh', 'right-thigh'], carried: of }).session?.exercises.flatMap(({ limbs }) =>
        limbs.map((limb) => (limb.kind === 'measured' ? limb.percentLop : null)),
      );
    expect(shares(carried)).toEqual([50, 55]);
    expect(shares(carried.slice(0, 1))).toEqual([50, 50]);
    expect(shares(carried.slice(1))).toEqual([55, 55]);
  });
});

describe('what a draft says beside it', () => {
  it('primes the first inflation of each limb of a newcomer, once, and never passive work', () => {
    const { session, notes } = draft(
      { newcomer: true, limbs: ['left-thigh', 'right-thigh'] },
      { strengthTests: [testStrength(), testStrength({ id: 'curl', exerciseId: 'leg-curl-seated' })] },
    );
    expect(englishOf(notes)).toContain('Newcomer: the first inflation of each limb is primed (PRS-6).');
    const seen = new Set<string>();
    for (const { limbs, primed } of session?.exercises ?? []) {
      expect(primed).toBe(limbs.every(({ limb }) => !seen.has(limb)));
      for (const { limb } of limbs) seen.add(limb);
    }
    expect(session?.exercises.some(({ primed }) => primed)).toBe(true);
    expect(session?.exercises.some(({ primed }) => !primed)).toBe(true);
    const passive = draft({ newcomer: true, goal: 'passive' }).notes;
    expect(passive.map(inEnglish).join()).not.toContain('primed');
    expect(draft().notes.map(inEnglish).join()).not.toContain('Newcomer');
  });

  it('notes the build-up after an operation, of passive work on that limb alone', () => {
    const words =
      'After an operation: 40 mmHg under the training pressure, 10 more each day until it is reached (PRS-4).';
    const operated = (limb: 'left-thigh' | 'right-thigh') => ({
      procedures: [{ limb, atMs: 0 }],
      rungs: new Map([['left-thigh', 'unloaded']]) as Basis['rungs'],
    });
    const notes = (changes: Partial<DraftWish>, basis: Partial<Basis>) => draft(changes, basis).notes;
    expect(englishOf(notes({ goal: 'rehab', rung: 'passive' }, operated('left-thigh')))).toContain(words);
    expect(englishOf(notes({ goal: 'rehab', rung: 'passive' }, operated('right-thigh')))).not.toContain(
      words,
    );
    expect(englishOf(notes({ goal: 'rehab', rung: 'unloaded' }, operated('left-thigh')))).not.toContain(
      words,
    );
  });
});

describe('the kit of a draft (LOAD-4)', () => {
  const stack = (id: string, lightestKg: number, stepKg: number) =>
    ({ ...testKit, id, label: id, lightestKg, stepKg }) as WeightKit;

  it('comes closest under the target, of the kind that suits, and never above the guard', () => {
    // 25 % of 40 kg is 10 kg.
    expect(bestKit('stack', 40, 25, [stack('rough', 6, 6), stack('fine', 9, 9)])?.id).toBe('fine');
    expect(bestKit('stack', 40, 25, [stack('fine', 9, 9), stack('rough', 6, 6)])?.id).toBe('fine');
    expect(bestKit('stack', 40, 25, [stack('heavy', 20, 5), stack('light', 5, 5)])?.id).toBe('light');
    expect(bestKit('stack', 40, 25, [stack('heavy', 20, 5)])).toBeUndefined();
    // Exactly at the guard, 40 % of 1RM, it may still be made.
    expect(bestKit('stack', 40, 25, [stack('at the guard', 16, 5)])?.id).toBe('at the guard');
    expect(bestKit('dumbbells', 40, 25, [stack('fine', 9, 9)])).toBeUndefined();
    expect(bestKit('stack', 40, 25, [])).toBeUndefined();
  });

  it('leaves an exercise out that it cannot make light enough, and resists otherwise as the exercise does', () => {
    const heavy = { weightKits: [stack('heavy', 30, 5)] };
    expect(englishOf(draft({}, heavy).notes)).toContain(
      'Knee extension: nothing in the kit makes a load light enough (LOAD-4).',
    );
    const bands: WeightKit = { kind: 'bands', id: 'b', label: 'Bands', names: ['yellow', 'red'] };
    const resists = (equipment: string, weightKits: WeightKit[]) => {
      const { session } = draft(
        { goal: 'rehab', rung: 'loaded' },
        { weightKits, strengthTests: [], library: only(equipment) },
      );
      const [first] = session?.exercises ?? [];
      return first?.load;
    };
    expect(resists('bands', [testKit, bands])).toEqual({ kind: 'unweighed', with: 'yellow' });
    // A band exercise without a band is none either.
    expect(resists('bands', [testKit])).toBeUndefined();
    expect(resists('body-weight', [bands])).toEqual({ kind: 'unweighed', with: 'body weight' });
    expect(resists('none', [bands])).toEqual({ kind: 'unweighed', with: 'limb weight only' });
    expect(resists('ankle-weights', [testKit])).toEqual({ kind: 'unweighed', with: 'limb weight only' });
    // A stack at limb weight is no exercise.
    expect(resists('stack', [testKit])).toBeUndefined();
    expect(resists('bar', [testKit])).toBeUndefined();
  });
});

/** A library of one exercise of the loaded rung, with some equipment. */
const only = (equipment: string): Library =>
  ({ one: { ...EXERCISES['knee-extension'], equipment, rung: 'loaded', position: 'sitting' } }) as Library;

describe('a session that its own checks would refuse', () => {
  const basis = testBasis();
  const fixed = (session: SessionChoice, over = basis) => fixAll(session, over);

  it('is fixed by the remedies of the rules, or said what cannot be', () => {
    expect(englishOf(fixed(testSession()))).toEqual(testSession());
    const capped = testBasis({ limits: limited({ maxPercentLop: 40, capFrom: 'Dr Ash' }) });
    const lowered = fixed(testSession(), capped);
    expect(englishOf(lowered)).toMatchObject({ exercises: [{ limbs: [{ percentLop: 40 }] }] });
    const barred = testBasis({ limits: clearedAlone('right-thigh') });
    expect(englishOf(fixed(testSession(), barred))).toBe(
      'Left thigh: the clearances on record do not speak of it.',
    );
    // Taking the exercise away is no remedy of a draft.
    const twice = { ...testSession(), exercises: [testExercise(), testExercise()] };
    expect(typeof fixed(twice)).toBe('object');
  });
});

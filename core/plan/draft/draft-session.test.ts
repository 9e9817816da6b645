import { describe, expect, it } from 'vitest';
import { englishOf } from '#language/english-of.fixture';
import { inEnglish } from '#language/render';
import { hardFindings } from '../../findings/finding';
import { EXERCISES } from '../../protocol/exercises';
import { carryOver, loweredTo } from '../../review/carry-over';
import { nextSession } from '../../review/next-session';
import { limited } from '../../screening/clearance.fixture';
import { type SessionChoice, setsOf } from '../choices';
import { composeSession } from '../compose';
import { goalIdSchema } from '../goals';
import {
  measuredTarget,
  testBasis,
  testCuff,
  testExercise,
  testKit,
  testOcclusion,
  testPlan,
  testSession,
  testStrength,
  weighedLoad,
} from '../plan.fixture';
import { fitTemplate } from '../template';
import { draftSession } from './draft-session';
import { testWish as wish } from './draft-wish.fixture';
import type { DraftWish } from './wish';

const DAY = 86_400_000;

const basis = testBasis({
  strengthTests: [testStrength(), testStrength({ id: 'press', exerciseId: 'leg-press', side: 'both' })],
});
const names = (changes: Partial<DraftWish>, over = basis) =>
  draftSession(wish(changes), over).session?.exercises.map(({ exerciseId }) => exerciseId);

describe('the first draft of a session', () => {
  it('takes the tested exercises, compound first, at the share of the week', () => {
    const { session } = draftSession(wish(), basis);
    expect(session?.exercises.map(({ exerciseId }) => exerciseId)).toEqual(['leg-press', 'knee-extension']);
    expect(session?.exercises[0]?.limbs).toEqual([
      { kind: 'measured', limb: 'left-thigh', occlusionId: 'lop', percentLop: 60 },
    ]);
    expect(session?.exercises[0]?.load).toMatchObject({ weightKitId: 'stack', percentOneRepMax: 25 });
  });

  it('does a pair of limbs at once where the exercise allows it, or one after the other', () => {
    const limbs = ['left-thigh', 'right-thigh'] as const;
    const at = (together: boolean) =>
      draftSession(wish({ limbs: [...limbs], together }), basis).session?.exercises.map((choice) =>
        choice.limbs.map(({ limb }) => limb),
      );
    // The press was tested with both; of the extension only one side was, which never loads two (LOAD-3).
    expect(at(true)).toEqual([[...limbs], ['left-thigh'], ['right-thigh']]);
    expect(at(false)).toEqual([['left-thigh'], ['right-thigh'], ['left-thigh'], ['right-thigh']]);
  });

  it('primes a newcomer once a limb', () => {
    const curl = testStrength({ id: 'curl', exerciseId: 'leg-curl-seated' });
    const fresh = testBasis({ ...basis, strengthTests: [testStrength(), curl], done: [] });
    const { session } = draftSession(wish({ newcomer: true }), fresh);
    expect(session?.exercises.map(({ primed }) => primed)).toEqual([true, false]);
    expect(session?.exercises[0]?.limbs[0]).toMatchObject({ percentLop: 40 });
  });

  it('drafts legs and then arms where both are asked for (PRO-2)', () => {
    const arm = {
      limb: 'left-arm' as const,
      id: 'lop-arm',
      cuffId: 'cuff-a',
      widthCm: 8,
      girthCm: 30,
    };
    const both = testBasis({
      occlusions: [testOcclusion(), testOcclusion(arm)],
      strengthTests: [testStrength(), testStrength({ id: 'arm', exerciseId: 'elbow-flexion' })],
      cuffs: [
        testCuff,
        { ...testCuff, id: 'cuff-a', limbKind: 'arm', widthCm: 8, girthLowCm: 20, girthHighCm: 40 },
      ],
      weightKits: [
        testKit,
        { kind: 'single-masses', id: 'dumbbells', label: 'Dumbbells', massesKg: [2, 4, 6, 8] },
      ],
    });
    const drafted = draftSession(wish({ limbs: ['left-arm', 'left-thigh'] }), both).session;
    const limbs = drafted?.exercises.map((choice) => choice.limbs[0]?.limb);
    expect(limbs?.[0]).toBe('left-thigh');
    expect(limbs?.at(-1)).toBe('left-arm');
    expect(hardFindings(composeSession(drafted as SessionChoice, both).findings)).toEqual([]);
  });

  it('makes each goal of its own kind of work', () => {
    expect(names({ goal: 'passive' })).toEqual(['passive-cuff-leg']);
    expect(names({ goal: 'aerobic' })).toHaveLength(1);
    expect(names({ goal: 'recovery' })).toHaveLength(3);
    // Isometric work is done lying; a pressure measured sitting would be too high for it (LOP-5).
    expect(names({ goal: 'rehab', rung: 'isometric' })).toBeUndefined();
    const lying = testBasis({ occlusions: [testOcclusion({ position: 'lying' })] });
    expect(names({ goal: 'rehab', rung: 'isometric' }, lying)).toContain('quad-set');
  });

  it('keeps to isolated exercises in the first month (PRO-6)', () => {
    expect(names({ isolatedOnly: true })).toEqual(['knee-extension']);
  });

  it('builds passive pressure up again after an operation (PRS-4)', () => {
    const passive = {
      exerciseId: 'passive-cuff-leg',
      limbs: ['left-thigh' as const],
      mode: 'passive' as const,
    };
    const onDay = (days: number) => {
      const operated = testBasis({
        procedures: [{ limb: 'left-thigh', atMs: -20 * DAY }],
        done: [{ atMs: -days * DAY, day: -days, kinds: [], tolerated: true, worked: [passive] }],
      });
      const { session } = draftSession(wish({ goal: 'passive' }), operated);
      return session ? measuredTarget(composeSession(session, operated).plan).pressure.value : null;
    };
    // 80 % of 174 is 139: 99, 109, 119, 129, 139, each down to a whole share of LOP and to the gauge.
    expect([0, 1, 2, 3, 4, 9].map(onDay)).toEqual([98, 108, 118, 128, 138, 138]);
  });

  it('says why there is none: not measured, not cleared, not a coach’s work', () => {
    const why = (changes: Partial<DraftWish>, over = basis) => draftSession(wish(changes), over);
    expect(englishOf(why({ limbs: ['left-arm'] }))).toMatchObject({ session: null, notes: [/measure/] });
    const coach = testBasis({ prescriber: 'coach' });
    expect(englishOf(why({ goal: 'passive' }, coach).notes[0])).toContain('SCR-4');
    const cleared = testBasis({ limits: limited({ modes: ['recovery'] }) });
    expect(englishOf(why({}, cleared).notes[0])).toContain('SCR-2');
  });

  it('carries the accepted review over: points of pressure, a step of load, rest', () => {
    const { plan } = testPlan({ percentLop: 50 });
    const carried = carryOver(plan, [{ pressurePoints: 5, loadSteps: 1, restMs: 45_000 }], [testKit]);
    const { session } = draftSession(wish({ carried }), basis);
    const extension = session?.exercises.find(({ exerciseId }) => exerciseId === 'knee-extension');
    expect(extension?.limbs[0]).toMatchObject({ percentLop: 55 });
    expect(extension?.sets[0]?.restMs).toBe(45_000);
    expect(session && weighedLoad(composeSession(session, basis).plan, 1).load.value).toBe(12.5);
    const held = carryOver(plan, [{}], [testKit])[0];
    expect(held).toMatchObject({ percentLop: { 'left-thigh': 50 }, percentOneRepMax: 25 });
  });
});

describe('a draft without a 1RM (LOAD-5)', () => {
  const untested = testBasis({ strengthTests: [] });

  it('proposes work that needs none, and says so', () => {
    const { session, notes } = draftSession(wish({ goal: 'size' }), untested);
    const loads = session?.exercises.map(({ exerciseId }) => EXERCISES[exerciseId as 'leg-press'].equipment);
    expect(loads?.length).toBeGreaterThan(0);
    expect(loads).not.toContain('stack');
    expect(englishOf(notes.at(-1))).toBe(
      'Without a 1RM there is only work that needs none: test one, or check 30 repetitions (LOAD-5).',
    );
    expect(
      draftSession(wish({ goal: 'size' }), basis)
        .notes.map(inEnglish)
        .join(' '),
    ).not.toContain('LOAD-5');
  });

  it('goes on with what was trained so', () => {
    const { plan } = composeSession(
      {
        ...testSession(),
        exercises: [testExercise({}, { load: { kind: 'unweighed', with: 'limb weight only' } })],
      },
      untested,
    );
    const carried = carryOver(plan, [{}], [testKit]);
    const { session } = draftSession(wish({ goal: 'size', carried }), untested);
    expect(session?.exercises.map(({ exerciseId }) => exerciseId)).toContain('knee-extension');
  });
});

describe('a template', () => {
  const template = { ...testSession(), exercises: [testExercise({ percentLop: 75 })] };

  it('takes this person’s own pressure and test, and comes down to what is cleared', () => {
    const mine = testBasis({
      occlusions: [testOcclusion({ id: 'mine' })],
      strengthTests: [testStrength({ id: 'own-test' })],
      limits: limited({ maxPercentLop: 60, capFrom: 'Dr Test' }),
    });
    const { session } = fitTemplate(template, mine);
    expect(session?.exercises[0]?.limbs).toEqual([
      { kind: 'measured', limb: 'left-thigh', occlusionId: 'mine', percentLop: 60 },
    ]);
    expect(session?.exercises[0]?.load).toMatchObject({ strengthTestId: 'own-test' });
  });

  it('says what it cannot take over', () => {
    expect(englishOf(fitTemplate(template, testBasis({ occlusions: [] })))).toMatchObject({ session: null });
    const untested = fitTemplate(template, testBasis({ strengthTests: [] }));
    expect(untested.session?.exercises[0]?.load).toEqual({ kind: 'unweighed', with: 'limb weight only' });
    expect(englishOf(untested.notes[0])).toContain('no strength test');
  });
});

describe('the next session after a plan', () => {
  it('keeps what each side did of one exercise', () => {
    const each = (['left-thigh', 'right-thigh'] as const).map((limb, place) => ({
      exerciseId: 'knee-extension',
      limbs: [limb],
      percentLop: { [limb]: 50 - 5 * place },
      percentOneRepMax: 25,
      restMs: 30_000 + 15_000 * place,
      protocolId: 'standard-75' as const,
      sets: setsOf('standard-75', 30_000 + 15_000 * place, 60_000),
      intensity: null,
    }));
    const over = testBasis({ strengthTests: [testStrength(), testStrength({ id: 'r', side: 'right' })] });
    const drafted = draftSession(wish({ limbs: ['left-thigh', 'right-thigh'], carried: each }), over).session;
    expect(
      drafted?.exercises.map(({ limbs, sets }) => [
        limbs[0]?.kind === 'measured' && limbs[0].percentLop,
        sets[0]?.restMs,
      ]),
    ).toEqual([
      [50, 30_000],
      [45, 45_000],
    ]);
  });

  it('stays under what a review lowered a limb to, whatever is drafted again', () => {
    const { plan } = testPlan({ percentLop: 50 });
    const lowered = loweredTo(plan, [{ pressurePoints: -20 }]);
    for (const goal of goalIdSchema.options) {
      const drafted = draftSession(wish({ goal, lowered }), basis).session?.exercises ?? [];
      const percents = drafted.flatMap(({ limbs }) =>
        limbs.map((limb) => (limb.kind === 'measured' ? limb.percentLop : 0)),
      );
      expect(Math.max(0, ...percents)).toBeLessThanOrEqual(30);
    }
  });

  it('is the same again when nothing changed, and takes up a review and a new test', () => {
    const { plan } = testPlan({ percentLop: 50 });
    const same = nextSession(plan, [], basis).session;
    expect(same && composeSession(same, basis).plan).toEqual(plan);
    const changed = nextSession(plan, [{ pressurePoints: 5, loadSteps: -1, restMs: 45_000 }], basis).session;
    const [exercise] = changed ? composeSession(changed, basis).plan.exercises : [];
    expect(englishOf(exercise?.limbs[0])).toMatchObject({ percentLop: 55 });
    expect(englishOf(exercise?.load)).toMatchObject({ load: { value: 7.5 } });
    expect(exercise?.sets.map(({ restMs }) => restMs)).toEqual([45_000, 45_000, 45_000, 60_000]);
    const newcomer = testBasis({ done: [] });
    expect(nextSession(plan, [], newcomer).session?.exercises[0]?.limbs[0]).toMatchObject({ percentLop: 40 });
    const again = testStrength({ id: 'newer', atMs: 9 });
    const tested = nextSession(plan, [], testBasis({ strengthTests: [testStrength(), again] })).session;
    expect(tested?.exercises[0]?.load).toMatchObject({ strengthTestId: 'newer' });
  });
});

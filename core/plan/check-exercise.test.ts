import { describe, expect, it } from 'vitest';
import { englishOf } from '#language/english-of.fixture';
import { inEnglish } from '#language/render';
import type { Exercise } from '../protocol/exercise';
import { EXERCISES } from '../protocol/exercises';
import { crosses } from '../protocol/joint-range';
import type { Limits } from '../screening/clearance';
import { clearedAlone, limited } from '../screening/clearance.fixture';
import type { Basis } from './basis';
import type { ExerciseChoice } from './choices';
import { composeSession } from './compose';
import { draftSession } from './draft/draft-session';
import { testWish } from './draft/draft-wish.fixture';
import { type TestChoices, testBasis, testExercise, testOcclusion, testSession } from './plan.fixture';

const PASSIVE =
  Object.entries(EXERCISES).find(([, { kind, limbKind }]) => kind === 'passive' && limbKind === 'leg')?.[0] ??
  '';

/** Findings of some rules on one exercise, as rule, level, field, words and change. */
const found = (
  rules: readonly string[],
  changes: TestChoices = {},
  more: Partial<ExerciseChoice> = {},
  basis: Partial<Basis> = {},
) =>
  composeSession({ ...testSession(), exercises: [testExercise(changes, more)] }, testBasis(basis))
    .findings.filter(({ rule }) => rules.includes(rule))
    .map(({ rule, level, subject, message, remedy, fix }) =>
      [
        `${rule} ${level} ${subject}: ${inEnglish(message)} ${inEnglish(remedy)}`,
        ...(fix ? [JSON.stringify(fix)] : []),
      ].join(' '),
    );
const passive = (more: Partial<ExerciseChoice> = {}, basis: Partial<Basis> = {}, changes: TestChoices = {}) =>
  found(
    ['PRS-3', 'SCR-4', 'TIGHT', 'SCR-2'],
    { exerciseId: PASSIVE, protocolId: 'passive-rehab', position: 'lying', ...changes },
    { load: { kind: 'unweighed', with: 'nothing' }, ...more },
    { procedures: [{ limb: 'left-thigh', atMs: 0 }], rungs: new Map([['left-thigh', 'passive']]), ...basis },
  );

describe('what a clearance allows, limb by limb (SCR-2)', () => {
  const both = (['left-thigh', 'right-thigh'] as const).map((limb) => ({
    kind: 'measured' as const,
    limb,
    occlusionId: limb === 'right-thigh' ? 'lop-right' : 'lop',
    percentLop: 60,
  }));
  const under = (limits: Limits, more: Partial<ExerciseChoice> = {}) =>
    found(['SCR-2'], {}, more, {
      limits,
      occlusions: [testOcclusion(), testOcclusion({ id: 'lop-right', limb: 'right-thigh' })],
    });

  it('caps the pressure of that limb alone, with a change that keeps it', () => {
    const capped = (maxPercentLop: number) => limited({ maxPercentLop, capFrom: 'Dr Ash' }, ['left-thigh']);
    expect(under(capped(60), { limbs: both })).toEqual([]);
    expect(under(capped(50), { limbs: both })).toEqual([
      'SCR-2 hard percentLop: Left thigh: 60 % is above the 50 % of LOP that Dr Ash has cleared. Set 50 % or lower, or have a clinician record a new clearance. {"set":"percentLop","to":50,"as":"most","limb":"left-thigh"}',
    ]);
    expect(under(limited({ maxPercentLop: 50, capFrom: 'Dr Ash' }, ['right-thigh']))).toEqual([]);
  });

  it('says which limb is not cleared', () => {
    expect(under(clearedAlone('left-thigh'))).toEqual([]);
    const refused =
      'SCR-2 hard limb: Right thigh: the clearances on record do not speak of it. Choose a limb that is cleared.';
    expect(under(clearedAlone('left-thigh'), { limbs: both })).toEqual([refused]);
  });

  it('names the work that is cleared for it', () => {
    expect(under(limited({ modes: ['resistance'] }))).toEqual([]);
    expect(under(limited({ modes: ['passive'] }, ['right-thigh']))).toEqual([]);
    expect(under(limited({ modes: ['passive', 'aerobic'] }, ['left-thigh']))).toEqual([
      'SCR-2 hard protocolId: Left thigh: the clearance allows passive, aerobic work only. Prescribe work that is cleared.',
    ]);
    expect(under(limited({ modes: [] }, ['left-thigh']))).toEqual([
      'SCR-2 hard protocolId: Left thigh: the clearance allows no work. Prescribe work that is cleared.',
    ]);
  });
});

describe('what a letter says of the work of a limb (SCR-2)', () => {
  const straight = {
    joint: 'knee',
    fromDegrees: 0,
    toDegrees: 45,
    isOfLoaded: true,
    from: 'Dr Ash',
  } as const;
  const said = (limits: Basis['limits'], exerciseId = 'knee-extension', load = testExercise().load) =>
    found(['SCR-2'], { exerciseId }, { load }, { limits });
  const unweighed = { kind: 'unweighed', with: 'limb weight only' } as const;

  it('goes up to a rung of the ladder, by exercise and load', () => {
    const upTo = (highestRung: 'unloaded' | 'loaded') => limited({ highestRung }, ['left-thigh']);
    expect(said(upTo('loaded'))).toEqual([]);
    expect(said(upTo('unloaded'))).toEqual([
      'SCR-2 hard exerciseId: Left thigh: the clearance allows work up to unloaded only, and this is loaded, isolated. Prescribe work that is cleared.',
    ]);
    expect(said(upTo('unloaded'), 'straight-leg-raise', unweighed)).toEqual([]);
    expect(said(upTo('unloaded'), 'straight-leg-raise')).toHaveLength(1);
    expect(said(limited({ highestRung: 'passive' }, ['right-thigh']))).toEqual([]);
  });

  it('keeps a range of a joint out, and counts one that is not known as gone through', () => {
    const limits = limited({ ranges: [straight] }, ['left-thigh']);
    expect(said(limits)).toEqual([
      'SCR-2 guard exerciseId: Left thigh: Knee extension goes through what Dr Ash forbids: no loaded work of the knee from 0 to 45°. Choose an exercise that does not go through it, or say how its range is kept.',
    ]);
    expect(said(limited({ ranges: [straight] }, ['right-thigh']))).toEqual([]);
    expect(said(limited({ ranges: [{ ...straight, fromDegrees: 90, toDegrees: 120 }] }))).toEqual([]);
    expect(said(limited({ ranges: [{ ...straight, joint: 'hip' }] }))).toEqual([]);
    expect(said(limits, 'straight-leg-raise')).toEqual([]);
    expect(said(limits, 'heel-slide', unweighed)).toEqual([]);
    const own = {
      ...testBasis().library,
      own: { ...EXERCISES['knee-extension'], label: 'Own', joints: ['Knee'] },
    };
    const ofOwn = (isOfLoaded: boolean) =>
      found(
        ['SCR-2'],
        { exerciseId: 'own' },
        {},
        { library: own, limits: limited({ ranges: [{ ...straight, isOfLoaded }] }) },
      );
    expect([ofOwn(true), ofOwn(false)].map(({ length }) => length)).toEqual([1, 1]);
  });

  it('is kept to by drafts', () => {
    const limits = limited({ ranges: [{ ...straight, isOfLoaded: false }] }, ['left-thigh']);
    const { session } = draftSession(testWish(), testBasis({ limits, strengthTests: [] }));
    for (const { exerciseId } of session?.exercises ?? [])
      expect(crosses(exerciseId, testBasis().library[exerciseId] as Exercise, true, straight)).toBe(false);
    expect(session?.exercises.length).toBeGreaterThan(0);
    const still = draftSession(
      testWish({ goal: 'rehab', rung: 'loaded' }),
      testBasis({ limits: limited({ highestRung: 'isometric' }) }),
    );
    expect(englishOf(still)).toMatchObject({
      session: null,
      notes: ['The clearance allows work up to isometric only (SCR-2).'],
    });
    // A goal that goes by no rung is not held by the one its wish would begin on.
    const passive = draftSession(
      testWish({ goal: 'passive', rung: 'loaded' }),
      testBasis({
        limits: limited({ highestRung: 'passive' }),
        occlusions: [testOcclusion({ position: 'lying' })],
      }),
    );
    expect(passive.session?.exercises.length).toBeGreaterThan(0);
  });
});

describe('passive cycles (PRS-3)', () => {
  it('are without exercise, lying or sitting, without a load, and by time', () => {
    expect(passive()).toEqual([]);
    expect(passive({ position: 'standing' })).toEqual([
      'PRS-3 hard position: Passive cycles are done lying or sitting. Lie down. {"set":"position","to":"lying"}',
    ]);
    const weighed = testExercise().load;
    expect(passive({ load: weighed })).toEqual([
      'PRS-3 hard weightKitId: Passive cycles have no load. Take the load away.',
    ]);
    const timed = { work: { kind: 'timed', workMs: 300_000 }, restMs: 60_000, release: true } as const;
    const reps = { ...timed, work: { kind: 'reps', reps: 15 } } as const;
    expect(passive({ sets: [timed, timed] })).toEqual([]);
    expect(passive({ sets: [timed, reps] })).toEqual([
      'PRS-3 hard sets: Passive cycles have no repetitions: each lasts a time. Choose the passive protocol again, and its sets come with it.',
    ]);
  });

  it('take the cuff alone, and the cuff alone takes them', () => {
    const label = EXERCISES[PASSIVE as keyof typeof EXERCISES]?.label;
    expect(
      found(['PRS-3'], { exerciseId: PASSIVE }, { load: { kind: 'unweighed', with: 'nothing' } }),
    ).toContain(
      `PRS-3 hard protocolId: ${inEnglish(label)} is passive and takes passive cycles. Choose passive cycles.`,
    );
    expect(
      found(['PRS-3'], { protocolId: 'passive-rehab' }, { load: { kind: 'unweighed', with: 'x' } }),
    ).toContain(
      'PRS-3 hard protocolId: Passive cycles are without exercise, and Knee extension is exercise. Choose another protocol, or the cuff alone.',
    );
  });

  it('go above what exercise may only by what every practice starts with, not by a label', () => {
    const high = { percentLop: 90 };
    const limbs = [{ kind: 'measured' as const, limb: 'left-thigh' as const, occlusionId: 'lop', ...high }];
    const refusals = (library: Basis['library'], exerciseId: string) =>
      passive({ limbs }, { library }, { exerciseId, ...high }).filter((words) => words.includes('hard'));
    const { library } = testBasis();
    expect(refusals(library, PASSIVE)).toEqual([]);
    const [own, standard] = [library[PASSIVE], library['knee-extension']];
    if (!own || !standard) throw new Error('The library has neither.');
    // One of the practice's own that says it is passive, and a standard one that was relabelled.
    expect(refusals({ ...library, ours: own }, 'ours')).not.toEqual([]);
    expect(
      refusals({ ...library, 'knee-extension': { ...standard, kind: 'passive' } }, 'knee-extension'),
    ).not.toEqual([]);
  });

  it('and work after an operation are a clinician’s to prescribe (SCR-4)', () => {
    const coach = { prescriber: 'coach' } as const;
    const refusal = (what: string) =>
      `SCR-4 hard protocolId: ${what} work is prescribed by a clinician only. Ask a clinician to prescribe it.`;
    expect(passive({}, { ...coach, procedures: [] })).toContain(refusal('Passive'));
    expect(found(['SCR-4'], {}, {}, { ...coach, procedures: [{ limb: 'left-thigh', atMs: 0 }] })).toEqual([
      refusal('Post-operative'),
    ]);
    expect(found(['SCR-4'], {}, {}, { ...coach, procedures: [{ limb: 'right-thigh', atMs: 0 }] })).toEqual(
      [],
    );
    expect(found(['SCR-4'], {}, {}, coach)).toEqual([]);
  });
});

describe('straps (TIGHT)', () => {
  const strap = { id: 's', label: 'Strap', limbKind: 'leg', widthCm: 5, firstMark: 1, lastMark: 9 } as const;
  const worn = {
    kind: 'strap',
    id: 'f',
    atMs: 0,
    limb: 'left-thigh',
    girthCm: 54,
    label: 'Strap',
    widthCm: 5,
    strapId: 's',
  } as const;
  const felt = {
    id: 't',
    atMs: 0,
    limb: 'left-thigh',
    strapId: 's',
    strapLabel: 'Strap',
    mark: 5,
    felt: 7,
  } as const;
  const basis = { fits: [worn], tightness: [felt], straps: [strap] } as unknown as Partial<Basis>;
  const limbs: ExerciseChoice['limbs'] = [{ kind: 'by-feel', limb: 'left-thigh', strapId: 's' }];

  it('keep no cap and do no passive work', () => {
    const note =
      'TIGHT note limb: By feel: people misjudge it, and the pressure is not known. Start low, and check colour and tingling after every set; a measured cuff is better.';
    expect(found(['TIGHT', 'SCR-2'], {}, { limbs }, basis)).toEqual([note]);
    const capped = { ...basis, limits: limited({ maxPercentLop: 50, capFrom: 'Dr Ash' }) };
    expect(found(['TIGHT', 'SCR-2'], {}, { limbs }, capped)).toEqual([
      note,
      'SCR-2 hard limb: Dr Ash has cleared 50 % of LOP at most, which a strap cannot keep. Use a cuff that can be measured.',
    ]);
    expect(passive({ limbs }, basis)).toContain(
      'TIGHT hard protocolId: Passive cycles need a pressure, and a strap has none. Use a cuff that can be measured.',
    );
  });
});

describe('limbs of an exercise (PRO-2)', () => {
  const on = (...limbs: ('left-thigh' | 'right-thigh')[]) => ({
    limbs: limbs.map((limb) => ({
      kind: 'measured' as const,
      limb,
      occlusionId: limb === 'right-thigh' ? 'lop-right' : 'lop',
      percentLop: 60,
    })),
  });
  const single = Object.entries(EXERCISES).find(
    ([, { sides, limbKind, kind }]) => sides === 'one' && limbKind === 'leg' && kind !== 'passive',
  );

  it('are named once each, and one at a time where it is done so', () => {
    expect(found(['PRO-2'], {}, on('left-thigh', 'left-thigh'))).toEqual([
      'PRO-2 hard limb: The same limb is named twice. Name the other limb, or one only.',
    ]);
    expect(found(['PRO-2', 'PRO'], {}, on('left-thigh', 'right-thigh'))).toEqual([]);
    if (!single) throw new Error('No exercise of one leg at a time is in the library.');
    const [exerciseId, { label }] = single;
    expect(found(['PRO'], { exerciseId }, on('left-thigh', 'right-thigh'))).toEqual([
      `PRO note limb: ${inEnglish(label)} is done with one limb at a time. Do the limbs one after the other.`,
    ]);
    expect(found(['PRO'], { exerciseId }, on('left-thigh'))).toEqual([]);
  });
});

describe('what a protocol is usually done with (LOAD-5, PRO)', () => {
  it('notes another tempo, with the usual one', () => {
    expect(found(['LOAD-5'], { tempoId: '2-0-2' })).toEqual([]);
    expect(found(['LOAD-5'], { tempoId: '3-0-3' })).toEqual([
      'LOAD-5 note tempoId: Standard 75 is usually paced 1-0-1, 1.5-0-1.5 or 2-0-2. Choose 1-0-1, 1.5-0-1.5 or 2-0-2. {"set":"tempoId","to":"1-0-1"}',
    ]);
    // Work by the clock has no tempo.
    expect(found(['LOAD-5'], { protocolId: 'aerobic', tempoId: '3-0-3' })).toEqual([]);
  });

  it('notes rests beyond the usual, the one after the last set aside', () => {
    const rests = (...restsMs: number[]) =>
      found(
        ['PRO'],
        {},
        { sets: restsMs.map((restMs) => ({ work: { kind: 'reps', reps: 15 }, restMs, release: false })) },
      );
    expect(rests(20_000, 60_000, 0)).toEqual([]);
    const usual =
      'PRO note restMs: Standard 75 usually rests 20 to 60 s. Set 20 to 60 s. {"set":"restMs","to":30000}';
    expect(rests(30_000, 19_000, 60_000)).toEqual([usual]);
    expect(rests(61_000, 30_000, 60_000)).toEqual([usual]);
    expect(found(['PRO'], { protocolId: 'quick-pair', tempoId: '2-0-2', restMs: 20_000 })).toEqual([
      'PRO note restMs: Quick pair usually rests 15 s. Set 15 s. {"set":"restMs","to":15000}',
    ]);
  });

  it('doubts thirty clean repetitions with more than the usual load', () => {
    const doubt = (percentOneRepMax: number, reps: number) =>
      found(
        ['LOAD-5'],
        { percentOneRepMax },
        { sets: [{ work: { kind: 'reps', reps }, restMs: 60_000, release: true }] },
      );
    // 17.5 of 40 kg is 43.8 %, 15 is 37.5 %.
    const words = (percent: number) =>
      `LOAD-5 note sets: Thirty clean repetitions must be possible without the cuff; at ${percent} % of 1RM that is doubtful. Lower the load or the repetitions.`;
    expect(doubt(45, 30)).toEqual([words(43.8)]);
    expect(doubt(45, 29)).toEqual([]);
    expect(doubt(37.5, 30)).toEqual([]);
    expect(found(['LOAD-5'], {}, { load: { kind: 'unweighed', with: 'a band' } })).toEqual([]);
  });
});

describe('in water (TIGHT)', () => {
  it('a cuff at a pressure is refused, also under a practice’s own version of the exercise', () => {
    const { inWater: _, ...dry } = EXERCISES['pool-walk'];
    const refusals = (basis: Basis) =>
      composeSession(
        {
          goal: 'aerobic',
          schoolId: 'research-consensus',
          exercises: [
            {
              ...testExercise({ protocolId: 'aerobic' }),
              exerciseId: 'pool-walk',
              position: 'standing',
              load: { kind: 'unweighed', with: 'talking pace' },
            },
          ],
        },
        basis,
      ).findings.filter(({ rule, level }) => rule === 'TIGHT' && level === 'hard');
    expect(englishOf(refusals(testBasis()))).toMatchObject([{ subject: 'exerciseId' }]);
    expect(refusals(testBasis({ library: { ...testBasis().library, 'pool-walk': dry } }))).toHaveLength(1);
  });
});

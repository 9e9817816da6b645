import { describe, expect, it } from 'vitest';
import { englishOf } from '#language/english-of.fixture';
import { inEnglish } from '#language/render';
import { guardFindings, hardFindings } from '../findings/finding';
import { msg } from '../message/message';
import { checkArbitrary } from '../pressure/arbitrary';
import { MS_PER_DAY } from '../quantity/units';
import { chainOf } from '../record/chain/chain';
import type { ClientFacts } from '../record/facts';
import { recheck } from '../record/recheck';
import { strangerFacts, testCoursePlan, testKitInUse, testPrescription } from '../record/record.fixture';
import { nextSession } from '../review/next-session';
import { summaryOf } from '../review/summary';
import { limited } from '../screening/clearance.fixture';
import type { EventBody } from '../session/events';
import { inHand } from '../session/in-hand';
import { nextStep } from '../session/next-step';
import { foldAll, logOf, START_MS } from '../session/session.fixture';
import { tooHardWords } from '../session/too-hard';
import type { Basis, SessionDone } from './basis';
import { type ExerciseChoice, type LimbChoice, setsOf } from './choices';
import { choicesOf } from './choices-of';
import { compile } from './compile';
import { composeSession } from './compose';
import { doseOf } from './dose';
import { draftSession } from './draft/draft-session';
import { testWish } from './draft/draft-wish.fixture';
import { testBasis, testCuff, testExercise, testOcclusion } from './plan.fixture';
import { planChanges } from './plan-changes';
import { isPlan } from './versions/plan-schema';

const UP_TO_MMHG = 170;
/** So narrow that it cannot stop the flow: at 54 cm a LOP of about 247 mmHg is to be expected (LOP-7). */
const NARROW = { ...testCuff, widthCm: 5, canOcclude: false };

const worn = (limb: 'left-thigh' | 'right-thigh') =>
  ({
    kind: 'cuff',
    limb,
    atMs: 0,
    girthCm: 54,
    cuffId: testCuff.id,
    label: testCuff.label,
    widthCm: NARROW.widthCm,
  }) as const;

const basisWith = (changes: Partial<Basis> = {}): Basis =>
  testBasis({
    occlusions: [],
    fits: [worn('left-thigh'), worn('right-thigh')],
    cuffs: [NARROW],
    arbitraryUpToMmHg: UP_TO_MMHG,
    done: [],
    ...changes,
  });

const at = (limb: 'left-thigh' | 'right-thigh', pressureMmHg = 130): LimbChoice => ({
  kind: 'arbitrary',
  limb,
  cuffId: testCuff.id,
  pressureMmHg,
});

const walk = (more: Partial<ExerciseChoice> = {}): ExerciseChoice =>
  testExercise(
    { exerciseId: 'walking', protocolId: 'aerobic', position: 'standing' },
    {
      limbs: [at('left-thigh'), at('right-thigh')],
      load: { kind: 'unweighed', with: 'body weight' },
      ...more,
    },
  );

const compose = (basis = basisWith(), exercise = walk()) =>
  composeSession({ goal: 'aerobic', schoolId: 'research-consensus', exercises: [exercise] }, basis);

const WISH = testWish({ goal: 'aerobic', limbs: ['left-thigh', 'right-thigh'], together: true });

const soDone = (...days: number[]): SessionDone[] =>
  days.map((day) => ({
    atMs: day * MS_PER_DAY,
    day,
    kinds: ['leg'],
    tolerated: true,
    worked: [{ exerciseId: 'walking', limbs: ['left-thigh'], mode: 'aerobic', arbitrary: true }],
  }));

describe('work without a LOP (PRS-7)', () => {
  it('is composed at the pressure chosen, marked, with no share of a LOP anywhere', () => {
    const { plan, findings } = compose();
    expect(englishOf(plan.exercises[0]?.limbs)).toMatchObject([
      {
        kind: 'arbitrary',
        limb: 'left-thigh',
        cuffLabel: testCuff.label,
        pressure: { value: 130, rules: ['PRS-7'] },
      },
      { kind: 'arbitrary', limb: 'right-thigh', pressure: { value: 130 } },
    ]);
    expect(englishOf(findings.filter(({ rule }) => rule === 'PRS-7'))).toMatchObject([{ level: 'note' }]);
    expect(hardFindings(findings)).toEqual([]);
    expect(guardFindings(findings)).toEqual([]);
    const dose = doseOf(compile(plan));
    expect(
      dose.limbs.map(({ relativePressureTimePercentLopMin }) => relativePressureTimePercentLopMin),
    ).toEqual([null, null]);
    expect(dose.limbs[0]?.totalOcclusionMs).toBeGreaterThan(0);
  });

  it('is kept, read back, and compared with what it was', () => {
    const { plan } = compose();
    expect(isPlan(JSON.parse(JSON.stringify(plan)))).toBe(true);
    expect(choicesOf(plan).exercises[0]?.limbs).toEqual(walk().limbs);
    const higher = compose(basisWith(), walk({ limbs: [at('left-thigh', 140), at('right-thigh')] })).plan;
    expect(englishOf(planChanges(plan, higher))).toEqual([
      `${inEnglish(plan.exercises[0]?.label ?? '')}: left thigh pressure 130 → 140 mmHg, arbitrary.`,
    ]);
  });

  const REFUSED: [string, Partial<Basis>, Partial<ExerciseChoice>, string][] = [
    ['where no clinician has switched it on', { arbitraryUpToMmHg: null }, {}, 'PRS-7'],
    ['above the practice’s most', {}, { limbs: [at('left-thigh', UP_TO_MMHG + 2)] }, 'PRS-7'],
    ['where a LOP is in force', { occlusions: [testOcclusion({ widthCm: 5 })] }, {}, 'PRS-7'],
    ['over 80 % of the LOP to expect', { cuffs: [{ ...NARROW, widthCm: 10 }] }, {}, 'PRS-7'],
    [
      'over 80 % of a LOP on record, though it is due',
      {
        occlusions: [testOcclusion({ widthCm: 5, pressure: { ...testOcclusion().pressure, value: 140 } })],
        due: new Map([['lop', msg('5 weeks old')]]),
      },
      {},
      'PRS-7',
    ],
    ['on an operated limb', { procedures: [{ limb: 'left-thigh', atMs: 0 }] }, {}, 'PRS-7'],
    [
      'under a cap, which it cannot keep',
      { limits: limited({ maxPercentLop: 50, capFrom: 'Dr Test' }) },
      {},
      'PRS-7',
    ],
    [
      'for resistance work',
      {},
      {
        exerciseId: 'knee-extension',
        protocolId: 'standard-75',
        position: 'sitting',
        sets: setsOf('standard-75', 30_000, 60_000),
      },
      'PRS-7',
    ],
    [
      'under a cuff that does not go round',
      { fits: [{ ...worn('left-thigh'), girthCm: 80 }, worn('right-thigh')] },
      {},
      'FIT-2',
    ],
    ['under a cuff that is not worn', { fits: [worn('right-thigh')] }, {}, 'FIT-3'],
    ['above what the cuff holds', { cuffs: [{ ...NARROW, maxPressureMmHg: 120 }] }, {}, 'FIT-2'],
  ];
  it.each(REFUSED)('is refused %s', (_, basis, exercise, rule) => {
    expect(hardFindings(compose(basisWith(basis), walk(exercise)).findings).map((one) => one.rule)).toContain(
      rule,
    );
  });

  it('allows no arm', () => {
    const [found] = checkArbitrary(130, {
      limb: 'left-arm',
      mode: 'aerobic',
      ceilingMmHg: UP_TO_MMHG,
      known: { leastLopMmHg: 250, levelMmHg: UP_TO_MMHG },
      lopMmHg: null,
      operated: false,
      capPercentLop: null,
    });
    expect(englishOf(found)).toMatchObject({ rule: 'PRS-7', level: 'hard' });
  });

  it('goes by a LOP that is due no more, and may go on where it is', () => {
    const due = basisWith({ occlusions: [testOcclusion()], due: new Map([['lop', msg('5 weeks old')]]) });
    expect(hardFindings(compose(due, walk({ limbs: [at('left-thigh')] })).findings)).toEqual([]);
  });

  it('climbs ten mmHg a week trained so, to 60 % of the LOP to expect and to the practice’s most; a guard is above', () => {
    const drafted = (done: SessionDone[], nowDay: number) =>
      draftSession(WISH, basisWith({ done, nowMs: nowDay * MS_PER_DAY })).session?.exercises[0]?.limbs;
    expect(drafted([], 0)).toEqual([at('left-thigh'), at('right-thigh')]);
    expect(drafted(soDone(0, 3, 8), 9)).toEqual([at('left-thigh', 140), at('right-thigh', 140)]);
    // 60 % of 247.04 is 148.2.
    expect(drafted(soDone(0, 7, 14, 21, 28, 35), 36)).toMatchObject([{ pressureMmHg: 148 }, {}]);
    const low = basisWith({ done: soDone(0, 7, 14, 21), nowMs: 22 * MS_PER_DAY, arbitraryUpToMmHg: 140 });
    expect(draftSession(WISH, low).session?.exercises[0]?.limbs).toMatchObject([{ pressureMmHg: 140 }, {}]);
    expect(drafted(soDone(0, 7, 14), 40)).toMatchObject([{ pressureMmHg: 130 }, {}]);
    // Weeks trained by a LOP say nothing of what is bearable without one.
    const byLop = soDone(0, 7, 14).map((one) => ({ ...one, worked: [] }));
    expect(drafted(byLop, 15)).toMatchObject([{ pressureMmHg: 130 }, {}]);
    const [guard] = guardFindings(compose(basisWith(), walk({ limbs: [at('left-thigh', 140)] })).findings);
    expect(englishOf(guard)).toMatchObject({ rule: 'PRS-4', fix: { set: 'pressureMmHg', to: 130 } });
  });

  it('starts as it was set the first time, and rises from there', () => {
    const firstAt = (pressureMmHg: number, ...days: number[]) =>
      soDone(...days).map((one, place) => ({
        ...one,
        worked: one.worked.map((worked) => ({
          ...worked,
          arbitraryMmHg: place === 0 ? pressureMmHg : pressureMmHg + 10,
        })),
      }));
    const drafted = (done: SessionDone[], nowDay: number) => {
      const { session } = draftSession(WISH, basisWith({ done, nowMs: nowDay * MS_PER_DAY }));
      return session?.exercises[0]?.limbs.map((limb) => limb.kind === 'arbitrary' && limb.pressureMmHg);
    };
    expect(drafted(firstAt(100, 0), 3)).toEqual([100, 100]);
    expect(drafted(firstAt(100, 0, 3, 8), 9)).toEqual([110, 110]);
    // Set higher by a clinician’s reason it is no start: it begins where it does for anyone.
    expect(drafted(firstAt(150, 0), 3)).toEqual([130, 130]);
    // After six weeks off it begins there again.
    expect(drafted(firstAt(100, 0, 3, 8), 51)).toEqual([100, 100]);
  });

  it('begins at 60 % of the LOP to expect where 130 mmHg is more, of each limb by its own girth', () => {
    const wide = { ...NARROW, widthCm: 20 };
    // 67 + 16.67 × 54 ÷ 20 = 112.0, of which 60 % are 67.2 and 80 % are 89.6; at 66 cm 122.0, 73.2 and 97.6.
    const basis = basisWith({
      cuffs: [wide],
      fits: [worn('left-thigh'), { ...worn('right-thigh'), girthCm: 66 }],
    });
    const drafted = draftSession(WISH, basis).session;
    expect(drafted?.exercises[0]?.limbs).toEqual([at('left-thigh', 66), at('right-thigh', 72)]);
    const found = (mmHg: number) =>
      compose(basis, walk({ limbs: [at('left-thigh', mmHg)] }))
        .findings.filter(({ rule }) => rule === 'PRS-7')
        .map(({ level }) => level);
    expect([found(66), found(68), found(88), found(90)]).toEqual([
      ['note'],
      ['note', 'guard'],
      ['note', 'guard'],
      ['hard'],
    ]);
  });

  it('counts a blood pressure in what it expects, and a lower LOP on record', () => {
    // 70 + 30 × 54 ÷ 15 = 178, of which 80 % are 142.4.
    const calm = basisWith({ resting: { systolicMmHg: 100, diastolicMmHg: 70 } });
    const hard = (mmHg: number) =>
      hardFindings(compose(calm, walk({ limbs: [at('left-thigh', mmHg)] })).findings).length;
    expect([hard(142), hard(144)]).toEqual([0, 1]);
    const due = basisWith({
      occlusions: [testOcclusion({ widthCm: 5, pressure: { ...testOcclusion().pressure, value: 200 } })],
      due: new Map([['lop', msg('5 weeks old')]]),
    });
    const [guard] = guardFindings(compose(due, walk({ limbs: [at('left-thigh')] })).findings);
    expect(englishOf(guard)).toMatchObject({ rule: 'PRS-7', fix: { set: 'pressureMmHg', to: 120 } });
  });

  it('goes on from what a person chose, a step at a time', () => {
    const { plan } = compose(basisWith(), walk({ limbs: [at('left-thigh', 110), at('right-thigh', 130)] }));
    const later = basisWith({ done: soDone(0, 7, 14), nowMs: 15 * MS_PER_DAY });
    expect(nextSession(plan, [], later).session?.exercises[0]?.limbs).toMatchObject([
      { pressureMmHg: 120 },
      { pressureMmHg: 140 },
    ]);
  });

  it('is drafted for no limb that was ever measured, and for no one where it is off', () => {
    const limbs = draftSession(
      WISH,
      basisWith({
        cuffs: [testCuff],
        fits: [worn('left-thigh'), worn('right-thigh')].map((fit) => ({ ...fit, widthCm: 11.5 })),
        occlusions: [testOcclusion({ position: 'standing' })],
      }),
    ).session?.exercises[0]?.limbs;
    expect(limbs).toMatchObject([{ kind: 'measured' }, { kind: 'arbitrary' }]);
    expect(englishOf(draftSession(WISH, basisWith({ arbitraryUpToMmHg: null })).notes[0])).toMatch(/LOP-4/);
    expect(englishOf(draftSession({ ...WISH, goal: 'size' }, basisWith()).notes[0])).toMatch(/LOP-4/);
  });

  it('rises to the target in cycles of the cuff as well', () => {
    const cycles = walk({
      exerciseId: 'passive-cuff-leg',
      protocolId: 'cycles',
      position: 'lying',
      load: { kind: 'unweighed', with: 'limb weight only' },
      sets: setsOf('cycles', 10_000, 60_000),
    });
    const { plan, findings } = compose(basisWith(), cycles);
    expect(hardFindings(findings)).toEqual([]);
    const steps = compile(plan).lanes[0]?.inflations.map(({ steps: [step] }) => step?.pressureMmHg);
    expect(steps).toEqual([...(steps ?? [])].sort((a, b) => (a ?? 0) - (b ?? 0)));
    expect(steps?.at(-1)).toBe(130);
  });

  it('is run at its pressure, never above, and says when it got too hard', () => {
    const { plan } = compose();
    const entries: [number, EventBody][] = [
      [0, { type: 'session-started' }],
      [5, { type: 'cuff-inflated', limb: 'left-thigh', pressureMmHg: 130 }],
      [6, { type: 'cuff-inflated', limb: 'right-thigh', pressureMmHg: 130 }],
      [10, { type: 'pressure-read', limb: 'left-thigh', pressureMmHg: 120, cause: 'loosened' }],
      [20, { type: 'set-started', exerciseIndex: 0, setIndex: 0 }],
      [900, { type: 'set-ended', exerciseIndex: 0, setIndex: 0, reps: 0, reason: 'done' }],
    ];
    const state = (upTo: number, more: [number, EventBody][] = []) =>
      foldAll(plan, logOf([...entries.slice(0, upTo), ...more]));
    expect(nextStep(plan, state(1), START_MS + 1_000)).toMatchObject({
      do: 'inflate',
      cuffs: [{ pressureMmHg: 130 }, { pressureMmHg: 130 }],
    });
    expect(englishOf(inHand(plan, state(4))?.limbs)).toMatchObject([
      { kind: 'arbitrary', targetMmHg: 120, readMmHg: 120 },
      { kind: 'arbitrary', targetMmHg: 130 },
    ]);
    const noted = (effort: number): [number, EventBody][] => [
      [905, { type: 'set-noted', exerciseIndex: 0, setIndex: 0, effort }],
    ];
    expect(tooHardWords(plan, state(6, noted(8)))).toBeNull();
    expect(englishOf(tooHardWords(plan, state(6, noted(9))))).toMatch(/8 is the most/);
    expect(summaryOf(plan, state(6), null).worked).toMatchObject([{ arbitrary: true, arbitraryMmHg: 130 }]);
    expect(summaryOf(plan, state(6), null).given[0]?.percentLop).toBeNull();
  });

  it('holds the chain as prescribed, and opens no more once a LOP is in force', () => {
    const { plan } = compose();
    const prescription = testPrescription({ plan });
    const kit = { ...testKitInUse, cuffs: [NARROW] };
    const facts = {
      ...strangerFacts,
      arbitraryUpToMmHg: UP_TO_MMHG,
      fits: [worn('left-thigh'), worn('right-thigh')],
      prescriptions: [prescription],
      coursePlans: [testCoursePlan()],
    };
    const measure = chainOf(facts, kit, prescription.atMs + 1).find(({ id }) => id === 'measure');
    expect(englishOf(measure)).toMatchObject({
      state: 'good',
      figure: '130 mmHg, arbitrary',
      rules: ['PRS-7'],
    });
    const opens = (changes: Partial<ClientFacts>) =>
      hardFindings(recheck(prescription, { ...facts, ...changes }, kit, prescription.atMs + 1).findings)
        .map(({ rule }) => rule)
        .filter((rule) => rule === 'PRS-7');
    expect(opens({})).toEqual([]);
    expect(opens({ arbitraryUpToMmHg: null })).toHaveLength(1);
    expect(
      opens({ occlusions: [testOcclusion({ atMs: prescription.atMs, widthCm: NARROW.widthCm })] }),
    ).toHaveLength(1);
  });
});

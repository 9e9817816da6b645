import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { englishOf } from '#language/english-of.fixture';
import { type Rung, rungHeight, rungSchema } from '../protocol/exercise';
import { workModeSchema } from '../protocol/work-mode';
import { LIMBS, type Limb } from '../quantity/limb';
import { bloodPressureLevel, bloodPressureSchema, holdsToday, meanBloodPressure } from './blood-pressure';
import { type Clearance, capOn, hasLimits, limitsByLimb } from './clearance';
import { judgeDayCheck } from './day-check';
import { type Decision, judgeScreening } from './decide';
import { type ItemId, itemIdSchema, levelOf, SCREEN_ITEMS } from './items';
import { changesSince, ITEM_IDS, screeningAnswersSchema, withoutPlace } from './screening';

const KNEE_STRAIGHT = { joint: 'knee', fromDegrees: 0, toDegrees: 45, isOfLoaded: true } as const;
const NOW = 1_800_000_000_000;
const calm = { systolicMmHg: 122, diastolicMmHg: 76 };
const screening = (yes: (typeof ITEM_IDS)[number][], systolicMmHg = 122) => ({
  yes,
  bloodPressures: [
    { ...calm, systolicMmHg },
    { ...calm, systolicMmHg },
  ],
});
const clearance = (changes: Partial<Clearance> = {}): Clearance => ({
  subjects: ['diabetes'],
  givenBy: 'Dr Test',
  byPhysician: false,
  givenAtMs: NOW - 1000,
  untilMs: null,
  maxPercentLop: null,
  limbs: [],
  modes: [],
  highestRung: null,
  ranges: [],
  note: '',
  ...changes,
});
const judge = (...[answers, clearances = []]: [ReturnType<typeof screening>, Clearance[]?]) =>
  judgeScreening(answers, clearances, [], NOW);

describe('the decision (SCR-1, SCR-2)', () => {
  it('is clear to start when nothing is found', () => {
    expect(englishOf(judge(screening([])))).toEqual({
      decision: 'clear-to-start',
      reasons: [],
      limbs: [...LIMBS],
    });
  });

  it('is do not start for any stop item, whatever else is answered', () => {
    const stops = ITEM_IDS.filter((id) => SCREEN_ITEMS[id].level === 'stop');
    expect(stops).toHaveLength(18);
    fc.assert(
      fc.property(fc.constantFrom(...stops), fc.subarray(ITEM_IDS), (stop, others) => {
        const yes = [...new Set([stop, ...others])];
        expect(judge(screening(yes)).decision).toBe('do-not-start');
      }),
    );
  });

  it('needs a clearance for a clear item, and starts once one in force answers it', () => {
    expect(judge(screening(['diabetes'])).decision).toBe('needs-clearance');
    expect(judge(screening(['diabetes']), [clearance()]).decision).toBe('clear-to-start');
    expect(judge(screening(['diabetes']), [clearance({ maxPercentLop: 50 })]).decision).toBe(
      'start-with-limits',
    );
    expect(judge(screening(['diabetes']), [clearance({ untilMs: NOW - 1 })]).decision).toBe(
      'needs-clearance',
    );
    expect(judge(screening(['diabetes', 'varicose-veins']), [clearance()]).decision).toBe('needs-clearance');
  });

  it('takes a physician’s word for a stop item, and no one’s for a blood pressure of 180', () => {
    const stroke = clearance({ subjects: ['stroke'] });
    expect(judge(screening(['stroke']), [stroke]).decision).toBe('do-not-start');
    const physician = { ...stroke, byPhysician: true };
    expect(judge(screening(['stroke']), [physician]).decision).toBe('do-not-start');
    // Only with limits: a cap, and the limbs or the work (SCR-2).
    const limited = { ...physician, maxPercentLop: 50, modes: ['passive' as const] };
    expect(judge(screening(['stroke']), [limited]).decision).toBe('start-with-limits');
    const pressure = clearance({ subjects: ['blood-pressure'], byPhysician: true });
    expect(judge(screening([], 182), [pressure]).decision).toBe('do-not-start');
    expect(judge(screening([], 150), [pressure]).decision).toBe('clear-to-start');
  });

  it('notes smoking alone, and asks for a clearance together with anything else', () => {
    expect(englishOf(judge(screening(['smoker'])))).toMatchObject({
      decision: 'clear-to-start',
      reasons: [{ level: 'note' }],
    });
    const both = judge(screening(['smoker', 'diabetes']), [clearance()]);
    expect(both.decision).toBe('needs-clearance');
  });

  it('counts a high blood pressure beside smoking, and clots beside what bears on clots', () => {
    expect(englishOf(judge(screening(['smoker'], 145)).reasons)).toMatchObject([
      { level: 'clear' },
      { level: 'clear' },
    ]);
    for (const subject of ['oestrogen', 'long-travel'] as const) {
      expect(judge(screening([subject])).decision).toBe('clear-to-start');
      expect(
        judge(screening([subject, 'nerve-injury']), [clearance({ subjects: ['nerve-injury'] })]).decision,
      ).toBe('clear-to-start');
      const beside = judge(screening([subject, 'varicose-veins']), [
        clearance({ subjects: ['varicose-veins'] }),
      ]);
      expect(beside.decision).toBe('needs-clearance');
    }
    expect(judge(screening(['oestrogen', 'long-travel'])).decision).toBe('needs-clearance');
  });

  it('asks for a clearance of a low blood pressure, and not at 90', () => {
    expect(englishOf(judge(screening([], 89)).reasons)).toMatchObject([
      { subject: 'blood-pressure', level: 'clear', words: expect.stringContaining('the upper below 90') },
    ]);
    expect(judge(screening([], 90)).decision).toBe('clear-to-start');
  });

  it('lets a practice be stricter and never milder', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...itemIdSchema.options),
        fc.constantFrom('clear' as const, 'stop' as const),
        (id, own) => {
          const rank = { note: 0, clear: 1, stop: 2 };
          expect(rank[levelOf(id, [{ item: id, level: own }])]).toBeGreaterThanOrEqual(
            rank[SCREEN_ITEMS[id].level],
          );
        },
      ),
    );
    // What is asked of one item is asked of no other.
    expect(levelOf('smoker', [{ item: 'diabetes', level: 'stop' }])).toBe('note');
    expect(
      judgeScreening(screening(['diabetes']), [], [{ item: 'diabetes', level: 'stop' }], NOW).decision,
    ).toBe('do-not-start');
  });

  it('says what changed since last time', () => {
    const before = { ...screening(['diabetes', 'smoker']), atMs: 0, version: 1, note: '' };
    expect(englishOf(changesSince(before, screening(['diabetes', 'pregnancy'])))).toEqual([
      'New: Pregnancy, or birth in the last 6 weeks',
      'No longer: Smokes',
    ]);
  });
});

describe('blood pressure', () => {
  it('judges either figure', () => {
    expect(bloodPressureLevel(calm)).toBeNull();
    expect(bloodPressureLevel({ systolicMmHg: 139, diastolicMmHg: 90 })).toBe('clear');
    expect(bloodPressureLevel({ systolicMmHg: 140, diastolicMmHg: 89 })).toBe('clear');
    expect(bloodPressureLevel({ systolicMmHg: 150, diastolicMmHg: 110 })).toBe('stop');
    expect(bloodPressureLevel({ systolicMmHg: 180, diastolicMmHg: 80 })).toBe('stop');
    expect(holdsToday({ systolicMmHg: 159, diastolicMmHg: 99 })).toBe(false);
    expect(holdsToday({ systolicMmHg: 160, diastolicMmHg: 80 })).toBe(true);
  });

  it('takes the mean of a sitting, to the safer side', () => {
    const mean = meanBloodPressure([calm, { systolicMmHg: 127, diastolicMmHg: 81 }]);
    expect(mean).toEqual({ systolicMmHg: 125, diastolicMmHg: 79 });
    // 120.33 / 80.33: up, not to the nearest.
    const thrice = [120, 120, 121].map((systolicMmHg) => ({
      systolicMmHg,
      diastolicMmHg: systolicMmHg - 40,
    }));
    expect(meanBloodPressure(thrice)).toEqual({ systolicMmHg: 121, diastolicMmHg: 81 });
  });

  it('refuses a lower reading that is not lower, at that field', () => {
    const parsed = bloodPressureSchema.safeParse({ systolicMmHg: 80, diastolicMmHg: 120 });
    expect(parsed.error?.issues[0]).toMatchObject({ path: ['diastolicMmHg'] });
  });
});

describe('limits of clearances, limb by limb (SCR-2)', () => {
  const limits = (...given: Parameters<typeof clearance>[0][]) =>
    limitsByLimb(given.map(clearance), LIMBS, NOW);

  it('takes the lowest cap and only work that every clearance of that limb allows', () => {
    const both = limits(
      { maxPercentLop: 60, limbs: ['left-thigh', 'right-thigh'], givenBy: 'A' },
      { maxPercentLop: 50, limbs: ['left-thigh', 'left-arm'], modes: ['passive'], givenBy: 'B' },
      { maxPercentLop: 30, untilMs: NOW - 1, givenBy: 'C' },
    );
    const rest = { highestRung: null, ranges: [], isCleared: true };
    expect(both).toEqual({
      'left-thigh': { maxPercentLop: 50, capFrom: 'B', modes: ['passive'], ...rest },
      'right-thigh': { maxPercentLop: 60, capFrom: 'A', modes: null, ...rest },
      'left-arm': { maxPercentLop: 50, capFrom: 'B', modes: ['passive'], ...rest },
      'right-arm': { maxPercentLop: null, capFrom: null, modes: null, ...rest },
    });
    expect(capOn(both, ['right-thigh', 'right-arm'])).toBe(60);
    expect(capOn(both, ['right-thigh', 'left-thigh'])).toBe(50);
    expect(capOn(both, ['right-arm'])).toBeNull();
  });

  it('takes the lowest rung, and every range with who forbids it', () => {
    const all = limits(
      { highestRung: 'loaded', ranges: [KNEE_STRAIGHT], givenBy: 'A' },
      { highestRung: 'isometric', limbs: ['left-thigh'], givenBy: 'B' },
    );
    expect([all['left-thigh'].highestRung, all['right-thigh'].highestRung]).toEqual(['isometric', 'loaded']);
    expect(all['left-thigh'].ranges).toEqual([{ ...KNEE_STRAIGHT, from: 'A' }]);
  });

  it('of one that names no limb are of the whole person', () => {
    const whole = limits({ maxPercentLop: 55 }, { maxPercentLop: 50, limbs: ['left-arm'] });
    expect(LIMBS.map((limb) => whole[limb].maxPercentLop)).toEqual(
      LIMBS.map((limb) => (limb === 'left-arm' ? 50 : 55)),
    );
  });

  it('counts a clearance from the moment it is given to its last, and no other', () => {
    const capAt = (changes: Parameters<typeof clearance>[0]) =>
      limits({ maxPercentLop: 50, ...changes })['left-arm'].maxPercentLop;
    expect(capAt({ givenAtMs: NOW, untilMs: NOW })).toBe(50);
    expect(capAt({ givenAtMs: NOW + 1 })).toBeNull();
    expect(capAt({ untilMs: NOW - 1 })).toBeNull();
    expect(capAt({ untilMs: null })).toBe(50);
  });

  it('names the first of equal caps, and sees one that names only limbs or only work', () => {
    const two = limits({ maxPercentLop: 50, givenBy: 'A' }, { maxPercentLop: 50, givenBy: 'B' });
    expect(two['left-thigh'].capFrom).toBe('A');
    const none = { maxPercentLop: null, limbs: [], modes: [] };
    expect(
      [
        none,
        { ...none, limbs: ['left-arm' as const] },
        { ...none, modes: ['passive' as const] },
        { ...none, highestRung: 'loaded' as const },
        { ...none, ranges: [KNEE_STRAIGHT] },
      ].map((changes) => hasLimits(clearance(changes))),
    ).toEqual([false, true, true, true, true]);
  });

  it('never grow by another clearance', () => {
    const some = fc.record({
      maxPercentLop: fc.option(fc.integer({ min: 10, max: 100 })),
      limbs: fc.subarray([...LIMBS]),
      modes: fc.subarray(workModeSchema.options),
      highestRung: fc.option(fc.constantFrom(...rungSchema.options)),
      ranges: fc.subarray([KNEE_STRAIGHT]),
    });
    const height = (rung: Rung | null) => rungHeight(rung ?? 'functional');
    fc.assert(
      fc.property(fc.array(some, { minLength: 1, maxLength: 4 }), some, (before, added) => {
        const few = limits(...before);
        const more = limits(...before, added);
        for (const limb of LIMBS) {
          expect(more[limb].maxPercentLop ?? 101).toBeLessThanOrEqual(few[limb].maxPercentLop ?? 101);
          const allowed = few[limb].modes ?? workModeSchema.options;
          expect((more[limb].modes ?? allowed).every((mode) => allowed.includes(mode))).toBe(true);
          expect(height(more[limb].highestRung)).toBeLessThanOrEqual(height(few[limb].highestRung));
          expect(more[limb].ranges.length).toBeGreaterThanOrEqual(few[limb].ranges.length);
          const isNamed = added.limbs.length === 0 || added.limbs.includes(limb);
          if (!isNamed) expect(more[limb]).toEqual(few[limb]);
        }
      }),
    );
  });
});

describe('which limbs a clearance clears (SCR-2)', () => {
  const letter = (limbs: Limb[], more: Parameters<typeof clearance>[0] = {}) =>
    clearance({ byPhysician: true, maxPercentLop: 60, limbs, ...more });
  const judged = (
    yes: ItemId,
    places: Limb[],
    clearances: ReturnType<typeof clearance>[],
  ): [Decision, Limb[]] => {
    const answered = {
      yes: [yes],
      bloodPressures: [calm, calm],
      places: places.length > 0 ? [{ item: yes, limbs: places }] : [],
    };
    const { decision, limbs } = judgeScreening(
      answered,
      clearances.map((given) => ({ ...given, subjects: [yes] })),
      [],
      NOW,
    );
    return [decision, limbs];
  };

  it.each([
    ['not answered: none', 'nerve-injury', ['left-thigh'], [], 'needs-clearance', []],
    [
      'the whole person, where the letter names no limb',
      'nerve-injury',
      ['left-thigh'],
      [letter([])],
      'start-with-limits',
      [...LIMBS],
    ],
    [
      'the limb it is in, named: all',
      'nerve-injury',
      ['left-thigh'],
      [letter(['left-thigh'])],
      'start-with-limits',
      [...LIMBS],
    ],
    [
      'another limb named: not the one it is in',
      'nerve-injury',
      ['left-thigh'],
      [letter(['left-arm'])],
      'start-with-limits',
      ['right-thigh', 'left-arm', 'right-arm'],
    ],
    [
      'one of two that it is in',
      'nerve-injury',
      ['left-thigh', 'left-arm'],
      [letter(['left-thigh'])],
      'start-with-limits',
      ['left-thigh', 'right-thigh', 'right-arm'],
    ],
    [
      'what is of the whole person: those named alone',
      'stroke',
      [],
      [letter(['left-thigh', 'left-arm'])],
      'start-with-limits',
      ['left-thigh', 'left-arm'],
    ],
    [
      'two letters add up',
      'stroke',
      [],
      [letter(['left-thigh']), letter(['left-arm'])],
      'start-with-limits',
      ['left-thigh', 'left-arm'],
    ],
    [
      'a stop by one that limits nothing: none',
      'stroke',
      [],
      [letter([...LIMBS], { maxPercentLop: 100, modes: workModeSchema.options })],
      'do-not-start',
      [],
    ],
    [
      'a stop by a cap of 100 %: none',
      'stroke',
      [],
      [letter(['left-thigh'], { maxPercentLop: 100 })],
      'do-not-start',
      [],
    ],
    [
      'a stop with all limbs and all work named: none',
      'stroke',
      [],
      [letter([...LIMBS], { modes: workModeSchema.options })],
      'do-not-start',
      [],
    ],
  ] as const)('%s', (_, item, places, clearances, decision, limbs) => {
    expect(judged(item, [...places], [...clearances])).toEqual([
      decision,
      [...LIMBS].filter((limb) => (limbs as readonly Limb[]).includes(limb)),
    ]);
  });

  it('keeps all from training where two findings are cleared for unlike limbs', () => {
    const { decision, limbs } = judgeScreening(
      { yes: ['stroke', 'sickle-cell-disease'], bloodPressures: [calm, calm], places: [] },
      [
        { ...letter(['left-thigh']), subjects: ['stroke'] },
        { ...letter(['left-arm']), subjects: ['sickle-cell-disease'] },
      ],
      [],
      NOW,
    );
    expect([decision, limbs]).toEqual(['do-not-start', []]);
  });
});

describe('on the day (SCR-3)', () => {
  const well = { notWell: [], painNow: 0, bloodPressure: null };
  it('finds nothing when all is well', () => expect(judgeDayCheck(well)).toEqual([]));
  it.each([
    [{ ...well, notWell: ['fever' as const] }, 'hard', 'fever'],
    [{ ...well, notWell: ['skin' as const] }, 'hard', 'skin'],
    [{ ...well, notWell: ['joint' as const] }, 'hard', 'joint'],
    [{ ...well, notWell: ['sleep' as const] }, 'note', 'sleep'],
    [{ ...well, bloodPressure: { systolicMmHg: 150, diastolicMmHg: 100 } }, 'hard', 'bloodPressure'],
    [{ ...well, painNow: 5 }, 'note', 'painNow'],
  ] as const)('finds %j', (answers, level, subject) => {
    expect(englishOf(judgeDayCheck({ ...answers, notWell: [...answers.notWell] }))).toMatchObject([
      { level, subject, rule: 'SCR-3' },
    ]);
  });
});

describe('items in a limb, and what is only asked', () => {
  it('name their limb in the reason, and it is known which limb was not said', () => {
    const { reasons } = judgeScreening(
      {
        yes: ['nerve-injury'],
        bloodPressures: [],
        places: [{ item: 'nerve-injury', limbs: ['left-arm', 'left-thigh'] }],
      },
      [],
      [],
      0,
    );
    expect(englishOf(reasons.map(({ words }) => words))).toEqual([
      'Nerve injury in the limb: left arm and left thigh',
    ]);
    const bloodPressures = [calm, calm];
    const places = [{ item: 'nerve-injury' as const, limbs: ['left-arm' as const] }];
    expect(withoutPlace(['nerve-injury', 'smoker'], [])).toEqual(['nerve-injury']);
    expect(withoutPlace(['nerve-injury', 'smoker'], places)).toEqual([]);
    const answers = { yes: ['nerve-injury'], bloodPressures, medicines: [' Amlodipine '] };
    // A stop is on record with its limb or without.
    expect(screeningAnswersSchema.parse(answers)).toMatchObject({ places: [], medicines: ['Amlodipine'] });
  });

  it('over 65 is noted, and makes no smoker need a clearance', () => {
    const judged = judgeScreening({ yes: ['smoker', 'over-65'], bloodPressures: [] }, [], [], 0);
    expect(judged.decision).toBe('clear-to-start');
    expect(
      englishOf(judgeScreening({ yes: ['smoker', 'diabetes'], bloodPressures: [] }, [], [], 0).reasons),
    ).toMatchObject([{ subject: 'smoker', level: 'clear' }, { subject: 'diabetes' }]);
  });
});

import { describe, expect, it } from 'vitest';
import { englishOf } from '#language/english-of.fixture';
import { inEnglish } from '#language/render';
import { testOcclusion } from '../plan/plan.fixture';
import { MS_PER_DAY } from '../quantity/units';
import { estimateOcclusionPressure } from './estimate';
import { pressureInForce, whyDue } from './in-force';
import { checkMethod, type PulseMethod } from './methods';
import { checkPlausibility } from './plausibility';
import type { QuickCheck } from './quick-check';
import { sideDifferenceWords } from './round';
import { lastHeldMs } from './shelf-life';
import { type ReadingSchool, type Trial, trialSchema } from './trial';

// Worked out by hand from rules LOP-2 and LOP-3; gauge division 2 mmHg throughout.

/** A trial in steps of 10 up and 4 down whose bracket is `middle` ± 2. */
const trialOf = (middle: number): Trial => ({
  goneMmHg: middle + 6,
  upMmHg: 10,
  backMmHg: middle - 2,
  downMmHg: 4,
});
const BAD: Trial = { goneMmHg: 200, upMmHg: 10, backMmHg: 150, downMmHg: 4 };

type Golden = {
  name: string;
  trials: Trial[];
  school?: ReadingSchool;
  method?: PulseMethod;
  /** LOP, U before and after rounding up. */
  gives: [number, number, number];
  steady?: boolean;
  next: 'another-trial' | 'enough' | 'refit';
  says: string;
};

const GOLDEN: Golden[] = [
  {
    // 2√(2²/3 + 100 + 2²/12): s² = 5·100/5
    name: 'one trial',
    trials: [trialOf(174)],
    gives: [174, 20.17, 21],
    next: 'another-trial',
    says: 'One trial is ±21 mmHg; a second that agrees would make it ±14.',
  },
  {
    // 2√(4/6 + 83.33/2 + 4/12): s² = 500/6
    name: 'two that are alike',
    trials: [trialOf(174), trialOf(174)],
    gives: [174, 13.06, 14],
    next: 'enough',
    says: '2 trials within 0 mmHg: enough.',
  },
  {
    // s² = (500 + 50)/6
    name: 'two exactly 10 apart',
    trials: [trialOf(174), trialOf(184)],
    gives: [179, 13.69, 14],
    next: 'enough',
    says: '2 trials within 10 mmHg: enough.',
  },
  {
    // s² = (500 + 72)/6
    name: 'two 12 apart',
    trials: [trialOf(174), trialOf(186)],
    gives: [180, 13.95, 14],
    steady: false,
    next: 'another-trial',
    says: 'The trials differ by 12 mmHg: take a third.',
  },
  {
    // Median; s² = (500 + 8² + 4² + 12²)/7 about the mean of 178, by two
    name: 'three over a range of 20, two of them near',
    trials: [trialOf(170), trialOf(174), trialOf(190)],
    gives: [174, 14.49, 15],
    next: 'enough',
    says: 'The middle of three trials, two of them within 4 mmHg: enough.',
  },
  {
    // Median; s² = (500 + 14.67² + 0.67² + 15.33²)/7, by two
    name: 'three of which no two are near',
    trials: [trialOf(160), trialOf(174), trialOf(190)],
    gives: [174, 16.57, 17],
    steady: false,
    next: 'refit',
    says: 'Unsteady: no two of the trials are within 10 mmHg. Re-fit the cuff and measure again.',
  },
  {
    // Mean; s² = (500 + 4² + 2² + 6²)/7
    name: 'three over a range of 10',
    trials: [trialOf(170), trialOf(172), trialOf(180)],
    gives: [174, 10.44, 11],
    next: 'enough',
    says: '3 trials within 10 mmHg: enough.',
  },
  {
    name: 'one that can be used of three',
    trials: [trialOf(174), BAD, BAD],
    gives: [174, 20.17, 21],
    next: 'refit',
    says: 'Only one of three trials can be used: re-fit the cuff and measure again.',
  },
  {
    // 2√(42.67 + 4²)
    name: 'two by fingers',
    trials: [trialOf(174), trialOf(174)],
    method: 'palpation',
    gives: [174, 15.32, 16],
    next: 'enough',
    says: '2 trials within 0 mmHg: enough.',
  },
  {
    // a = 10, the whole rising step: 2√(10²/3 + 83.33/2 + 4/12)
    name: 'two by first silence',
    trials: [trialOf(174), trialOf(174)],
    school: 'first-silence',
    gives: [180, 17.36, 18],
    next: 'enough',
    says: '2 trials within 0 mmHg: enough.',
  },
  {
    // a = 4, the whole falling step
    name: 'two by first return',
    trials: [trialOf(174), trialOf(174)],
    school: 'first-return',
    gives: [172, 13.76, 14],
    next: 'enough',
    says: '2 trials within 0 mmHg: enough.',
  },
];

describe('an occlusion pressure (golden table)', () => {
  it.each(GOLDEN)('$name', ({ trials, school, method, gives, steady = true, next, says }) => {
    const estimate = estimateOcclusionPressure(trials, { divisionMmHg: 2 }, school, method);
    const [value, exact, shown] = gives;
    expect(estimate?.pressure.value).toBe(value);
    expect(estimate?.pressure.interval).toEqual({ low: value - shown, high: value + shown });
    expect(estimate?.uncertaintyMmHg).toBe(shown);
    expect(estimate?.steady).toBe(steady);
    expect(englishOf(estimate?.advice)).toEqual({ next, words: says });
    expect(englishOf(estimate?.pressure.working.at(-1)?.detail)).toContain(
      `→ U = ${exact}, shown as ±${shown} mmHg`,
    );
  });

  const GAUGE = { divisionMmHg: 2 };
  const workingOf = (...asked: Parameters<typeof estimateOcclusionPressure>) =>
    estimateOcclusionPressure(...asked)?.pressure.working.map(
      ({ label, detail }) => `${inEnglish(label)}: ${inEnglish(detail)}`,
    );

  it('shows how it came about, step by step', () => {
    expect(workingOf([trialOf(174), BAD], GAUGE)).toEqual([
      'Trial 1: (170, 180] ∩ (172, 176] = 172–176 → 174, a = 2',
      expect.stringMatching(
        /^Trial 2: \(190, 200\] ∩ \(150, 154\] share nothing: not used\. Back only at 150/,
      ),
      'Mean: 174 → 174 mmHg',
      'Uncertainty: mean half-width 2, gauge division 2, n = 1, spread of this practice 10 by 0 repeats → U = 20.17, shown as ±21 mmHg',
    ]);
    expect(workingOf([trialOf(174), trialOf(186)], GAUGE)?.[2]).toBe('Mean: 174, 186 → 180 mmHg, range 12');
    expect(workingOf([170, 174, 190].map(trialOf), GAUGE)?.[3]).toBe(
      'Median: 170, 174, 190 → 174 mmHg, range 20',
    );
    expect(workingOf([trialOf(174)], GAUGE, 'first-silence')?.[0]).toMatch(
      /^Trial 1: pulse gone at 180, .* 10$/,
    );
    expect(workingOf([trialOf(174)], GAUGE, 'first-return')?.[0]).toMatch(
      /^Trial 1: pulse back at 172, .* 4$/,
    );
    expect(workingOf([trialOf(174)], { ...GAUGE, errorMmHg: 3 })?.at(-1)).toContain(
      // 2√(4/3 + 100 + 4/12 + 9/3)
      'gauge division 2 and error 3, n = 1, spread of this practice 10 by 0 repeats → U = 20.46, shown as ±21 mmHg',
    );
    expect(workingOf([trialOf(174)], GAUGE, 'bracket', 'palpation')?.at(-1)).toContain(
      ', by fingers ±4 more',
    );
  });
});

describe('which pressure counts (START-2, LOP-5)', () => {
  const fits = [
    { kind: 'cuff', limb: 'left-thigh', atMs: 0, girthCm: 54, cuffId: 'l', label: 'L', widthCm: 11.5 },
  ] as const;

  it('is the newest under a cuff as wide as the one worn, else the newest of any', () => {
    const wide = testOcclusion({ id: 'worn', atMs: 1 });
    const narrow = testOcclusion({ id: 'narrow', atMs: 2, widthCm: 9 });
    const pick = (occlusions: (typeof wide)[]) =>
      pressureInForce({ occlusions, fits }, 'left-thigh', 'sitting')?.id;
    expect(pick([wide, narrow])).toBe('worn');
    expect(pick([narrow])).toBe('narrow');
    expect(pressureInForce({ occlusions: [wide], fits }, 'right-thigh', 'sitting')).toBeUndefined();
  });

  it('is the newest in any position where none is asked for', () => {
    const occlusions = [
      testOcclusion({ id: 'standing', position: 'standing', atMs: 2 }),
      testOcclusion({ id: 'lying', position: 'lying', atMs: 1 }),
    ];
    const pick = (position?: 'lying' | 'sitting' | 'standing') =>
      pressureInForce({ occlusions, fits }, 'left-thigh', position)?.id;
    expect([pick(), pick('standing'), pick('sitting'), pick('lying')]).toEqual([
      'standing',
      'standing',
      'lying',
      'lying',
    ]);
  });
});

describe('quick checks (LOP-7)', () => {
  const day = (days: number) => days * MS_PER_DAY;
  const check = (days: number, goneMmHg: number, stepMmHg = 10): QuickCheck => ({
    atMs: day(days),
    goneMmHg,
    stepMmHg,
  });
  const held = (quickChecks: QuickCheck[], shelfLife: '4-weeks' | 'every-session' = '4-weeks') =>
    lastHeldMs(
      {
        measuredAtMs: 0,
        pressureMmHg: 174,
        quickChecks,
        widthCm: 11.5,
        girthCm: 54,
        position: 'sitting',
      },
      shelfLife,
    ) / MS_PER_DAY;
  const due = (quickChecks: QuickCheck[], days: number) =>
    whyDue(testOcclusion({ quickChecks }), { fits: [] }, 'sitting', '4-weeks', day(days));

  it('renew the shelf life twice and no more, whatever order they are kept in', () => {
    expect(held([check(20, 189)])).toBe(20);
    expect(held([check(60, 174), check(20, 189), check(40, 169)])).toBe(40);
    // In the middle 10 away at most: (180, 190] is 11.
    expect(held([check(20, 190)])).toBe(0);
    expect(held([check(20, 168)])).toBe(0);
    expect(held([check(20, 174, 11)])).toBe(0);
    expect(held([check(20, 174)], 'every-session')).toBe(0);
  });

  it('make the pressure due where one contradicted, until it is measured in full, whatever is checked after it', () => {
    expect(englishOf(due([check(3, 195)], 4))).toBe(
      'a quick check found 185 to 195 is 11 or more from 174: measure it in full.',
    );
    expect(englishOf(due([check(3, 163)], 4))).toMatch(/^a quick check found 153 to 163 is 11 or more/);
    // The nearest end is ten away: neither one nor the other.
    expect(englishOf([due([check(3, 194)], 4), due([check(3, 164)], 4)])).toEqual([null, null]);
    expect(englishOf(due([check(3, 195), check(5, 176)], 6))).toMatch(/195/);
    expect(englishOf(due([check(3, 190, 5), check(5, 200, 50)], 6))).toMatch(/185 to 190/);
    // A coarse one contradicts too, and confirms nothing.
    expect(englishOf(due([check(3, 260, 50)], 4))).toMatch(/210 to 260/);
    expect(due([check(3, 200, 50)], 4)).toBeNull();
    expect(held([check(20, 199, 50)])).toBe(0);
  });
});

describe('at the edge', () => {
  const plausible = (pressureMmHg: number, girthCm = 54, widthCm = 11.5) =>
    checkPlausibility(pressureMmHg, { girthCm, widthCm }).map(
      ({ level, message }) => `${level}: ${inEnglish(message)}`,
    );

  it('a pressure is refused over 300, and to be checked over 250 or away from what is expected (LOP-7)', () => {
    // 67 + 16.67 · 60/6 = 233.7, so that 250 and 300 are plausible
    expect(plausible(250, 60, 6)).toEqual([]);
    expect(plausible(251, 60, 6)).toEqual(['note: 251 mmHg is above 250.']);
    expect(plausible(300, 60, 6)).toEqual(['note: 300 mmHg is above 250.']);
    expect(plausible(301, 60, 6)).toEqual(['hard: 301 mmHg is above 300 and is refused.']);
    // 67 + 16.67 · 54/11.5 = 145.3; 210 is 45 % away
    expect(plausible(210)).toEqual(['note: 210 mmHg is 45 % away from about 145 for this girth and cuff.']);
    // girth ÷ width of 8 exactly: 40 % still; 67 + 133.4 = 200.4, and 118 is 41 % away
    expect(plausible(118, 64, 8)).toHaveLength(1);
    expect(plausible(118, 65, 8)).toEqual([]);
  });

  it('an oximeter is refused on a leg, and a site that the limb does not have is said with those it has (LOP-1)', () => {
    const [onLeg] = checkMethod('left-thigh', 'oximeter', 'finger');
    expect(englishOf(onLeg)).toMatchObject({
      subject: 'method',
      message: expect.stringContaining('upper limb only'),
    });
    const [onArm] = checkMethod('left-arm', 'oximeter', 'radial');
    expect(englishOf(onArm)).toMatchObject({
      subject: 'site',
      message: 'By oximeter trace, left arm is not measured at radial.',
      remedy: 'Use finger.',
    });
    expect(englishOf(checkMethod('left-thigh', 'doppler', 'radial')[0])).toMatchObject({
      subject: 'site',
      remedy: 'Use posterior tibial or dorsalis pedis.',
    });
  });

  it('sides are compared and never copied (LOP-4)', () => {
    expect(englishOf(sideDifferenceWords('left-thigh', 174, 174))).toBe(
      'Left thigh is the same as right thigh.',
    );
    expect(englishOf(sideDifferenceWords('left-thigh', 174, 182.5))).toBe(
      'Left thigh is 8.5 mmHg below right thigh.',
    );
    expect(englishOf(sideDifferenceWords('right-arm', 130, 128))).toBe('Right arm is 2 mmHg above left arm.');
  });

  it('a pulse may be gone and back at one reading, though no trial comes of it', () => {
    const same = { goneMmHg: 174, upMmHg: 10, backMmHg: 174, downMmHg: 4 };
    expect(trialSchema.safeParse(same).success).toBe(true);
    expect(trialSchema.safeParse({ ...same, backMmHg: 175 }).success).toBe(false);
    expect(estimateOcclusionPressure([same], { divisionMmHg: 2 })).toBeNull();
  });
});

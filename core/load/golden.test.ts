import { describe, expect, it } from 'vitest';
import { englishOf } from '#language/english-of.fixture';
import type { Derived } from '../derivation/derived';
import type { Finding } from '../findings/finding';
import { testKit, testStrength } from '../plan/plan.fixture';
import type { Limb } from '../quantity/limb';
import { MS_PER_DAY } from '../quantity/units';
import { sideOf, testInForce } from '../strength/in-force';
import { checkRepsToFailure, oneRepMax } from '../strength/one-rep-max';
import { strengthTestIsDue } from '../strength/shelf-life';
import { checkLoad, targetLoad, withoutKilograms } from './target-load';
import { makeableLoads, type WeightKit, weightKitSchema } from './weight-kit';

// Worked out by hand from rules LOAD-1 to LOAD-4, with the words that carry the figures.

const steps = ({ working }: Pick<Derived, 'working'>) =>
  englishOf(working).map(({ label, detail }) => `${label}: ${detail}`);
const said = (findings: Finding[]) =>
  findings.map(({ level, rule, subject, message, fix }) => [
    level,
    rule,
    subject,
    message,
    fix && 'to' in fix ? fix.to : null,
  ]);

describe('a 1RM (LOAD-1)', () => {
  it('from 30 kg × 8 is the median of seven', () => {
    const derived = oneRepMax({ loadKg: 30, reps: 8 });
    expect([derived.value, derived.interval, derived.rules]).toEqual([
      37.5,
      { low: 36, high: 38.3 },
      ['LOAD-1'],
    ]);
    const [set, ...others] = steps(derived);
    expect(set).toBe('Set to failure: 30 kg × 8');
    // 30·38/30; 1080/29; 30·8^0.1; 30·1.2; 3000/(52.2 + 41.9·0.6440); 3000/(48.8 + 53.8·0.5488); 3000/(101.3 − 21.37)
    expect(others.map((line) => line.replace(/^.*: /, ''))).toEqual([
      '38 kg',
      '37.24 kg',
      '36.93 kg',
      '36 kg',
      '37.89 kg',
      '38.3 kg',
      '37.53 kg',
      '37.5 kg',
    ]);
  });

  it('from one repetition is the load itself, and from none or more than 15 nothing', () => {
    const direct = oneRepMax({ loadKg: 40, reps: 1 });
    expect([direct.value, steps(direct), direct.rules]).toEqual([
      40,
      ['Direct: 40 kg lifted once'],
      ['LOAD-1'],
    ]);
    expect(oneRepMax({ loadKg: 20, reps: 15 }).value).toBeGreaterThan(25);
    for (const reps of [0, 0.5, 16]) expect(() => oneRepMax({ loadKg: 20, reps })).toThrow(RangeError);
  });

  it('is best between 3 and 10 repetitions, or from one', () => {
    expect([1, 3, 10].flatMap(checkRepsToFailure)).toEqual([]);
    expect([2, 11].flatMap(checkRepsToFailure).map(({ level }) => level)).toEqual(['note', 'note']);
  });

  it('holds 42 days and no longer (LOAD-2)', () => {
    expect(strengthTestIsDue(testStrength(), 42 * MS_PER_DAY)).toBe(false);
    expect(strengthTestIsDue(testStrength(), 42 * MS_PER_DAY + 1)).toBe(true);
  });
});

describe('the test that counts (LOAD-2, LOAD-3)', () => {
  const left = testStrength({ id: 'left', side: 'left' });
  const right = testStrength({ id: 'right', side: 'right', atMs: 9 });
  const both = testStrength({
    id: 'both',
    side: 'both',
    oneRepMax: {
      value: 75.5,
      unit: 'kg',
      working: [{ label: 'Direct', detail: '75.5 kg lifted once' }],
      interval: { low: 70, high: 81 },
      rules: ['LOAD-1'],
    },
  });
  const servingAfter =
    (...operated: Limb[]) =>
    (tests: (typeof left)[], ...limbs: ('left-thigh' | 'right-thigh')[]) => {
      const procedures = operated.map((limb) => ({ limb }));
      const found = testInForce({ strengthTests: tests, procedures }, 'knee-extension', limbs);
      return found && [found.fact.id, found.stands, found.oneRepMax.value];
    };
  const serving = servingAfter();

  it('is the side’s own, then half of both, then the other side’s, and never one side’s for two', () => {
    expect(serving([left, right, both], 'left-thigh')).toEqual(['left', 'itself', 40]);
    expect(serving([right, both], 'left-thigh')).toEqual(['both', 'half-of-both', 37.75]);
    expect(serving([right], 'left-thigh')).toEqual(['right', 'other-side', 40]);
    expect(serving([left], 'right-thigh')).toEqual(['left', 'other-side', 40]);
    expect(serving([left, right], 'left-thigh', 'right-thigh')).toBeUndefined();
    expect(serving([both], 'left-thigh', 'right-thigh')).toEqual(['both', 'itself', 75.5]);
    expect(serving([left])).toBeUndefined();
    expect([sideOf([]), sideOf(['left-arm']), sideOf(['right-thigh', 'left-thigh'])]).toEqual([
      undefined,
      'left',
      'both',
    ]);
  });

  it('is never half of both for a limb that was operated on', () => {
    const operated = servingAfter('left-thigh');
    expect(operated([right, both], 'left-thigh')).toEqual(['right', 'other-side', 40]);
    expect(operated([both], 'left-thigh')).toBeUndefined();
    expect(operated([left, both], 'left-thigh')).toEqual(['left', 'itself', 40]);
    expect(operated([both], 'right-thigh')).toEqual(['both', 'half-of-both', 37.75]);
  });

  it('says how half of both came about', () => {
    const half = testInForce({ strengthTests: [both], procedures: [] }, 'knee-extension', [
      'left-thigh',
    ])?.oneRepMax;
    expect(half?.interval).toEqual({ low: 35, high: 40.5 });
    expect(half?.rules).toEqual(['LOAD-1', 'LOAD-3']);
    expect(half && steps(half)).toEqual([
      'Direct: 75.5 kg lifted once',
      'Half of both sides: 75.5 kg ÷ 2 = 37.75 kg',
    ]);
  });
});

describe('a load (LOAD-3, LOAD-4)', () => {
  const target = (percent: number, kit: WeightKit = testKit, oneRepMaxKg = 40) =>
    targetLoad(oneRepMaxKg, percent, kit);

  it('is the heaviest at or under the share, with its neighbours', () => {
    const ten = target(25);
    expect([ten.load.value, ten.truePercent, ten.load.rules]).toEqual([10, 25, ['LOAD-3', 'LOAD-4']]);
    expect(steps(ten.load)).toEqual([
      'Share of 1RM: 40 kg × 25 % = 10 kg',
      'Rounded down: Leg extension stack: pin at 10 kg → 10 kg, truly 25 % of 1RM',
    ]);
    expect(englishOf([ten.lighter, ten.heavier])).toMatchObject([
      { loadKg: 7.5, percent: 18.8 },
      { loadKg: 12.5, percent: 31.3 },
    ]);
    expect(target(24.9).load.value).toBe(7.5);
  });

  it('is the lightest there is where nothing is under it, and says so', () => {
    const five = target(10);
    expect(englishOf([five.load.value, five.truePercent, five.lighter])).toEqual([5, 12.5, null]);
    expect(steps(five.load)[1]).toMatch(/^Lightest there is: .* → 5 kg, truly 12.5 % of 1RM$/);
    expect(target(200).heavier).toBeNull();
  });

  it('is judged by the higher of what is asked and what the kit makes', () => {
    const over = (percent: number, kit?: WeightKit, oneRepMaxKg?: number) =>
      said(checkLoad(percent, target(percent, kit, oneRepMaxKg)));
    expect([over(20), over(40)]).toEqual([[], []]);
    expect(englishOf(over(41))).toEqual([
      ['guard', 'LOAD-3', 'percentOneRepMax', '41 % of 1RM is above the usual 40 %.', 40],
    ]);
    expect(englishOf(over(50)[0]?.[0])).toBe('guard');
    expect(englishOf(over(51))).toEqual([
      [
        'hard',
        'LOAD-3',
        'percentOneRepMax',
        '51 % of 1RM is above 50 %, which must not be used under a cuff.',
        40,
      ],
    ]);
    expect(englishOf(over(19))).toEqual([
      [
        'note',
        'LOAD-3',
        'percentOneRepMax',
        '19 % of 1RM is below 20 %: meant for early rehabilitation.',
        20,
      ],
    ]);
    // 5 kg of 9 is 55.6 %, of 12 is 41.7 %, of 20 is 25 %
    const heavy = (oneRepMaxKg: number, percent = 20) => over(percent, testKit, oneRepMaxKg);
    expect(englishOf(heavy(9))).toEqual([
      [
        'hard',
        'LOAD-4',
        'weightKitId',
        'The lightest this kit makes is 5 kg, which is 55.6 % of 1RM and above the 20 % asked for.',
        null,
      ],
    ]);
    expect(englishOf(heavy(12)[0]?.[0])).toBe('guard');
    expect(englishOf(heavy(20)[0]?.[0])).toBe('note');
    expect(englishOf(heavy(10)[0]?.[0])).toBe('guard');
    expect(englishOf(heavy(12.5)[0]?.[0])).toBe('note');
    expect(heavy(20, 25)).toEqual([]);
  });

  it('without kilograms has a name and neighbours, and no share', () => {
    const bands: WeightKit = { kind: 'bands', id: 'b', label: 'Bands', names: ['yellow', 'red', 'blue'] };
    const red = withoutKilograms('red', [bands]);
    expect(englishOf(red)).toMatchObject({
      truePercent: null,
      recipe: 'red band',
      lighter: { recipe: 'yellow band', loadKg: null, percent: null },
      heavier: { recipe: 'blue band' },
    });
    expect([steps(red.load), red.load.rules]).toEqual([
      ['Without kilograms: red band: it enters no computed load'],
      ['LOAD-4'],
    ]);
    expect(withoutKilograms('blue', [bands]).heavier).toBeNull();
    expect(englishOf(withoutKilograms('green', [bands]))).toMatchObject({ lighter: null, heavier: null });
  });
});

describe('what kit makes (LOAD-4)', () => {
  const kgOf = (kit: WeightKit) => makeableLoads(kit).map(({ loadKg }) => loadKg);
  const bar = (pairs: { plateKg: number; pairs: number }[]): WeightKit => ({
    kind: 'bar-and-plates',
    id: 'bar',
    label: 'Bar',
    barKg: 10,
    pairs,
  });

  it('is each dumbbell once and in order, each pin of a stack, each sum of pairs, and no band', () => {
    expect(kgOf({ kind: 'single-masses', id: 'd', label: 'D', massesKg: [10, 2, 4, 2] })).toEqual([2, 4, 10]);
    expect(kgOf({ kind: 'stack', id: 's', label: 'S', lightestKg: 5, stepKg: 5, heaviestKg: 5 })).toEqual([
      5,
    ]);
    // 10 kg and pairs of 2.5 and 1.25: 5 and 2.5 more
    expect(
      kgOf(
        bar([
          { plateKg: 2.5, pairs: 1 },
          { plateKg: 1.25, pairs: 1 },
        ]),
      ),
    ).toEqual([10, 12.5, 15, 17.5]);
    expect(kgOf({ kind: 'bands', id: 'b', label: 'B', names: ['red'] })).toEqual([]);
  });

  it('is refused beside the field where it makes more than anyone uses', () => {
    const wrong = (kit: object) => weightKitSchema.safeParse(kit).error?.issues.map(({ path }) => path);
    const stack = { kind: 'stack', id: 's', label: 'S', lightestKg: 5, stepKg: 5, heaviestKg: 100 };
    expect(wrong(stack)).toBeUndefined();
    expect(wrong({ ...stack, heaviestKg: 5 })).toBeUndefined();
    expect(wrong({ ...stack, heaviestKg: 4 })).toEqual([['heaviestKg']]);
    expect(wrong({ ...stack, stepKg: 0.01, heaviestKg: 100 })).toEqual([['stepKg']]);
  });
});

import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { englishOf } from '#language/english-of.fixture';
import { otherSide } from '../quantity/limb';
import { CAREFUL, simulateTrial } from '../simulation/operator';
import { estimateOcclusionPressure, expandedUncertainty, type Terms, toHalf } from './estimate';
import { checkMethod } from './methods';
import { checkPlausibility, expectedOcclusionPressureMmHg } from './plausibility';
import { NOTHING_SEEN } from './practice-spread';
import { roundOf, sideDifferenceWords } from './round';
import { dueAtMs, reasonDue } from './shelf-life';
import { bracket, checkSteps, readTrial, type Trial, trialSchema } from './trial';

/** A limb that does not breathe: its occlusion pressure stays where it is. */
const still = (occlusionMmHg: number) => ({ occlusionMmHg, heartRateBpm: 60, fadeMmHg: 8, breathMmHg: 0 });
const QUICK = { ...CAREFUL, dwellMs: 250 };

const trial = (goneMmHg: number, backMmHg: number, upMmHg = 10, downMmHg = 4): Trial => ({
  goneMmHg,
  upMmHg,
  backMmHg,
  downMmHg,
});
const DAY = 86_400_000;

describe('bracket (LOP-2)', () => {
  it('works the example of the rule: 174, half-width 2', () => {
    expect(englishOf(bracket(trial(200, 172, 50, 4)))).toMatchObject({
      consistent: true,
      bracket: { low: 172, high: 176 },
    });
    expect(readTrial(trial(200, 172, 50, 4), 'bracket')).toEqual({ estimateMmHg: 174, halfWidthMmHg: 2 });
  });

  it('flags a trial whose two directions cannot both be right', () => {
    // (190, 200] and (160, 164] are 26 mmHg apart.
    expect(englishOf(bracket(trial(200, 160, 10, 4)))).toMatchObject({
      consistent: false,
      words: expect.stringContaining('26 mmHg under'),
    });
    // Gone and back at one pressure: (gone − up, gone] and (gone, gone + down] share nothing.
    expect(englishOf(bracket(trial(180, 180)))).toMatchObject({
      consistent: false,
      words: expect.stringContaining('read “back” again'),
    });
    expect(readTrial(trial(200, 160, 10, 4), 'bracket')).toBeNull();
  });

  it('reads one direction only in the first-silence and first-return schools', () => {
    expect(readTrial(trial(200, 172, 50, 4), 'first-silence')).toEqual({
      estimateMmHg: 200,
      halfWidthMmHg: 50,
    });
    expect(readTrial(trial(200, 172, 50, 4), 'first-return')).toEqual({
      estimateMmHg: 172,
      halfWidthMmHg: 4,
    });
  });

  it('refuses a school of one direction with a step over 20, and notes one over 10', () => {
    const levels = (up: number, down: number, school: 'first-silence' | 'first-return' | 'bracket') =>
      checkSteps([trial(200, 172, up, down)], school).map(({ level }) => level);
    expect([levels(10, 4, 'first-silence'), levels(11, 4, 'first-silence')]).toEqual([[], ['note']]);
    expect([levels(20, 4, 'first-silence'), levels(21, 4, 'first-silence')]).toEqual([['note'], ['hard']]);
    expect([levels(50, 10, 'first-return'), levels(50, 21, 'first-return')]).toEqual([[], ['hard']]);
    expect(levels(50, 50, 'bracket')).toEqual([]);
  });

  it('contains the truth for any simulated limb and any step sizes', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 80, max: 300, noNaN: true }),
        fc.integer({ min: 1, max: 50 }),
        fc.integer({ min: 1, max: 20 }),
        (occlusionMmHg, upMmHg, downMmHg) => {
          const result = bracket(simulateTrial(still(occlusionMmHg), { ...QUICK, upMmHg, downMmHg }));
          expect(result.consistent).toBe(true);
          if (!result.consistent) return;
          expect(result.bracket.low).toBeLessThanOrEqual(occlusionMmHg);
          expect(result.bracket.high).toBeGreaterThanOrEqual(occlusionMmHg);
        },
      ),
    );
  });

  it('refuses a pulse that went below where it came back, at the field that is wrong', () => {
    const parsed = trialSchema.safeParse(trial(160, 172));
    expect(parsed.success).toBe(false);
    expect(parsed.error?.issues[0]).toMatchObject({ path: ['goneMmHg'] });
    expect(parsed.error?.issues[0]?.message).toMatch(/gone cannot be below back/);
  });
});

describe('estimateOcclusionPressure (LOP-3)', () => {
  it('gives nothing while no trial can be used', () => {
    expect(estimateOcclusionPressure([], { divisionMmHg: 2 })).toBeNull();
    expect(estimateOcclusionPressure([trial(200, 160)], { divisionMmHg: 2 })).toBeNull();
  });

  it('says what a single trial costs', () => {
    const estimate = estimateOcclusionPressure([trial(180, 172)], { divisionMmHg: 2 });
    // a = 2, s² = 500/5, U = 2·√(4/3 + 100 + 4/12) = 20.17; two: s² = 500/6, U = 2·√(4/6 + 500/12 + 4/12) = 13.06
    expect(englishOf(estimate)).toMatchObject({
      uncertaintyMmHg: 21,
      steady: true,
      advice: {
        next: 'another-trial',
        words: 'One trial is ±21 mmHg; a second that agrees would make it ±14.',
      },
    });
    expect(estimate?.pressure.value).toBe(174);
  });

  it('adds what the method itself does not know, and says that this is an assumption', () => {
    const by = (method: 'doppler' | 'palpation' | 'oximeter' | 'automatic-pump') =>
      estimateOcclusionPressure([trial(180, 172), trial(180, 172)], { divisionMmHg: 2 }, 'bracket', method);
    // 2·√(42.67 + m²) with m = 0, 4, 3, 3
    expect(
      [by('doppler'), by('palpation'), by('oximeter'), by('automatic-pump')].map(
        (one) => one?.uncertaintyMmHg,
      ),
    ).toEqual([14, 16, 15, 15]);
    expect(englishOf(by('palpation')?.pressure.working.at(-1)?.detail)).toContain('working assumption');
  });

  it('keeps a pressure to half a mmHg, a tie down', () => {
    expect([174.2, 174.25, 174.26, 174.75, 174.76].map(toHalf)).toEqual([174, 174, 174.5, 174.5, 175]);
  });

  it('is content with two trials within 10 mmHg and takes their mean', () => {
    const estimate = estimateOcclusionPressure([trial(180, 172), trial(180, 176)], { divisionMmHg: 2 });
    expect(estimate?.pressure.value).toBe(176);
    expect(estimate?.advice.next).toBe('enough');
    expect(estimate?.pressure.rules).toContain('LOP-3');
  });

  it('asks for a third when two differ by more than 10', () => {
    const estimate = estimateOcclusionPressure([trial(180, 172), trial(200, 190)], { divisionMmHg: 2 });
    expect(englishOf(estimate?.advice)).toMatchObject({ next: 'another-trial' });
    expect(estimate?.steady).toBe(false);
  });

  it('takes the median of three that disagree, unsteady where no two are within 10 mmHg', () => {
    const near = estimateOcclusionPressure([trial(180, 172), trial(200, 190), trial(170, 164)], {
      divisionMmHg: 2,
    });
    expect(englishOf(near)).toMatchObject({ steady: true, advice: { next: 'enough' } });
    expect(near?.pressure.value).toBe(174);
    const apart = estimateOcclusionPressure([trial(180, 172), trial(200, 190), trial(160, 152)], {
      divisionMmHg: 2,
    });
    expect(englishOf(apart)).toMatchObject({ steady: false, advice: { next: 'refit' } });
    expect(apart?.pressure.value).toBe(174);
  });

  it('keeps an inconsistent trial out of the number and in the working', () => {
    const estimate = estimateOcclusionPressure([trial(200, 160), trial(180, 172)], { divisionMmHg: 2 });
    expect(estimate?.trialsUsed).toBe(1);
    expect(englishOf(estimate?.pressure.working[0]?.detail)).toMatch(/share nothing: not used/);
  });

  it('refuses a fourth trial', () => {
    expect(() => estimateOcclusionPressure(Array(4).fill(trial(180, 172)), { divisionMmHg: 2 })).toThrow(
      RangeError,
    );
  });

  it('is less sure with a coarser gauge, wider brackets or trials further apart', () => {
    const base = {
      halfWidthMmHg: 2,
      isOneWay: false,
      gauge: { divisionMmHg: 2 },
      methodMmHg: 0,
      practice: NOTHING_SEEN,
    };
    const of = (estimates: number[], changes: Partial<Terms> = {}) =>
      expandedUncertainty(estimates, { ...base, ...changes });
    const usual = of([174, 176]);
    expect(of([174, 176], { gauge: { divisionMmHg: 10 } })).toBeGreaterThan(usual);
    expect(of([174, 176], { gauge: { divisionMmHg: 2, errorMmHg: 3 } })).toBeGreaterThan(usual);
    expect(of([174, 176], { halfWidthMmHg: 5 })).toBeGreaterThan(usual);
    expect(of([170, 180])).toBeGreaterThan(usual);
    expect(of([174, 176, 175])).toBeLessThan(usual);
    expect(of([174, 176], { methodMmHg: 4 })).toBeGreaterThan(usual);
    expect(of([174, 176], { isOneWay: true })).toBeGreaterThan(usual);
  });

  it('goes by what the practice has seen, beginning from 10 mmHg that is worth five trials', () => {
    const two = [trial(180, 172), trial(180, 172)];
    const seeing = (squares: number, degrees: number) =>
      estimateOcclusionPressure(two, { divisionMmHg: 2 }, 'bracket', 'doppler', { squares, degrees });
    // 2√(4/6 + s²/2 + 4/12): s² = 500/6 at first; (500 + 160)/16 after ten repeats that differed by 4; (500 + 9,000)/16 by 30.
    expect([seeing(0, 0), seeing(160, 10), seeing(9_000, 10)].map((one) => one?.uncertaintyMmHg)).toEqual([
      14, 10, 35,
    ]);
    expect(englishOf(seeing(160, 10)?.pressure.working.at(-1)?.detail)).toContain(
      'spread of this practice 6.4 by 11 repeats',
    );
  });

  it('holds the true pressure within its uncertainty for a careful operator', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 90, max: 290, noNaN: true }),
        fc.integer({ min: 2, max: 20 }),
        fc.integer({ min: 2, max: 10 }),
        (occlusionMmHg, up, down) => {
          const trials = [up, up + 3].map((step) =>
            simulateTrial(still(occlusionMmHg), { ...QUICK, upMmHg: step, downMmHg: down }),
          );
          const estimate = estimateOcclusionPressure(trials, { divisionMmHg: 2 });
          expect(Math.abs((estimate?.pressure.value ?? 0) - occlusionMmHg)).toBeLessThanOrEqual(
            estimate?.uncertaintyMmHg ?? 0,
          );
        },
      ),
    );
  });
});

describe('plausibility (LOP-7)', () => {
  it('expects more pressure from a narrower cuff on the same limb', () => {
    expect(expectedOcclusionPressureMmHg({ girthCm: 54, widthCm: 10 })).toBeCloseTo(157.0, 1);
    expect(expectedOcclusionPressureMmHg({ girthCm: 54, widthCm: 5 })).toBeGreaterThan(247);
  });

  it('goes by the resting blood pressure where one is known', () => {
    // 78 + (124 − 78) × 54 ÷ (3 × 11.5) = 150
    const resting = { systolicMmHg: 124, diastolicMmHg: 78 };
    expect(expectedOcclusionPressureMmHg({ girthCm: 54, widthCm: 11.5, resting })).toBeCloseTo(150, 6);
  });

  it('accepts the ordinary, questions the odd and refuses the impossible', () => {
    const thigh = { girthCm: 54, widthCm: 10 };
    expect(checkPlausibility(174, thigh)).toEqual([]);
    expect(englishOf(checkPlausibility(230, thigh))).toMatchObject([{ level: 'note', rule: 'LOP-7' }]);
    expect(englishOf(checkPlausibility(255, { girthCm: 54, widthCm: 5 }))).toMatchObject([
      { level: 'note', message: '255 mmHg is above 250.' },
    ]);
    expect(englishOf(checkPlausibility(301, thigh))).toMatchObject([{ level: 'hard' }]);
  });

  it('takes exactly 40 % as within, and 60 % under a cuff narrow for the limb', () => {
    // 50 + 50 × 30 ÷ (3 × 10) = 100
    const arm = { girthCm: 30, widthCm: 10, resting: { systolicMmHg: 100, diastolicMmHg: 50 } };
    expect([checkPlausibility(140, arm).length, checkPlausibility(140.5, arm).length]).toEqual([0, 1]);
    // 40 + 15 × 24 ÷ (3 × 2) = 100, girth ÷ width 12
    const narrow = { girthCm: 24, widthCm: 2, resting: { systolicMmHg: 55, diastolicMmHg: 40 } };
    expect([checkPlausibility(160, narrow).length, checkPlausibility(160.5, narrow).length]).toEqual([0, 1]);
  });
});

describe('reasonDue (LOP-6)', () => {
  const stored = {
    measuredAtMs: 0,
    widthCm: 10,
    girthCm: 54,
    position: 'sitting' as const,
    pressureMmHg: 174,
    quickChecks: [],
  };
  const same = { widthCm: 10, girthCm: 54 };

  it('holds for its shelf life and no longer', () => {
    expect(reasonDue(stored, same, '4-weeks', 28 * DAY)).toBeNull();
    expect(englishOf(reasonDue(stored, same, '4-weeks', 28 * DAY + 1))).toMatch(/28 days old/);
    expect(reasonDue(stored, same, 'every-session', DAY)).not.toBeNull();
  });

  it('is due at once with another cuff width or a girth change over 5 %', () => {
    expect(englishOf(reasonDue(stored, { widthCm: 7, girthCm: 54 }, '4-weeks', DAY))).toMatch(/7 cm/);
    expect(reasonDue(stored, { widthCm: 10, girthCm: 56.7 }, '4-weeks', DAY)).toBeNull();
    expect(englishOf(reasonDue(stored, { widthCm: 10, girthCm: 57 }, '4-weeks', DAY))).toMatch(/5.6 %/);
  });

  it('is due for a more reclined position, not for a more upright one (LOP-5)', () => {
    expect(englishOf(reasonDue(stored, { ...same, position: 'lying' }, '4-weeks', DAY))).toMatch(/higher/);
    expect(reasonDue(stored, { ...same, position: 'standing' }, '4-weeks', DAY)).toBeNull();
  });

  it('is renewed at most twice, in steps of 10 or less, and never where it is measured every session (LOP-7)', () => {
    const checked = (...days: number[]) => ({
      ...stored,
      quickChecks: days.map((day) => ({ atMs: day * DAY, goneMmHg: 176, stepMmHg: 10 })),
    });
    expect(reasonDue(checked(20, 40), same, '4-weeks', 68 * DAY)).toBeNull();
    expect(englishOf(reasonDue(checked(20, 40, 60), same, '4-weeks', 69 * DAY))).toMatch(/29 days old/);
    const coarse = { ...stored, quickChecks: [{ atMs: 20 * DAY, goneMmHg: 176, stepMmHg: 11 }] };
    expect(reasonDue(coarse, same, '4-weeks', 29 * DAY)).not.toBeNull();
    expect(reasonDue(checked(1), same, 'every-session', 1.1 * DAY)).not.toBeNull();
  });

  it('is renewed by a quick check within 10 mmHg, and made due by one further off (LOP-7)', () => {
    const checked = (goneMmHg: number, day: number) => ({
      ...stored,
      quickChecks: [{ atMs: day * DAY, goneMmHg }],
    });
    // Older checks did not keep their step: ten is taken for it.
    expect(reasonDue(checked(189, 20), same, '4-weeks', 40 * DAY)).toBeNull();
    expect(dueAtMs(checked(189, 20), '4-weeks')).toBe(48 * DAY);
    expect(englishOf(reasonDue(checked(195, 20), same, '4-weeks', 21 * DAY))).toMatch(/measure it in full/);
    expect(dueAtMs(checked(195, 20), '4-weeks')).toBe(28 * DAY);
  });
});

describe('method and site (LOP-1)', () => {
  it('refuses an oximeter on a leg, and says why', () => {
    expect(englishOf(checkMethod('left-thigh', 'oximeter', 'finger'))).toMatchObject([
      { level: 'hard', subject: 'method', message: expect.stringContaining('upper limb only') },
    ]);
    expect(checkMethod('left-arm', 'oximeter', 'finger')).toEqual([]);
  });

  it('refuses a site that the limb does not have', () => {
    expect(englishOf(checkMethod('left-arm', 'doppler', 'dorsalis-pedis'))).toMatchObject([
      { subject: 'site' },
    ]);
    expect(checkMethod('right-thigh', 'palpation', 'dorsalis-pedis')).toEqual([]);
  });
});

describe('a round of limbs', () => {
  it('measures all limbs in one position before the next', () => {
    expect(roundOf(['right-thigh', 'left-thigh'], ['lying', 'standing'])).toEqual([
      { limb: 'left-thigh', position: 'lying' },
      { limb: 'right-thigh', position: 'lying' },
      { limb: 'left-thigh', position: 'standing' },
      { limb: 'right-thigh', position: 'standing' },
    ]);
  });

  it('says how far the sides are apart', () => {
    expect(otherSide('left-thigh')).toBe('right-thigh');
    expect(englishOf(sideDifferenceWords('left-thigh', 174, 182.5))).toBe(
      'Left thigh is 8.5 mmHg below right thigh.',
    );
  });
});

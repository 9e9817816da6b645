import { describe, expect, it } from 'vitest';
import { englishOf } from '#language/english-of.fixture';
import type { Derived } from '../derivation/derived';
import type { Finding } from '../findings/finding';
import { MS_PER_DAY } from '../quantity/units';
import {
  checkExercisePercent,
  checkPassivePercent,
  checkPosition,
  type ExerciseBounds,
} from './check-pressure';
import { mostPercentLop } from './most-percent-lop';
import { primingPressures } from './priming';
import { proposedPercent, rampLevel, rampWords } from './ramp';
import { targetPressure } from './target-pressure';

// Worked out by hand from rules PRS-1 to PRS-4, with the words that carry the figures.

const steps = ({ working }: Pick<Derived, 'working'>) =>
  englishOf(working).map(({ label, detail }) => `${label}: ${detail}`);

describe('a target (PRS-1, PRS-3, LOP-5)', () => {
  it('shows the product, the rounding and the true range', () => {
    const { target, trueRange } = targetPressure({ value: 174, uncertainty: 5 }, 60, 2);
    expect([target.value, target.rules]).toEqual([104, ['PRS-1']]);
    expect(steps(target)).toEqual([
      'Share of LOP: 174 mmHg × 60 % = 104.4 mmHg',
      'Rounded down: to the gauge division of 2 → 104 mmHg',
    ]);
    expect([trueRange.value, trueRange.interval, trueRange.rules]).toEqual([
      59.8,
      { low: 57.5, high: 62.1 },
      ['PRS-1'],
    ]);
    expect(steps(trueRange)).toEqual([
      'At the least: (104 − 1) ÷ (174 + 5) = 57.5 %',
      'At the most: (104 + 1) ÷ (174 − 5) = 62.1 %',
    ]);
  });

  it('says that it was kept under LOP, and what being more upright takes away', () => {
    const { target, trueRange } = targetPressure({ value: 174, uncertainty: 5, uprightAddsMmHg: 45 }, 100, 2);
    expect([target.value, target.rules]).toEqual([168, ['PRS-1', 'PRS-3']]);
    expect(steps(target)).toEqual([
      'Share of LOP: 174 mmHg × 100 % = 174 mmHg',
      'Rounded down: to the gauge division of 2 → 174 mmHg',
      'Kept under LOP: 174 − 5 − 1, to the division → 168 mmHg',
    ]);
    expect(trueRange.rules).toEqual(['PRS-1', 'LOP-5']);
    // 167 ÷ 224, 169 ÷ 169
    expect(steps(trueRange)).toEqual([
      'At the least: (168 − 1) ÷ (174 + 5 + 45 for being more upright) = 74.6 %',
      'At the most: (168 + 1) ÷ (174 − 5) = 100 %',
    ]);
  });
});

const said = (findings: Finding[]) =>
  findings.map(({ level, rule, message, fix }) => [level, rule, message, fix && 'to' in fix ? fix.to : null]);
const leg = (percent: number, bounds: ExerciseBounds = {}, school = 'research-consensus' as const) =>
  said(checkExercisePercent('left-thigh', percent, school, bounds));

describe('a share of LOP (PRS-2 to PRS-4, SCR-2)', () => {
  it('over 80 is never allowed, under 40 is said unless a cap under 40 set it', () => {
    expect(englishOf(leg(81))).toEqual([
      ['hard', 'PRS-3', '81 % is above 80 % of LOP, which must not be exercised at.', 80],
    ]);
    expect(leg(80)).toEqual([]);
    const low = (percent: number) => [
      ['note', 'PRS-3', `${percent} % is below the 40 % that exercise is usually done at.`, 40],
    ];
    expect(englishOf(leg(39))).toEqual(low(39));
    expect(leg(40)).toEqual([]);
    expect(leg(35, { capPercentLop: 35 })).toEqual([]);
    expect(englishOf(leg(36, { capPercentLop: 35 }))).toEqual(low(36));
    expect(englishOf(leg(35, { capPercentLop: 40 }))).toEqual(low(35));
    expect(englishOf(leg(35, { capPercentLop: 60 }))).toEqual(low(35));
  });

  it('over a school’s top or the ramp is a guard, with the way back', () => {
    const arm = (percent: number) => said(checkExercisePercent('left-arm', percent, 'clinic'));
    expect(englishOf(arm(51))).toEqual([
      ['guard', 'PRS-3', '51 % is above the 50 % that Clinic goes to on this kind of limb.', 50],
    ]);
    expect(arm(50)).toEqual([]);
    expect(englishOf(leg(46, { rampPercentLop: 45 }))).toEqual([
      ['guard', 'PRS-4', '46 % is above the 45 % that the ramp allows this week.', 45],
    ]);
    expect(leg(45, { rampPercentLop: 45 })).toEqual([]);
  });

  it('outside what a school or a protocol works at is noted, up or down to its edge', () => {
    expect(englishOf(said(checkExercisePercent('left-thigh', 55, 'clinic')))).toEqual([
      ['note', 'PRS-2', 'Clinic works at 60–80 % on this limb; 55 % is outside it.', 60],
    ]);
    const warmUp = { byProtocol: { low: 60, high: 60 } };
    expect(leg(60, warmUp)).toEqual([]);
    expect(englishOf(leg(59, warmUp))).toEqual([
      ['note', 'PRS-2', 'This protocol works at 60 % on this limb; 59 % is outside it.', 60],
    ]);
    const aerobic = { byProtocol: { low: 40, high: 100 } };
    expect(leg(80, aerobic)).toEqual([]);
    expect(englishOf(leg(70, { byProtocol: { low: 40, high: 50 } }))).toEqual([
      ['note', 'PRS-2', 'This protocol works at 40–50 % on this limb; 70 % is outside it.', 50],
    ]);
    // A protocol that goes higher than the school's top still ends there.
    expect(
      englishOf(said(checkExercisePercent('left-arm', 45, 'clinic', { byProtocol: { low: 60, high: 100 } }))),
    ).toEqual([['note', 'PRS-2', 'This protocol works at 50 % on this limb; 45 % is outside it.', 50]]);
  });

  it('of passive cycles goes to LOP and no further, and under 70 is said unless it is built up', () => {
    expect(englishOf(said(checkPassivePercent(101)))).toEqual([
      ['hard', 'PRS-3', '101 % is above the occlusion pressure itself.', 100],
    ]);
    expect([checkPassivePercent(100), checkPassivePercent(70), checkPassivePercent(50, true)]).toEqual([
      [],
      [],
      [],
    ]);
    expect(englishOf(said(checkPassivePercent(69)))).toEqual([
      ['note', 'PRS-3', 'Passive cycles are done at 70–100 % of LOP.', 70],
    ]);
    expect([mostPercentLop('passive'), mostPercentLop('aerobic')]).toEqual([100, 80]);
  });

  it('holds in the position it was measured in, and is refused in one more reclined', () => {
    expect(checkPosition('sitting', 'sitting')).toEqual([]);
    expect(englishOf(checkPosition('lying', 'standing')[0])).toMatchObject({ level: 'note' });
    expect(englishOf(checkPosition('standing', 'lying')[0])).toMatchObject({
      level: 'hard',
      fix: { set: 'position', to: 'standing' },
    });
  });
});

describe('the ramp in words (PRS-4)', () => {
  const TODAY = 100;
  const ago = (days: number) => ({
    atMs: (TODAY - days) * MS_PER_DAY,
    day: TODAY - days,
    kinds: ['leg'] as const,
    tolerated: true,
  });
  const level = (...daysAgo: number[]) => {
    const of = [daysAgo.map(ago), 'leg', 'research-consensus', TODAY] as const;
    const { percentLop, running } = rampLevel(...of);
    return [percentLop, running, rampWords(...of)];
  };

  it('says where a person is on the ramp and why', () => {
    expect(englishOf(level())).toEqual([40, true, 'no session yet: the first week is at 40 %']);
    expect(englishOf(level(8, 1))).toEqual([
      45,
      true,
      '40 %, 5 points a week trained and tolerated, up to 60 % → 45 %',
    ]);
    expect(englishOf(level(28, 22, 20))).toEqual([
      50,
      true,
      '40 %, 5 points a week trained and tolerated, up to 60 % → 50 %',
    ]);
    expect(englishOf(level(35, 28, 21))).toEqual([40, true, '21 days off: begins again at 40 %']);
    expect(englishOf(level(42))).toEqual([40, true, '42 days off: begins again at 40 %']);
  });

  it('counts a session of this very moment, and none that is still to come', () => {
    expect(englishOf(level(8, 0))).toEqual([45, true, expect.any(String)]);
    expect(englishOf(level(7, -1))).toEqual([45, true, expect.any(String)]);
  });

  it('proposes its level, the school and the cap as its working', () => {
    const free = proposedPercent('left-thigh', 'research-consensus', [ago(8), ago(1)], TODAY);
    expect([free.value, free.unit, free.rules]).toEqual([45, '%LOP', ['PRS-2', 'PRS-4']]);
    expect(steps(free)).toEqual([
      'Research consensus: starts at 40 %, usually 60 %',
      'Ramp: 40 %, 5 points a week trained and tolerated, up to 60 % → 45 %',
    ]);
    const capped = proposedPercent('left-thigh', 'research-consensus', [ago(8), ago(1)], TODAY, 42);
    expect([capped.value, capped.rules]).toEqual([42, ['PRS-2', 'PRS-4', 'SCR-2']]);
    expect(steps(capped).at(-1)).toBe('Clearance: capped at 42 %');
    expect(steps(proposedPercent('left-thigh', 'research-consensus', [ago(1)], TODAY, 40))).toHaveLength(2);
  });
});

it('priming ends with the target, and not with it twice (PRS-6)', () => {
  expect(primingPressures(100, 2)).toEqual([60, 80, 100]);
  expect(primingPressures(104, 2)).toEqual([62, 82, 102, 104]);
});

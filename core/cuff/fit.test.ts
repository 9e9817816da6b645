import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { englishOf } from '#language/english-of.fixture';
import type { Cuff } from './cuff';
import { checkCuff, checkGirth, rangeToBuy, rankCuffs } from './fit';

const cuff = (
  id: string,
  girthLowCm: number,
  girthHighCm: number,
  limbKind: Cuff['limbKind'] = 'leg',
): Cuff => ({
  id,
  label: id,
  limbKind,
  widthCm: 10,
  girthLowCm,
  girthHighCm,
  shape: 'straight',
  bladder: 'single',
  canOcclude: true,
  maxPressureMmHg: 300,
});
const kit = [
  cuff('M thigh', 45, 60),
  cuff('L thigh', 53, 75),
  cuff('S thigh', 35, 50),
  cuff('M arm', 26, 38, 'arm'),
];

describe('which cuff fits (FIT-2)', () => {
  it('puts the larger of two that fit first and says why', () => {
    const ranked = rankCuffs('left-thigh', 54, kit);
    expect(ranked.map(({ cuff: { id }, fits }) => [id, fits])).toEqual([
      ['L thigh', true],
      ['M thigh', true],
      ['S thigh', false],
    ]);
    expect(englishOf(ranked[0]?.reason)).toMatch(/larger of those that fit/);
    expect(englishOf(ranked[2]?.reason)).toBe('Too small: made for 35–50 cm, this limb is 54 cm.');
    expect(ranked[0]?.widthToGirth).toBe(0.19);
  });

  it('ranks every fitting cuff above every other, whatever the girth', () => {
    fc.assert(
      fc.property(fc.integer({ min: 30, max: 90 }), (girthCm) => {
        const fits = rankCuffs('right-thigh', girthCm, kit).map((fit) => fit.fits);
        expect(fits).toEqual([...fits].sort((a, b) => Number(b) - Number(a)));
      }),
    );
  });

  it('refuses a cuff that does not fit and names one that does', () => {
    const small = kit[2] as Cuff;
    expect(englishOf(checkCuff('left-thigh', 54, small, kit))).toMatchObject([
      { rule: 'FIT-2', level: 'hard', subject: 'cuffId', remedy: 'Use L thigh (53–75 cm).' },
    ]);
    expect(englishOf(checkCuff('left-thigh', 90, small, kit)[0]?.remedy)).toMatch(/includes 90 cm/);
    expect(englishOf(checkCuff('left-thigh', 30, kit[3] as Cuff, kit))).toMatchObject([{ rule: 'FIT-1' }]);
    expect(checkCuff('left-thigh', 54, kit[0] as Cuff, kit)).toEqual([]);
  });

  it('never offers a cuff that cannot stop the flow', () => {
    const wrap = { ...(kit[0] as Cuff), canOcclude: false };
    expect(englishOf(rankCuffs('left-thigh', 54, [wrap]))).toMatchObject([{ fits: false }]);
    expect(englishOf(checkCuff('left-thigh', 54, wrap, kit)[0]?.message)).toMatch(/Cannot stop the flow/);
  });

  it('says what range to buy when none fits', () => {
    expect(englishOf(rangeToBuy('left-thigh', 90))).toContain('82–98 cm');
    expect(englishOf(rangeToBuy('left-arm', 50))).toContain('46–54 cm');
  });

  it('refuses a girth of 0 beside the field', () => {
    expect(englishOf(checkGirth('left-thigh', 0))).toMatchObject([{ subject: 'girthCm', level: 'hard' }]);
    expect(checkGirth('left-arm', 32)).toEqual([]);
  });
});

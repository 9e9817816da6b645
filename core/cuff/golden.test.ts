import { describe, expect, it } from 'vitest';
import { englishOf } from '#language/english-of.fixture';
import { inEnglish } from '#language/render';
import { testCuff } from '../plan/plan.fixture';
import type { Cuff } from './cuff';
import { checkCuff, checkGirth, rankCuffs } from './fit';
import { checkTightness } from './tightness';

// At the edges of rules FIT-1, FIT-2 and TIGHT, with the words that carry the figures.

const cuff = (label: string, changes: Partial<Cuff> = {}): Cuff => ({
  ...testCuff,
  id: label,
  label,
  ...changes,
});
const large = cuff('Large');
const small = cuff('Small', { girthLowCm: 40, girthHighCm: 54 });
const ranked = (girthCm: number, ...cuffs: Cuff[]) =>
  rankCuffs('left-thigh', girthCm, cuffs).map(
    ({ cuff: { label }, reason }) => `${label}: ${inEnglish(reason)}`,
  );

describe('which cuff fits (FIT-1, FIT-2)', () => {
  it('takes a girth at either end of a range, and says what is too large or too small', () => {
    expect(ranked(50, large)).toEqual(['Large: Fits 50–75 cm.']);
    expect(ranked(75, large)).toEqual(['Large: Fits 50–75 cm.']);
    expect(ranked(49.9, large)).toEqual(['Large: Too large: made for 50–75 cm, this limb is 49.9 cm.']);
    expect(ranked(75.1, large)).toEqual(['Large: Too small: made for 50–75 cm, this limb is 75.1 cm.']);
    expect(rankCuffs('left-thigh', 49, [large])[0]?.fits).toBe(false);
    expect(rankCuffs('left-thigh', 76, [large])[0]?.fits).toBe(false);
  });

  it('takes the larger of those that fit, of equals the contoured one, and no arm cuff for a leg', () => {
    expect(ranked(52, small, large)).toEqual([
      'Large: Fits 50–75 cm, and is the larger of those that fit: the ends overlap.',
      'Small: Fits 40–54 cm.',
    ]);
    expect(ranked(60, small, large)).toEqual([
      'Large: Fits 50–75 cm.',
      'Small: Too small: made for 40–54 cm, this limb is 60 cm.',
    ]);
    const straight = cuff('Straight', { shape: 'straight' });
    const first = (...cuffs: Cuff[]) => rankCuffs('left-thigh', 60, cuffs)[0]?.cuff.label;
    expect([first(straight, large), first(large, straight)]).toEqual(['Large', 'Large']);
    expect(ranked(60, cuff('Arm', { limbKind: 'arm' }))).toEqual([]);
  });

  it('refuses the wrong kind of limb and the wrong size, and names what would do', () => {
    const said = (girthCm: number, worn: Cuff, ...kit: Cuff[]) =>
      checkCuff('left-thigh', girthCm, worn, kit).map(({ rule, message, remedy }) => [rule, message, remedy]);
    expect(said(60, large, large)).toEqual([]);
    expect(englishOf(said(60, cuff('Arm one', { limbKind: 'arm' })))).toEqual([
      [
        'FIT-1',
        'Arm one is made for an arm, not for the left thigh.',
        'Choose a cuff for this kind of limb.',
      ],
    ]);
    expect(englishOf(checkCuff('left-arm', 30, large, [])[0]?.message)).toBe(
      'Large is made for an upper leg, not for the left arm.',
    );
    expect(englishOf(said(60, small, small, large))).toEqual([
      [
        'FIT-2',
        'Small does not fit. Too small: made for 40–54 cm, this limb is 60 cm.',
        'Use Large (50–75 cm).',
      ],
    ]);
    expect(englishOf(said(80, large, large)[0]?.[2])).toBe(
      'No cuff in the kit fits: one is needed whose range includes 80 cm, such as 72–88 cm.',
    );
  });

  it('refuses a girth that no limb has', () => {
    expect([15, 65].flatMap((cm) => checkGirth('left-arm', cm))).toEqual([]);
    expect([14.9, 65.1].flatMap((cm) => checkGirth('left-arm', cm)).map(({ level }) => level)).toEqual([
      'hard',
      'hard',
    ]);
  });
});

it('takes the first and the last mark of a strap and none beyond them (TIGHT)', () => {
  const felt = { limb: 'left-thigh', felt: 7, colourGood: true, noTingling: true } as const;
  const said = (mark: number) =>
    checkTightness({ ...felt, mark }, { counts: 'marks', firstMark: 1, lastMark: 12 }).map(
      ({ message }) => message,
    );
  expect([said(1), said(12)]).toEqual([[], []]);
  expect(englishOf(said(0))).toEqual(['This strap has marks 1 to 12; 0 is not one of them.']);
  expect(said(13)).toHaveLength(1);
});

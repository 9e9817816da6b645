import { expect, it } from 'vitest';
import { englishOf } from '#language/english-of.fixture';
import { markWords } from './mark-words';
import { aimWords, checkTightness } from './tightness';

const marks = { counts: 'marks', firstMark: 1, lastMark: 12 } as const;
const good = { limb: 'left-thigh', mark: 6, felt: 7, colourGood: true, noTingling: true } as const;

it('is content at the aim, and aims lower on an arm (TIGHT)', () => {
  expect(checkTightness(good, marks)).toEqual([]);
  expect(checkTightness({ ...good, limb: 'left-arm', felt: 6 }, marks)).toEqual([]);
  expect([aimWords('left-arm'), aimWords('left-thigh')]).toEqual(['6–7', '7']);
});

it.each([
  [{ felt: 8 }, 'hard', 'felt'],
  [{ felt: 5 }, 'note', 'felt'],
  [{ mark: 13 }, 'hard', 'mark'],
  [{ colourGood: false }, 'hard', 'colourGood'],
  [{ noTingling: false }, 'hard', 'noTingling'],
])('answers %j', (change, level, subject) => {
  expect(englishOf(checkTightness({ ...good, ...change }, marks))).toMatchObject([
    { level, subject, rule: 'TIGHT' },
  ]);
});

it('counts a wrap in turns, and takes none without how far it is stretched', () => {
  const wrap = { counts: 'turns', firstMark: 2, lastMark: 6 } as const;
  const wound = { ...good, limb: 'left-arm', mark: 4, tension: 'stretched by half', felt: 6 } as const;
  expect(checkTightness(wound, wrap)).toEqual([]);
  expect(englishOf(checkTightness({ ...wound, tension: '' }, wrap))).toMatchObject([
    { level: 'hard', subject: 'tension' },
  ]);
  expect(englishOf(checkTightness({ ...wound, mark: 7 }, wrap)[0]?.message)).toBe(
    'It is for 2 to 6 turns; 7 is outside that.',
  );
  expect(englishOf(checkTightness({ ...wound, felt: 8 }, wrap)[0]?.remedy)).toMatch(/one turn/);
  expect(englishOf(markWords({ mark: 4, counts: 'turns', tension: 'stretched by half' }))).toBe(
    '4 turns, stretched by half',
  );
  expect(englishOf(markWords({ mark: 6 }))).toBe('mark 6');
  const pump = { counts: 'squeezes', firstMark: 4, lastMark: 30 } as const;
  expect(checkTightness({ ...wound, mark: 12, tension: undefined }, pump)).toEqual([]);
  expect(englishOf(checkTightness({ ...wound, mark: 12, felt: 8 }, pump)[0]?.remedy)).toMatch(/one squeeze/);
  expect(englishOf(markWords({ mark: 12, counts: 'squeezes' }))).toBe('12 squeezes');
});

import { expect, it } from 'vitest';
import { aimWords, checkTightness } from './tightness';

const marks = { firstMark: 1, lastMark: 12 };
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
  expect(checkTightness({ ...good, ...change }, marks)).toMatchObject([{ level, subject, rule: 'TIGHT' }]);
});

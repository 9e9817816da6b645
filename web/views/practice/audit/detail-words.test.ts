import fc from 'fast-check';
import { expect, it } from 'vitest';
import { EXERCISES } from '#core/protocol';
import { UNITS } from '../../../words/units';
import { actionsCalled, actionWords } from './audit-words';
import { detailWords, type OfPractice } from './detail-words';

const PRACTICE: OfPractice = {
  mass: UNITS.mass.lb,
  length: UNITS.length.in,
  ownExercises: { 'own-1': { ...EXERCISES['knee-extension'], label: 'Sled push' } },
  ownMeasures: {},
};

it.each<[string, Record<string, unknown>, string | null]>([
  [
    'ids alone say nothing',
    { id: 'c3eb4df6-5411', coursePlanId: '0292fcf1', guards: [], reason: null },
    null,
  ],
  [
    'a girth, in inches',
    {
      limb: 'right-thigh',
      girthCm: 50.8,
      kind: 'cuff',
      kitId: 'thigh-l',
      label: 'Thigh large',
      widthCm: 11.5,
    },
    'Right thigh · 20 in · Thigh large',
  ],
  [
    'heavy work, in pounds, by its own name',
    { id: 'x', exerciseId: 'own-1', side: 'left', sets: 3, reps: 5, loadKg: 45.359237, effort: 7 },
    'Sled push · left · 3 sets · 5 repetitions · 100 lb',
  ],
  [
    'a wrap by its turns, a strap by its mark',
    {
      limb: 'left-arm',
      strapId: 's',
      strapLabel: 'Wrap',
      mark: 4,
      counts: 'turns',
      tension: 'by half',
      felt: 7,
    },
    'Left arm · Wrap · 4 turns, by half · felt 7 of 10',
  ],
  [
    'a screening by what it found',
    { version: 4, yes: ['recent-surgery'], bloodPressures: [], note: '' },
    'Surgery in the last 12 weeks',
  ],
  [
    'what no table knows as it is',
    {
      kind: '__proto__',
      side: 'toString',
      guards: ['__proto__', 'X-1'],
      notWell: ['constructor'],
      limb: 'tail',
    },
    'tail · constructor · __proto__; X-1',
  ],
  [
    'guards by what they ask, and why they were passed',
    { id: 'x', guards: ['PRS-4'], reason: 'Deckhand, used to it' },
    'Newcomer ramp · Deckhand, used to it',
  ],
  [
    'what changed of a person, not what stood there',
    { from: { name: 'A', story: 'B' }, to: { name: 'C', archived: true } },
    'the name, whether they are on the list',
  ],
  [
    'an entry that was retracted',
    { kind: 'strength-test', id: 'x', reason: 'Of another person', before: {} },
    'a strength test · Of another person',
  ],
])('%s', (_, detail, words) => {
  expect(detailWords({ detail }, PRACTICE)).toBe(words);
});

it('whatever an entry of another release says, it is read or left out', () => {
  const names = 'yes subjects guards sets repeats mark felt limb kind to item changes notWell measureId what';
  const details = fc.dictionary(fc.constantFrom(...names.split(' ')), fc.jsonValue());
  fc.assert(
    fc.property(details, (detail) => {
      const words = detailWords({ detail }, PRACTICE);
      expect(words ?? 'nothing').not.toContain('[object');
      expect(words).not.toBe('');
    }),
  );
});

it('what was done is found by the words it is shown by; another release’s by its own name', () => {
  expect(actionsCalled('past a guard')).toEqual([
    'strength-tested-past-guard',
    'prescribed-past-guard',
    'block-kept-past-guard',
    'session-opened-past-guard',
  ]);
  expect(actionWords({ action: 'some-older-thing' })).toBe('Some older thing');
});

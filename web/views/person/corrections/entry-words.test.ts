import { expect, it } from 'vitest';
import type { EntryContent } from '#contract/corrections';
import { EXERCISES } from '#core/protocol';
import { UNITS } from '../../../words/units';
import { entryWords } from './entry-words';

const FACTS = { ownExercises: { 'own-1': { ...EXERCISES['knee-extension'], label: 'Sled push' } } };
const METRIC = { mass: UNITS.mass.kg, length: UNITS.length.cm };
const POUNDS = { mass: UNITS.mass.lb, length: UNITS.length.in };

it.each<[EntryContent, typeof METRIC, string]>([
  [
    { kind: 'screening', yes: ['varicose-veins', 'smoker'] },
    METRIC,
    'Screening, yes to: Varicose veins; Smokes',
  ],
  [{ kind: 'screening', yes: [] }, METRIC, 'Screening, nothing answered with yes'],
  [
    { kind: 'fit', limb: 'left-thigh', girthCm: 54.5, label: 'Thigh large' },
    METRIC,
    'Left thigh: 54.5 cm, Thigh large',
  ],
  [
    { kind: 'fit', limb: 'left-thigh', girthCm: 50.8, label: 'Thigh large' },
    POUNDS,
    'Left thigh: 20 in, Thigh large',
  ],
  [
    { kind: 'strength-test', exerciseId: 'own-1', side: 'left', loadKg: 45.359237, reps: 8 },
    POUNDS,
    'Sled push, left: 100 lb, 8 repetitions',
  ],
  [
    { kind: 'heavy-work', exerciseId: 'own-1', side: 'both', sets: 3, loadKg: 42.5, reps: 5 },
    METRIC,
    'Heavy work: Sled push 3 × 5 × 42.5 kg',
  ],
  [
    {
      kind: 'tightness',
      limb: 'right-arm',
      label: 'Wrap',
      mark: 4,
      counts: 'turns',
      tension: 'by half',
      felt: 7,
    },
    METRIC,
    'Right arm: Wrap, 4 turns, by half, felt 7 of 10',
  ],
  [
    {
      kind: 'tightness',
      limb: 'right-arm',
      label: 'Strap',
      mark: 6,
      counts: 'marks',
      tension: null,
      felt: 6,
    },
    METRIC,
    'Right arm: Strap, mark 6, felt 6 of 10',
  ],
  [
    { kind: 'clearance', subjects: ['recent-surgery', 'blood-pressure'], givenBy: 'Dr Wren Halloway' },
    METRIC,
    'Clearance by Dr Wren Halloway: Surgery in the last 12 weeks; Resting blood pressure',
  ],
])('an entry reads in the units and names of the practice: %j', (content, units, words) => {
  expect(entryWords(content, FACTS, units)).toBe(words);
});

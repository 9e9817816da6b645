import type { Taken } from '#core/outcomes';
import { type DemoPerson, type HistoryEntry, onThigh, readings, trial } from './history';

/** Measures of one occasion: girths of both thighs, left and right, and what else was taken. */
const girths = (left: number[], right: number[]): Taken[] =>
  (
    [
      ['left-thigh', left],
      ['right-thigh', right],
    ] as const
  ).map(([limb, repeats]) => ({ measureId: 'girth-mid-thigh', limb, repeats, setting: '', note: '' }));

const ofPerson = (measureId: Taken['measureId'], value: number, setting = ''): Taken => ({
  measureId,
  limb: null,
  repeats: [value],
  setting,
  note: '',
});

const STAIRS = 'Carrying two pots of paint up to the lamp';

const onDay = (daysAgo: number, ...taken: Taken[]): HistoryEntry[] =>
  taken.map((body) => ({ daysAgo, do: 'take', body }));

const thighs = { goal: 'size' as const, limbs: ['left-thigh' as const] };

/** Ready to run: every link holds, with three sessions and a history of pressures behind her. */
export const odalys: DemoPerson = {
  client: {
    name: 'Odalys Ferrant',
    story: 'Retired lighthouse painter, short of thigh strength on the left.',
  },
  about: {
    contact: '555 0177, mornings',
    goals: 'the tower stairs with a full can in each hand',
    notes: 'Hears better on the left.',
    bornOn: '1963-09-14',
  },
  history: [
    { daysAgo: 70, do: 'screen', body: { yes: [], bloodPressures: readings([130, 80], [126, 78]) } },
    { daysAgo: 70, do: 'fit', body: { kind: 'cuff', limb: 'left-thigh', girthCm: 53, cuffId: 'thigh-l' } },
    {
      daysAgo: 70,
      do: 'measure',
      body: onThigh('left-thigh', 'sitting', [trial(170, 162), trial(170, 164)]),
    },
    {
      daysAgo: 44,
      do: 'measure',
      body: onThigh('left-thigh', 'sitting', [trial(180, 166), trial(180, 176), trial(170, 164)]),
    },
    {
      daysAgo: 16,
      do: 'screen',
      body: {
        yes: ['varicose-veins'],
        bloodPressures: readings([129, 79], [127, 77]),
        note: 'Small veins behind the right knee.',
      },
    },
    {
      daysAgo: 16,
      do: 'clear',
      days: 180,
      body: {
        subjects: ['varicose-veins'],
        givenBy: 'Dr Ansgar Pellwright',
        byPhysician: true,
        maxPercentLop: 70,
        limbs: [],
        modes: [],
        highestRung: null,
        ranges: [],
        note: 'Superficial only. Watch the right side.',
      },
    },
    { daysAgo: 16, do: 'fit', body: { kind: 'cuff', limb: 'left-thigh', girthCm: 54.5, cuffId: 'thigh-l' } },
    {
      daysAgo: 16,
      do: 'measure',
      body: onThigh('left-thigh', 'sitting', [trial(180, 170), trial(180, 174)]),
    },
    ...onDay(
      70,
      ...girths([50.1, 50.3], [52.6, 52.4]),
      ofPerson('sit-to-stand-30', 11),
      ofPerson('activity-1', 3, STAIRS),
    ),
    ...onDay(
      44,
      ...girths([50.4, 50.5], [52.5, 52.6]),
      ofPerson('sit-to-stand-30', 12),
      ofPerson('activity-1', 4, STAIRS),
    ),
    { daysAgo: 60, do: 'test', body: { exerciseId: 'knee-extension', side: 'left', loadKg: 25, reps: 8 } },
    { daysAgo: 15, do: 'test', body: { exerciseId: 'knee-extension', side: 'left', loadKg: 30, reps: 8 } },
    { daysAgo: 15, do: 'prescribe', wish: { ...thighs, percentLop: 40 } },
    { daysAgo: 14, do: 'session', reps: [30, 15, 13, 9], efforts: [5, 7, 8, 9] },
    { daysAgo: 11, do: 'session', reps: [30, 15, 15, 12], efforts: [4, 6, 8, 9] },
    { daysAgo: 7, do: 'prescribe', wish: { ...thighs, percentLop: 45 } },
    { daysAgo: 7, do: 'confirm', body: { goneMmHg: 178 } },
    { daysAgo: 7, do: 'session', reps: [30, 15, 15, 14], efforts: [5, 6, 7, 8] },
    ...onDay(
      2,
      ...girths([51.2, 51.4], [52.5, 52.8]),
      ofPerson('sit-to-stand-30', 14),
      ofPerson('activity-1', 6, STAIRS),
    ),
    { daysAgo: 0, do: 'prescribe', wish: { ...thighs, percentLop: 50 } },
    { daysAgo: 0, do: 'check', body: { notWell: [], painNow: 1, bloodPressure: null } },
  ],
};

import type { BlockWish } from '#core/course';
import { type DemoPerson, type HistoryEntry, onThigh, readings, trial } from './history';

/** Twice a week for eight weeks, from the day it was planned. */
const eightWeeks = (startsOn: string, coursePlanId: string): BlockWish => ({
  startsOn,
  weeks: 8,
  lines: [{ coursePlanId, perWeek: 2, timesADay: 1, available: [0, 1, 2, 3, 4], onHeavyDays: 'apart' }],
  heavy: [2],
  deload: { everyWeeks: 4, setsPercent: 50 },
  season: [],
  atTime: '17:30',
});

/** Two thighs, three tests and a block of weeks with a missed day: the whole of Prescribe. */
export const rufus: DemoPerson = {
  client: { name: 'Rufus Tarnholm', story: 'Stage-lighting rigger, keeps his legs through a deload.' },
  history: [
    { daysAgo: 24, do: 'screen', body: { yes: [], bloodPressures: readings([124, 76], [122, 78]) } },
    { daysAgo: 24, do: 'fit', body: { kind: 'cuff', limb: 'left-thigh', girthCm: 60, cuffId: 'thigh-l' } },
    { daysAgo: 24, do: 'fit', body: { kind: 'cuff', limb: 'right-thigh', girthCm: 61, cuffId: 'thigh-l' } },
    {
      daysAgo: 24,
      do: 'measure',
      body: onThigh('left-thigh', 'sitting', [trial(190, 182), trial(190, 184)]),
    },
    {
      daysAgo: 24,
      do: 'measure',
      body: onThigh('right-thigh', 'sitting', [trial(200, 190), trial(190, 186)]),
    },
    { daysAgo: 23, do: 'test', body: { exerciseId: 'leg-press', side: 'both', loadKg: 90, reps: 8 } },
    { daysAgo: 23, do: 'test', body: { exerciseId: 'knee-extension', side: 'left', loadKg: 40, reps: 9 } },
    { daysAgo: 23, do: 'test', body: { exerciseId: 'knee-extension', side: 'right', loadKg: 42.5, reps: 9 } },
    {
      daysAgo: 23,
      do: 'prescribe',
      wish: { goal: 'size', limbs: ['left-thigh', 'right-thigh'], together: true, byHand: true },
    },
    { daysAgo: 20, do: 'session', reps: [30, 15, 15, 15], efforts: [5, 6, 7, 8] },
    { daysAgo: 13, do: 'session', reps: [30, 15, 15, 15], efforts: [4, 5, 6, 6] },
    { daysAgo: 12, do: 'block', wish: eightWeeks },
    // Its review is not answered yet.
    { daysAgo: 6, do: 'session', isUnanswered: true, reps: [30, 15, 15, 15], efforts: [4, 5, 6, 6] },
    ...(['left-arm', 'right-arm'] as const).flatMap((limb): HistoryEntry[] => [
      { daysAgo: 5, do: 'fit', body: { kind: 'cuff', limb, girthCm: 38.5, cuffId: 'arm-l' } },
      {
        daysAgo: 5,
        do: 'measure',
        body: {
          limb,
          position: 'sitting',
          method: 'doppler',
          site: 'radial',
          pumpId: 'hand-pump',
          readingSchool: 'bracket',
          trials:
            limb === 'left-arm' ? [trial(140, 130), trial(140, 132)] : [trial(140, 134), trial(150, 138)],
        },
      },
    ]),
    { daysAgo: 5, do: 'test', body: { exerciseId: 'elbow-flexion', side: 'both', loadKg: 14, reps: 8 } },
    {
      daysAgo: 5,
      do: 'prescribe',
      wish: {
        goal: 'size',
        limbs: ['left-arm', 'right-arm'],
        together: true,
        plan: { name: 'Arms, to finish with', occasion: { kind: 'after-heavy' } },
      },
    },
    {
      daysAgo: 2,
      do: 'heavy',
      body: { exerciseId: 'leg-press', side: 'both', sets: 3, reps: 5, loadKg: 140, effort: 7, pain: null },
    },
  ],
};

import type { Taken } from '#core/outcomes';
import { type DemoPerson, onThigh, type PrescribeWish, readings, trial } from './history';

const rides = (watts: number): PrescribeWish => ({
  goal: 'aerobic',
  limbs: ['left-thigh', 'right-thigh'],
  together: true,
  intensity: { by: 'watts', watts },
  plan: { name: 'Rides', occasion: { kind: 'any-day' } },
});

const ofHer = (measureId: Taken['measureId'], value: number, setting = ''): Taken => ({
  measureId,
  limb: null,
  repeats: [value],
  setting,
  note: '',
});

/** Rides by watts, with a strap that counts her heart. */
export const ingrith: DemoPerson = {
  client: { name: 'Ingrith Solveigson', story: 'Bicycle courier between seasons, keeps her engine.' },
  history: [
    { daysAgo: 27, do: 'screen', body: { yes: [], bloodPressures: readings([116, 70], [114, 72]) } },
    { daysAgo: 27, do: 'fit', body: { kind: 'cuff', limb: 'left-thigh', girthCm: 56, cuffId: 'thigh-l' } },
    { daysAgo: 27, do: 'fit', body: { kind: 'cuff', limb: 'right-thigh', girthCm: 56.5, cuffId: 'thigh-l' } },
    {
      daysAgo: 27,
      do: 'measure',
      body: onThigh('left-thigh', 'sitting', [trial(180, 172), trial(180, 174)]),
    },
    {
      daysAgo: 27,
      do: 'measure',
      body: onThigh('right-thigh', 'sitting', [trial(180, 174), trial(180, 176)]),
    },
    // A ramp on the bike to her limit, so that watts can be read as a share of it.
    {
      daysAgo: 26,
      do: 'take',
      body: {
        ...ofHer('vo2max', 47.5, 'Ramp on the bike, 20 W a minute'),
        reached: { watts: 240, beatsPerMinute: 186 },
      },
    },
    { daysAgo: 26, do: 'take', body: ofHer('resting-heart-rate', 58) },
    { daysAgo: 26, do: 'take', body: ofHer('body-mass', 62) },
    { daysAgo: 26, do: 'prescribe', wish: rides(85) },
    { daysAgo: 24, do: 'session', reps: [], efforts: [4], heartRates: [124, 131] },
    { daysAgo: 20, do: 'session', reps: [], efforts: [4], heartRates: [122, 128] },
    { daysAgo: 15, do: 'session', reps: [], efforts: [3], heartRates: [119, 125] },
    { daysAgo: 13, do: 'prescribe', wish: rides(95) },
    { daysAgo: 10, do: 'session', reps: [], efforts: [4], heartRates: [125, 132] },
    { daysAgo: 5, do: 'session', reps: [], efforts: [4], heartRates: [121, 127] },
  ],
};

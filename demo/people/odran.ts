import { type DemoPerson, type PrescribeWish, readings } from './history';

const WALKS: PrescribeWish = {
  goal: 'aerobic',
  limbs: ['left-thigh', 'right-thigh'],
  together: true,
  plan: { name: 'Walks', occasion: { kind: 'any-day' } },
};

/** Coached at a distance: he was never measured, so he walks under a pressure that is arbitrary. */
export const odran: DemoPerson = {
  client: { name: 'Odran Fellweather', story: 'Hill surveyor, coached at a distance between two visits.' },
  history: [
    { daysAgo: 17, do: 'screen', body: { yes: [], bloodPressures: readings([122, 76], [120, 74]) } },
    { daysAgo: 17, do: 'fit', body: { kind: 'cuff', limb: 'left-thigh', girthCm: 57, cuffId: 'thigh-l' } },
    { daysAgo: 17, do: 'fit', body: { kind: 'cuff', limb: 'right-thigh', girthCm: 57.5, cuffId: 'thigh-l' } },
    { daysAgo: 16, do: 'prescribe', wish: WALKS },
    { daysAgo: 14, do: 'session', reps: [0], efforts: [5] },
    { daysAgo: 9, do: 'session', reps: [0], efforts: [4] },
    { daysAgo: 6, do: 'prescribe', wish: WALKS },
    { daysAgo: 4, do: 'session', reps: [0], efforts: [4] },
  ],
};

import { type DemoPerson, readings, trial } from './history';

/** Her pressure is out of date: Measure is due. */
export const brisa: DemoPerson = {
  client: {
    name: 'Brisa Okonvale',
    story: 'Cellist after a wrist fracture, out of plaster.',
  },
  history: [
    { daysAgo: 19, do: 'keep-for', body: { shelfLife: '10-days' } },
    {
      daysAgo: 19,
      do: 'screen',
      body: {
        yes: ['immobilised'],
        bloodPressures: readings([112, 70], [110, 68]),
        note: 'Six weeks in plaster.',
      },
    },
    {
      daysAgo: 19,
      do: 'clear',
      days: 90,
      body: {
        subjects: ['immobilised'],
        givenBy: 'The hand clinic',
        byPhysician: true,
        maxPercentLop: 50,
        limbs: ['left-arm', 'right-arm'],
        modes: [],
        highestRung: null,
        ranges: [],
        note: 'Fracture healed. Arms only, to 50 %.',
      },
    },
    { daysAgo: 19, do: 'fit', body: { kind: 'cuff', limb: 'left-arm', girthCm: 27.5, cuffId: 'arm-m' } },
    {
      daysAgo: 19,
      do: 'measure',
      body: {
        limb: 'left-arm',
        position: 'sitting',
        method: 'palpation',
        site: 'radial',
        pumpId: 'hand-pump',
        readingSchool: 'bracket',
        trials: [trial(130, 120), trial(130, 122)],
      },
    },
    { daysAgo: 18, do: 'test', body: { exerciseId: 'wrist-extension', side: 'left', loadKg: 4, reps: 10 } },
    {
      daysAgo: 17,
      do: 'prescribe',
      wish: {
        goal: 'cycles',
        limbs: ['left-arm'],
        plan: { name: 'Left arm, cycles', occasion: { kind: 'daily', times: 3 } },
      },
    },
    { daysAgo: 16, do: 'session', reps: [], efforts: [] },
    { daysAgo: 15, do: 'session', reps: [], efforts: [] },
  ],
};

import { type DemoPerson, readings } from './history';

/** Trains away from the practice with a marked strap: by feel only. */
export const leocadia: DemoPerson = {
  client: {
    name: 'Leocadia Brandt',
    story: 'Rowing cox who only wants recovery work, often away on the water.',
  },
  history: [
    { daysAgo: 9, do: 'screen', body: { yes: [], bloodPressures: readings([118, 74], [116, 72]) } },
    {
      daysAgo: 9,
      do: 'fit',
      body: { kind: 'strap', limb: 'left-thigh', girthCm: 50.5, strapId: 'strap-thigh' },
    },
    {
      daysAgo: 9,
      do: 'feel',
      body: {
        limb: 'left-thigh',
        strapId: 'strap-thigh',
        mark: 6,
        felt: 7,
        colourGood: true,
        noTingling: true,
      },
    },
    {
      daysAgo: 8,
      do: 'fit',
      body: { kind: 'strap', limb: 'left-arm', girthCm: 27.5, strapId: 'wrap-arm' },
    },
    {
      daysAgo: 8,
      do: 'feel',
      body: {
        limb: 'left-arm',
        strapId: 'wrap-arm',
        mark: 4,
        tension: 'stretched by half',
        felt: 6,
        colourGood: true,
        noTingling: true,
      },
    },
    {
      daysAgo: 8,
      do: 'prescribe',
      wish: {
        goal: 'recovery',
        limbs: ['left-thigh'],
        tempoId: '3-0-3',
        sitting: [
          { when: 'before', what: 'mobility', words: 'hips and ankles, five minutes' },
          { when: 'after', what: 'compression', words: 'stockings until the evening' },
        ],
      },
    },
  ],
};

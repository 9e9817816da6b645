import { type DemoPerson, onThigh, readings, trial } from './history';

/** Four weeks out of a tendon repair: the ladder, and work only a clinician prescribes. */
export const maren: DemoPerson = {
  client: {
    name: 'Maren Holdwick',
    story: 'Ferry deckhand, four weeks after a tendon repair at the right knee.',
  },
  history: [
    {
      daysAgo: 3,
      do: 'screen',
      body: {
        yes: ['recent-surgery'],
        bloodPressures: readings([118, 72], [116, 74]),
        note: 'Tendon repair, healing well.',
      },
      operated: { limb: 'right-thigh', daysBefore: 25, what: 'Tendon repair' },
    },
    {
      daysAgo: 3,
      do: 'clear',
      days: 60,
      body: {
        subjects: ['recent-surgery'],
        givenBy: 'Dr Imke Sallowby',
        byPhysician: true,
        maxPercentLop: 80,
        limbs: ['right-thigh'],
        modes: [],
        highestRung: null,
        ranges: [{ joint: 'knee', fromDegrees: 60, toDegrees: 140, isOfLoaded: true }],
        note: 'Operated side only, up to 80 %. Nothing loaded past 60° yet.',
      },
    },
    {
      daysAgo: 3,
      do: 'rung',
      body: {
        limb: 'right-thigh',
        answers: { pain: 2, swellingDown: true, rangeGood: false, clinicianAgrees: true },
        rung: 'isometric',
        overrideReason: 'Passive work tolerated on the ward for two weeks',
      },
    },
    { daysAgo: 3, do: 'fit', body: { kind: 'cuff', limb: 'right-thigh', girthCm: 52, cuffId: 'thigh-l' } },
    {
      daysAgo: 0,
      do: 'measure',
      body: onThigh('right-thigh', 'lying', [trial(170, 158), trial(160, 156)]),
    },
  ],
};

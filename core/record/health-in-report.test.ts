import { describe, expect, it } from 'vitest';
import { englishOf } from '#language/english-of.fixture';
import { healthInReport } from './health-in-report';
import { strangerFacts } from './record.fixture';

const NOW_MS = Date.UTC(2026, 11, 1, 12);
const LETTER = {
  givenBy: 'Dr Imke Sallowby',
  byPhysician: true,
  givenAtMs: NOW_MS - 1_000,
  untilMs: null,
  subjects: [],
  maxPercentLop: 40,
  limbs: ['left-thigh' as const],
  modes: ['passive' as const],
  highestRung: null,
  ranges: [{ joint: 'knee' as const, fromDegrees: 0, toDegrees: 45, isOfLoaded: true }],
  note: 'Again in March',
};

describe('health in a report', () => {
  it('names the medicines of the newest screening, and what letters in force limit', () => {
    const facts = {
      ...strangerFacts,
      clearances: [LETTER, { ...LETTER, untilMs: NOW_MS - 1, givenBy: 'Run out' }],
      screenings: [
        {
          version: 1,
          yes: [],
          bloodPressures: [],
          note: '',
          procedures: [],
          medicines: ['ramipril'],
          atMs: NOW_MS - 9,
        },
      ] as never,
    };
    expect(englishOf(healthInReport(facts, NOW_MS))).toEqual([
      { about: 'Answered with yes', says: 'Nothing', figures: '' },
      { about: 'Medicines', says: 'ramipril', figures: '' },
      {
        about: 'Letter of Dr Imke Sallowby',
        says: 'left thigh; to 40 % of LOP; passive only; no loaded work of the knee from 0 to 45°',
        figures: 'Again in March',
      },
    ]);
  });

  it('says that none are named', () => {
    expect(englishOf(healthInReport(strangerFacts, NOW_MS)).map(({ says }) => says)).toEqual([
      'Nothing',
      'None named',
    ]);
  });
});

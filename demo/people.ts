import type { NewClient, NewScreening } from '#contract/client';
import type { NewFit, NewOcclusion, NewStrengthTest } from '#contract/measurements';
import type { NewPrescription } from '#contract/prescription';

/** What somebody did for a person some days ago; the loader plays these through the server's own routes. */
export type Deed = { daysAgo: number } & (
  | { do: 'screen'; body: NewScreening }
  | { do: 'fit'; body: NewFit }
  | { do: 'measure'; body: NewOcclusion }
  | { do: 'test'; body: NewStrengthTest }
  | { do: 'prescribe'; body: Omit<NewPrescription, 'occlusionId' | 'strengthTestId'> }
  | { do: 'session'; reps: number[]; efforts: number[] }
);

export type DemoPerson = { client: NewClient; deeds: Deed[] };

const trial = (goneMmHg: number, backMmHg: number) => ({ goneMmHg, upMmHg: 10, backMmHg, downMmHg: 4 });

const kneeExtension = (percentLop: number): Extract<Deed, { do: 'prescribe' }>['body'] => ({
  limb: 'left-thigh',
  position: 'sitting',
  exerciseId: 'knee-extension',
  schoolId: 'research-consensus',
  protocolId: 'standard-75',
  tempoId: '1.5-0-1.5',
  restMs: 30_000,
  percentLop,
  percentOneRepMax: 25,
  weightKitId: 'leg-stack',
});

/** Ready to run: every link holds, with three sessions behind her. */
const odalys: DemoPerson = {
  client: {
    name: 'Odalys Ferrant',
    story: 'Retired lighthouse painter, short of thigh strength on the left.',
  },
  deeds: [
    { daysAgo: 16, do: 'screen', body: { outcome: 'clear-to-start', note: 'Resting 128/78.' } },
    { daysAgo: 16, do: 'fit', body: { limb: 'left-thigh', girthCm: 54.5, cuffId: 'thigh-l' } },
    {
      daysAgo: 16,
      do: 'measure',
      body: {
        limb: 'left-thigh',
        position: 'sitting',
        method: 'doppler',
        site: 'posterior-tibial',
        readingSchool: 'bracket',
        trials: [trial(180, 170), trial(180, 174)],
      },
    },
    { daysAgo: 15, do: 'test', body: { exerciseId: 'knee-extension', side: 'left', loadKg: 30, reps: 8 } },
    { daysAgo: 15, do: 'prescribe', body: kneeExtension(40) },
    { daysAgo: 14, do: 'session', reps: [30, 15, 13, 9], efforts: [5, 7, 8, 9] },
    { daysAgo: 11, do: 'session', reps: [30, 15, 15, 12], efforts: [4, 6, 8, 9] },
    { daysAgo: 8, do: 'prescribe', body: kneeExtension(45) },
    { daysAgo: 7, do: 'session', reps: [30, 15, 15, 14], efforts: [5, 6, 7, 8] },
    { daysAgo: 2, do: 'prescribe', body: kneeExtension(50) },
  ],
};

/** Her pressure is out of date: Measure is due. */
const brisa: DemoPerson = {
  client: {
    name: 'Brisa Okonvale',
    story: 'Cellist after a wrist fracture, out of plaster.',
    shelfLife: '10-days',
  },
  deeds: [
    {
      daysAgo: 19,
      do: 'screen',
      body: { outcome: 'clear-to-start', note: 'Resting 112/70. Fracture healed, hand clinic agrees.' },
    },
    { daysAgo: 19, do: 'fit', body: { limb: 'left-arm', girthCm: 27.5, cuffId: 'arm-m' } },
    {
      daysAgo: 19,
      do: 'measure',
      body: {
        limb: 'left-arm',
        position: 'sitting',
        method: 'palpation',
        site: 'radial',
        readingSchool: 'bracket',
        trials: [trial(130, 120), trial(130, 122)],
      },
    },
    { daysAgo: 18, do: 'test', body: { exerciseId: 'wrist-extension', side: 'left', loadKg: 4, reps: 10 } },
  ],
};

/** On hold because of his blood pressure. */
const cassian: DemoPerson = {
  client: { name: 'Cassian Wetherhold', story: 'Glassblower with a sore elbow on the right.' },
  deeds: [
    {
      daysAgo: 1,
      do: 'screen',
      body: { outcome: 'do-not-start', note: 'Resting blood pressure 182/104: see his physician first.' },
    },
  ],
};

export const PEOPLE: DemoPerson[] = [odalys, brisa, cassian];

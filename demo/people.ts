import type { About, NewClient } from '#contract/client';
import type { NewRungCheck } from '#contract/course-plan';
import type {
  NewClearance,
  NewDayCheck,
  NewFit,
  NewOcclusion,
  NewScreening,
  NewStrengthTest,
  NewTightness,
} from '#contract/measurements';
import type { BlockWish, CoursePlanChoice } from '#core/course';
import type { ShelfLife } from '#core/occlusion-pressure';
import type { Taken } from '#core/outcomes';
import type { GoalId } from '#core/plan';
import type { Intensity, PlannedAdjunct, TempoId } from '#core/protocol';
import type { Limb } from '#core/quantity';
import type { HeavyWorkChoice } from '#core/strength';

/** What a demo prescription asks of the draft. */
export type PrescribeWish = {
  goal: GoalId;
  limbs: Limb[];
  percentLop?: number;
  tempoId?: TempoId;
  together?: boolean;
  sitting?: PlannedAdjunct[];
  /** How hard aerobic work is. */
  intensity?: Intensity;
  /** The plan it is the first or next version of; unless it is said, one named after its limbs, for any day. */
  plan?: Pick<CoursePlanChoice, 'name' | 'occasion'>;
};

/** What a practitioner did for a person some days ago; the loader plays these through the server's own routes. */
export type HistoryEntry = { daysAgo: number } & (
  | { do: 'screen'; body: NewScreening; operated?: { limb: Limb; daysBefore: number; what: string } }
  | { do: 'clear'; days: number; body: Omit<NewClearance, 'givenAtMs' | 'untilMs'> }
  | { do: 'check'; body: NewDayCheck }
  | { do: 'fit'; body: NewFit }
  | { do: 'feel'; body: NewTightness }
  | { do: 'measure'; body: NewOcclusion }
  | { do: 'confirm'; body: { goneMmHg: number } }
  | { do: 'keep-for'; body: { shelfLife: ShelfLife } }
  | { do: 'test'; body: NewStrengthTest }
  | { do: 'prescribe'; wish: PrescribeWish }
  | { do: 'block'; wish: (isoDay: string, coursePlanId: string) => BlockWish }
  | { do: 'heavy'; body: HeavyWorkChoice }
  | { do: 'rung'; body: NewRungCheck }
  | { do: 'take'; body: Taken }
  | {
      do: 'session';
      plan?: string;
      isUnanswered?: true;
      reps: number[];
      efforts: number[];
      heartRates?: [number, number];
    }
);

export type DemoPerson = { client: NewClient; about?: About; history: HistoryEntry[] };

const trial = (goneMmHg: number, backMmHg: number) => ({ goneMmHg, upMmHg: 10, backMmHg, downMmHg: 4 });

const readings = (...pairs: [number, number][]) =>
  pairs.map(([systolicMmHg, diastolicMmHg]) => ({ systolicMmHg, diastolicMmHg }));

const onThigh = (
  limb: 'left-thigh' | 'right-thigh',
  position: NewOcclusion['position'],
  trials: NewOcclusion['trials'],
): NewOcclusion => ({
  limb,
  position,
  method: 'doppler',
  site: 'posterior-tibial',
  pumpId: 'hand-pump',
  readingSchool: 'bracket',
  trials,
});

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
const odalys: DemoPerson = {
  client: {
    name: 'Odalys Ferrant',
    story: 'Retired lighthouse painter, short of thigh strength on the left.',
  },
  about: {
    contact: '555 0177, mornings',
    goals: 'the tower stairs with a full can in each hand',
    notes: 'Hears better on the left.',
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

/** Her pressure is out of date: Measure is due. */
const brisa: DemoPerson = {
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

/** On hold because of his blood pressure. */
const cassian: DemoPerson = {
  client: { name: 'Cassian Wetherhold', story: 'Glassblower with a sore elbow on the right.' },
  history: [
    {
      daysAgo: 1,
      do: 'screen',
      body: {
        yes: ['smoker'],
        bloodPressures: readings([184, 106], [180, 102]),
        note: 'See his physician first.',
      },
    },
  ],
};

/** Trains away from the practice with a marked strap: by feel only. */
const leocadia: DemoPerson = {
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

const WALKS: PrescribeWish = {
  goal: 'aerobic',
  limbs: ['left-thigh', 'right-thigh'],
  together: true,
  plan: { name: 'Walks', occasion: { kind: 'any-day' } },
};

/** Coached at a distance: he was never measured, so he walks under a pressure that is arbitrary. */
const odran: DemoPerson = {
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

const rides = (watts: number): PrescribeWish => ({
  goal: 'aerobic',
  limbs: ['left-thigh', 'right-thigh'],
  together: true,
  intensity: { by: 'watts', watts },
  plan: { name: 'Rides', occasion: { kind: 'any-day' } },
});

/** Rides by watts, with a strap that counts her heart. */
const ingrith: DemoPerson = {
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
    { daysAgo: 26, do: 'prescribe', wish: rides(85) },
    { daysAgo: 24, do: 'session', reps: [], efforts: [4], heartRates: [124, 131] },
    { daysAgo: 20, do: 'session', reps: [], efforts: [4], heartRates: [122, 128] },
    { daysAgo: 15, do: 'session', reps: [], efforts: [3], heartRates: [119, 125] },
    { daysAgo: 13, do: 'prescribe', wish: rides(95) },
    { daysAgo: 10, do: 'session', reps: [], efforts: [4], heartRates: [125, 132] },
    { daysAgo: 5, do: 'session', reps: [], efforts: [4], heartRates: [121, 127] },
  ],
};

/** Twice a week for eight weeks, from the day it was planned. */
const eightWeeks = (startsOn: string, coursePlanId: string): BlockWish => ({
  startsOn,
  weeks: 8,
  lines: [{ coursePlanId, perWeek: 2, timesADay: 1, available: [0, 1, 2, 3, 4], onHeavyDays: 'apart' }],
  heavy: [2],
  deload: { everyWeeks: 4, setsPercent: 50 },
  loadRisePoints: 1,
  daysOff: [],
  atTime: '17:30',
});

/** Two thighs, three tests and a block of weeks with a missed day: the whole of Prescribe. */
const rufus: DemoPerson = {
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
      wish: { goal: 'size', limbs: ['left-thigh', 'right-thigh'], together: true },
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

/** Four weeks out of a tendon repair: the ladder, and work only a clinician prescribes. */
const maren: DemoPerson = {
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

export const PEOPLE: DemoPerson[] = [odalys, brisa, cassian, leocadia, rufus, maren, odran, ingrith];
